import { SEXES, SPECIES } from '@yaylak/core';
import type {
  BreedingTraitName,
  Breakdown,
  ChoosingReason,
  Decision,
  EyeState,
  Lines,
  LookGrade,
  RankBasis,
  RankingHow,
  RankTrait,
  RearedPerYear,
  ReliabilityWord,
  Sex,
  Species,
  Suggestion,
  TraitPoints,
} from '@yaylak/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  IsUUID,
  Length,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { DRAFT_DECISIONS, type DraftDecision } from './kinds';
import { IsNested, IsNestedList, MayBeMissing } from './nested';
import type { TagView } from './animals';
import type { AdjustedView, GainView } from './growth';
import { RankingHowSetting } from './ranking';
import { IsCalendarDate, MAX_NOTE, MAX_TEXT } from './rules';
import type { ShareView } from './mating';

/** A set to choose among: a crop of young of one sex by its first birth, or the grown of it. */
export class ChoosingQuery {
  @IsIn(SPECIES)
  species: Species;
  @IsIn(SEXES)
  sex: Sex;
  /** Any day of birth in the crop; none asks for the grown. */
  @MayBeMissing()
  @IsCalendarDate()
  from?: string;
}

export class SpeciesQuery {
  @IsIn(SPECIES)
  species: Species;
}

/** How far the breeding values of a species are worked: traits done of all. */
export interface BreedingProgress {
  readonly isWorking: boolean;
  readonly done: number;
  readonly of: number;
}

export class DecideOne {
  @IsUUID()
  animalId: string;
  /** As suggested takes back what was decided. */
  @IsIn([...DRAFT_DECISIONS, 'as-suggested'])
  decision: DraftDecision | 'as-suggested';
  @MayBeMissing()
  @IsString()
  @MaxLength(MAX_NOTE)
  reason?: string;
}

export class LetBack {
  @IsUUID()
  animalId: string;
  /** Empty takes it off the list again. */
  @IsString()
  @MaxLength(MAX_NOTE)
  reason: string;
}

/** The line the third step of choosing is drawn by. */
export class KinChoice {
  /** Points of index that 1 % of kinship costs. */
  @IsNumber()
  @Min(0)
  @Max(1_000)
  pointsPerPercent: number;
  /** At most so many of one sire; 0 for any number. */
  @IsInt()
  @Min(0)
  @Max(10_000)
  sireCap: number;
  /** Who is best kept together; none where the plain order counts. */
  @IsArray()
  @ArrayMaxSize(20_000)
  @IsUUID('all', { each: true })
  keptIds: string[];
}

/** A change of the draft of a choice; what is not named stays. */
export class ChangeDraft extends ChoosingQuery {
  /** The draft's version that was on the screen; 0 where there was none. */
  @IsInt()
  @Min(0)
  version: number;
  @IsString()
  @Length(1, MAX_TEXT)
  by: string;
  @MayBeMissing()
  @IsNested(() => RankingHowSetting)
  how?: RankingHowSetting;
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(2_000)
  standardDays?: number;
  @MayBeMissing()
  @IsInt()
  @Min(0)
  @Max(100_000)
  keep?: number;
  @MayBeMissing()
  @IsInt()
  @Min(0)
  @Max(100_000)
  second?: number;
  @MayBeMissing()
  @IsNested(() => KinChoice)
  kin?: KinChoice;
  @MayBeMissing()
  @IsArray()
  @ArrayMaxSize(20_000)
  @IsNestedList(() => DecideOne)
  decide?: DecideOne[];
  @MayBeMissing()
  @IsArray()
  @ArrayMaxSize(1_000)
  @IsNestedList(() => LetBack)
  letBack?: LetBack[];
}

/** Throws a draft away. */
export class DropDraft extends ChoosingQuery {
  @Type(() => Number)
  @IsInt()
  @Min(1)
  version: number;
}

/** What somebody said of one animal, with who, when, and in which version of the draft. */
export interface Decided {
  readonly decision: DraftDecision;
  readonly reason?: string | undefined;
  readonly by: string;
  readonly at: string;
  readonly version: number;
}

/** A choice that is being made. */
export interface DraftFacts {
  readonly how?: RankingHow;
  readonly standardDays?: number;
  readonly keep?: number;
  readonly second?: number;
  readonly kin?: KinChoice;
  readonly decided: Readonly<Record<string, Decided>>;
  readonly letBack: Readonly<Record<string, { readonly reason: string; readonly by: string }>>;
  readonly changedBy: string;
  readonly changedAt: string;
}

/** Sets there is something to choose from. */
export interface ChoosingSet {
  readonly species: Species;
  readonly sex: Sex;
  /** Days of birth of a crop; null of the grown. */
  readonly from: string | null;
  readonly to: string | null;
  readonly count: number;
}

/** A grade of the look-over. */
export interface GradeView {
  readonly standardId: string;
  readonly name: string;
  readonly grade: LookGrade;
  readonly isFailed: boolean;
  readonly on: string;
  readonly by: string;
}

export interface EyeView {
  readonly state: EyeState;
  readonly failed: readonly GradeView[];
  readonly graded: readonly GradeView[];
  readonly missing: readonly string[];
  /** Why it was let back in spite of what it failed. */
  readonly letBack: string | null;
}

export interface ValueView {
  readonly trait: BreedingTraitName;
  readonly value: number;
  readonly standardError: number;
  readonly reliability: number;
  readonly word: ReliabilityWord;
  readonly records: number;
  readonly parts: { readonly own: number; readonly group: number; readonly kin: number };
}

/** An animal of a set. */
export interface SetAnimal {
  readonly tag: TagView;
  /** Every number it wears, the one it is called by first. */
  readonly worn: readonly string[];
  readonly ageDays: number | null;
  readonly birthType: number | null;
  readonly rearingType: number | null;
  readonly groupId: string | null;
  readonly sire: TagView | null;
  readonly dam: TagView | null;
  readonly lastKg: number | null;
  readonly lastOn: string | null;
  readonly score: { readonly score: number; readonly on: string } | null;
  readonly eye: EyeView;
  /** The last choice written of it. */
  readonly written: {
    readonly decision: Decision;
    readonly on: string;
    readonly among: string;
    readonly reason: string | null;
  } | null;
  /** What is said of it in the draft. */
  readonly decided: Decided | null;
}

/** One that leaves before the numbers. */
export interface FailedAnimal extends SetAnimal {
  readonly suggestion: Suggestion;
}

/** What counts of a male beside his figures. */
export interface AsSire {
  /** His sisters and half sisters that are here: none of them may be put to him. */
  readonly sistersHere: number;
  readonly daughtersHere: number;
  /** Of the females he served, those that held. */
  readonly share: ShareView | null;
  /** What he should weigh when grown, half an 80 % interval to either side. */
  readonly grown: { readonly kg: number; readonly halfWidthKg: number } | null;
}

export interface ChoosingRow extends SetAnimal {
  readonly asSire: AsSire | null;
  readonly place: number;
  readonly placeByWeight: number | null;
  readonly adjusted: AdjustedView | null;
  readonly breakdown: Breakdown | null;
  readonly ratio: number | null;
  readonly sinceBirth: GainView | null;
  readonly lastGain: GainView | null;
  readonly damRecord: RearedPerYear | null;
  readonly ownRecord: RearedPerYear | null;
  readonly values: readonly ValueView[];
  readonly index: number;
  readonly standardError: number;
  readonly parts: readonly TraitPoints[];
  readonly reasons: readonly ChoosingReason[];
  readonly suggestion: Suggestion;
  readonly chanceAcross: number;
  readonly isGrey: boolean;
}

/** What stands of a trait's breeding values. */
export interface TraitState {
  readonly trait: BreedingTraitName;
  readonly state: 'values' | 'too-few' | 'no-spread' | 'loop';
  readonly records: number;
  readonly needed: number;
  readonly geneticSd: number | null;
  readonly baseLevel: number | null;
  /** Reliabilities are exact; of a very large herd they are near enough. */
  readonly isExact: boolean;
}

export interface ChoosingView {
  readonly set: ChoosingSet;
  /** Groups the set stands in, the largest first. */
  readonly groups: readonly { readonly id: string; readonly name: string; readonly count: number }[];
  readonly how: RankingHow;
  /** What the order goes by in the end: own records where there are no values. */
  readonly basis: RankBasis;
  /** Traits the own records can be ranked on here. */
  readonly ownTraits: readonly RankTrait[];
  readonly traits: readonly TraitState[];
  readonly standardDays: number | null;
  readonly standardAges: readonly number[];
  readonly lines: Lines;
  readonly rows: readonly ChoosingRow[];
  /** Failed by eye and not let back. */
  readonly failed: readonly FailedAnimal[];
  /** Too young to judge, or without a weight of its own and parents known. */
  readonly notRanked: readonly SetAnimal[];
  /** Ranked without a weight near the age. */
  readonly withoutWeight: number;
  readonly kin: KinChoice;
  /** The kin step was drawn for other animals or another number: it is to be drawn anew. */
  readonly isKinStale: boolean;
  readonly draft: { readonly id: string; readonly version: number; readonly by: string; readonly at: string } | null;
  /** Decided in the draft, and not here any more. */
  readonly left: readonly {
    readonly tag: TagView;
    readonly how: string;
    readonly on: string;
    readonly decision: DraftDecision;
  }[];
}

/** Who of a set is kin to whom, and to the mates that stay. */
export interface KinView {
  /** The ranked of the set, in order. */
  readonly animalIds: readonly string[];
  readonly sireIds: readonly (string | null)[];
  /** Kinship of each with those before it: row by row, without its own. */
  readonly kinship: readonly number[];
  /** Mean kinship of each with the mates; null where none stay. */
  readonly withMates: readonly number[] | null;
  readonly mates: readonly TagView[];
}

/** What parents of one sex brought to the young of a year, in the trait's unit. */
export interface BroughtView {
  readonly young: number;
  readonly superiority: number;
  readonly gain: number;
}

/** The mean breeding value of a trait by year of birth; no years where it has no values. */
export interface TrendOfTrait extends TraitState {
  readonly years: readonly {
    readonly year: number;
    readonly head: number;
    readonly mean: number;
    readonly standardError: number | null;
    readonly dams: BroughtView | null;
    readonly sires: BroughtView | null;
  }[];
}

export interface GeneticTrendView {
  readonly species: Species;
  /** Of the book as it was a moment ago: new values are being worked. */
  readonly isBehind: boolean;
  readonly traits: readonly TrendOfTrait[];
}

/** Share failing a standard, year by year of birth. */
export interface StrictnessView {
  readonly species: Species;
  /** Of any standard first, then of each that was looked at. */
  readonly standards: readonly {
    readonly standardId: string | null;
    readonly name: string;
    readonly years: readonly {
      readonly year: number;
      readonly failed: number;
      readonly of: number;
      readonly share: number;
      readonly low: number;
      readonly high: number;
    }[];
    readonly ofDams: {
      readonly ofFailed: { readonly failed: number; readonly of: number };
      readonly ofPassed: { readonly failed: number; readonly of: number };
      readonly ratio: { readonly value: number; readonly low: number; readonly high: number } | null;
    } | null;
  }[];
}
