import type { OutletView } from './selling';
import type {
  BirthKnownTo,
  Decision,
  DepartureWay,
  FatGroup,
  FemaleKind,
  Habits,
  IdentifierKind,
  LookGrade,
  Mob,
  Sex,
  Species,
} from '@yaylak/core';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsISO8601,
  IsString,
  IsUUID,
  Length,
} from 'class-validator';
import { IsNested, IsNestedList, MayBeMissing } from './nested';
import type { TagView } from './animals';
import type { Entry } from './entries';
import type { PhotoView } from './photos';
import type { ProductView } from './remedies';
import { IsCalendarDate, MAX_TEXT } from './rules';
import { STATIONS, type MarkColour, type Station } from './kinds';
import type { BiasView } from './growth';
import { GateChoice, StationSettings, type TemplateView } from './stations';

/** What a job is, as far as it may be said anew while it stands. */
export class JobFacts {
  @IsString()
  @Length(1, MAX_TEXT)
  name: string;
  @IsCalendarDate()
  on: string;
  /** Entered on purpose for its own day: whenever an animal goes through, it is dated with the job's day. */
  @MayBeMissing()
  @IsBoolean()
  isForItsDay?: boolean;
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(STATIONS.length)
  @IsIn(STATIONS, { each: true })
  @ArrayUnique()
  stations: Station[];
  /** What each station has to know. */
  @MayBeMissing()
  @IsNested(() => StationSettings)
  settings?: StationSettings;
  @IsArray()
  @ArrayMaxSize(3)
  @IsNestedList(() => GateChoice)
  gates: GateChoice[];
  /** Who is expected: the count after is held against it. */
  @IsArray()
  @ArrayMaxSize(20_000)
  @IsUUID('all', { each: true })
  animalIds: string[];
}

/** Starts a job; sent twice it is one job. */
export class StartJob extends JobFacts {
  @IsUUID()
  id: string;
  @IsISO8601({ strict: true })
  startedAt: string;
  @IsString()
  @Length(1, MAX_TEXT)
  startedBy: string;
}

export class FinishJob {
  @IsISO8601({ strict: true })
  finishedAt: string;
}

/** Puts a job away, and strikes out what was recorded in it. */
export class DiscardJob {
  @IsISO8601({ strict: true })
  discardedAt: string;
  @IsString()
  @Length(1, MAX_TEXT)
  discardedBy: string;
  /** Only as long as nothing was recorded in it: to take a start back. */
  @MayBeMissing()
  @IsBoolean()
  isIfEmpty?: boolean;
}

export interface JobView extends StartJob {
  readonly finishedAt: string | null;
  /** Put away; what stands in it all the same came in from another device since. */
  readonly discardedAt?: string;
  readonly seen: number;
  readonly expected: number;
}

/** Services of one heat: first and last day, and who may be the sire, by their short names. */
export interface RosterService {
  readonly from: string;
  readonly to: string;
  readonly males: readonly string[];
}

/** What the race has to know of an animal, small enough to keep all of them on the device. */
export interface RosterAnimal {
  readonly tag: TagView;
  readonly species: Species;
  readonly sex: Sex;
  readonly bornOn: string | null;
  readonly birthKnownTo?: BirthKnownTo;
  readonly birthType: number | null;
  readonly rearingType: number | null;
  readonly dam: string | null;
  readonly damId: string | null;
  readonly sire: string | null;
  readonly groupId: string | null;
  readonly groupName: string | null;
  /** First weight and the last few: [date, kg, method]. A guess is set right by its person's bias where there is one. */
  readonly weights: readonly (readonly [on: string, kg: number, method: string])[];
  /** Still worn: [number, entry that fitted it, kind]. */
  readonly worn: readonly (readonly [text: string, entryId: string, kind: IdentifierKind])[];
  /** Worn once, by this animal. */
  readonly formerly: readonly string[];
  /** Its newest; none for most. */
  readonly photo?: PhotoView;
  /** What of it may not be used yet. */
  readonly withheld: readonly { readonly of: 'meat' | 'milk'; readonly until: string; readonly product: string }[];
  /** Given so far of products with a withdrawal or a course, the last of each: [product, date]. */
  readonly given: readonly (readonly [productId: string, on: string])[];
  /** The last condition scores, oldest first, set right where a scorer is: [date, score]. */
  readonly scores: readonly (readonly [on: string, score: number])[];
  readonly mob: Mob | null;
  /** Males that run with a female, with the colour of their raddle; none for the others. */
  readonly runsWith?: readonly {
    readonly maleId: string;
    readonly name: string;
    readonly colour: MarkColour | null;
    readonly isTeaser: boolean;
  }[];
  /** How much condition is wanted of her; `usual` for males. */
  readonly femaleKind: FemaleKind;
  /** Her services since her last birth, a heat each, oldest first. */
  readonly served?: readonly RosterService[];
  readonly lastBirthOn?: string;
  /** How many young are reared under her now. */
  readonly rears?: number;
  /** The day its time on feed began: weaned, or bought after that. */
  readonly feedFrom?: string;
  /** Its breed or kind, where it was said. */
  readonly strain?: string;
  /** Points in the ranking the holding last drew up for its like, and their standard error; null outside it. */
  readonly points: number | null;
  readonly pointsError?: number;
  /** What was written down when it was last chosen among its like. */
  readonly chosen?: Decision;
  /** Standards it had failed when that was written: the choice has overruled them. */
  readonly chosenOver?: readonly string[];
  /** The last grade of each standard that counts. */
  readonly grades?: Readonly<Record<string, LookGrade>>;
}

/** Who wore a number and is no longer here. */
export interface GoneNumber {
  readonly text: string;
  readonly animalId: string;
  readonly name: string;
  readonly how: DepartureWay;
  readonly on: string;
}

export interface RosterView {
  readonly on: string;
  readonly animals: readonly RosterAnimal[];
  readonly gone: readonly GoneNumber[];
  readonly products: readonly ProductView[];
  readonly templates: readonly TemplateView[];
  readonly biases: readonly BiasView[];
  /** Where animals are sold: at the finish station each says whether the one at hand is ready. */
  readonly outlets: readonly OutletView[];
  /** How the grader of each of them sees what is felt here, by breed group. */
  readonly habits: readonly ({ readonly outletId: string; readonly group: FatGroup } & Habits)[];
  /** Carcass over live weight, as the holding's own results and the default have it. */
  readonly killingOut: Readonly<Record<Species, number>>;
  /** Tubes used so far, the last of each purpose: what comes next follows from it. */
  readonly lastTubes: Readonly<Record<string, string>>;
}

export interface JobEntries {
  readonly job: JobView;
  readonly entries: readonly Entry[];
}
