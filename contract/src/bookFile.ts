import {
  BIRTH_KNOWN_TO,
  SEXES,
  SPECIES,
  type BirthKnownTo,
  type PointsWeights,
  type Sex,
  type Species,
  type SpeciesOverrides,
  type DateOrder,
  type WeekStart,
  type WeightUnit,
} from '@yaylak/core';
import { IsBoolean, IsIn, IsInt, IsISO8601, IsOptional, IsString, IsUUID, Length, Max, Min } from 'class-validator';
import type { Entry } from './entries';
import {
  ChangeHolding,
  type BlankTags,
  type ChoosingSetting,
  DecisionMarksSetting,
  type ScorersSetting,
  type StandardSetting,
} from './holding';
import { StartJob } from './jobs';
import { IsNested, MayBeMissing } from './nested';
import { ProductFacts } from './remedies';
import { IsCalendarDate, MAX_MINOR, MAX_TEXT } from './rules';
import type { BookLoad } from './loads';
import type { FiledPicture } from './photos';
import { PlanFacts, type CalendarSetting, type ResourcesSetting } from './season';
import { OutletFacts } from './selling';
import type { KeepTemplate } from './stations';
import type { KeepDrill } from './condition';
import type { BookChange } from './history';

export const BOOK_FORMAT = 'yaylak-book';
export const BOOK_FORMAT_VERSION = 1;

/** What a book held that was read in. */
export interface BookReadIn {
  readonly animals: number;
  readonly entries: number;
}

/** How far a book that is being read in has come: bytes read and checked, entries written, entries opened. */
export interface ReadingBook {
  readonly phase: 'reading' | 'writing' | 'opening';
  readonly done: number;
  readonly of: number;
}

/** The records of a book file, each checked on its way in as the API checks what it takes. */
export class BookGroup {
  @IsUUID()
  id: string;
  @IsString()
  @Length(1, MAX_TEXT)
  name: string;
  @IsOptional()
  @IsIn(SPECIES)
  species: Species | null;
  @IsBoolean()
  isClosed: boolean;
  @IsInt()
  @Min(1)
  version: number;
}
export class BookJob extends StartJob {
  @IsOptional()
  @IsISO8601({ strict: true })
  finishedAt: string | null;
  @MayBeMissing()
  @IsISO8601({ strict: true })
  discardedAt?: string;
}
export class BookProduct {
  @IsUUID()
  id: string;
  @IsNested(() => ProductFacts)
  facts: ProductFacts;
  @IsBoolean()
  isClosed: boolean;
  @IsInt()
  @Min(1)
  version: number;
}
export class BookOutlet {
  @IsUUID()
  id: string;
  @IsNested(() => OutletFacts)
  facts: OutletFacts;
  @IsBoolean()
  isClosed: boolean;
  @IsInt()
  @Min(1)
  version: number;
}
export class BookPlan {
  @IsUUID()
  id: string;
  @IsNested(() => PlanFacts)
  facts: PlanFacts;
  @IsInt()
  @Min(1)
  version: number;
}
export class BookAnimalRecord {
  @IsUUID()
  id: string;
  @IsIn(SPECIES)
  species: Species;
  @IsIn(SEXES)
  sex: Sex;
  @IsOptional()
  @IsCalendarDate()
  bornOn: string | null;
  @IsOptional()
  @IsUUID()
  damId: string | null;
  /** A file from before embryos were known of has none. */
  @IsOptional()
  @IsUUID()
  donorId?: string | null;
  @IsOptional()
  @IsUUID()
  sireId: string | null;
  @IsOptional()
  @IsInt()
  @Min(1)
  @Max(20)
  birthType: number | null;
  @IsOptional()
  @IsInt()
  @Min(1)
  @Max(20)
  rearingType: number | null;
  @IsOptional()
  @IsString()
  @Length(1, MAX_TEXT)
  strain: string | null;
  @MayBeMissing()
  @IsInt()
  @Min(0)
  @Max(MAX_MINOR)
  boughtMinor?: number;
  @MayBeMissing()
  @IsIn(BIRTH_KNOWN_TO)
  birthKnownTo?: BirthKnownTo;
  @IsInt()
  @Min(1)
  version: number;
}
/** Settings as the API takes them, and the calendar's address. */
export class BookHolding extends ChangeHolding {
  @MayBeMissing()
  @IsString()
  @Length(16, 64)
  calendarKey?: string;
}

/** An animal's record as it stands; its arrival carries how it came. */
export interface BookAnimal {
  readonly id: string;
  readonly species: Species;
  readonly sex: Sex;
  readonly bornOn: string | null;
  readonly damId: string | null;
  readonly donorId?: string | null;
  readonly sireId: string | null;
  readonly birthType: number | null;
  readonly rearingType: number | null;
  readonly strain: string | null;
  readonly boughtMinor?: number;
  readonly birthKnownTo?: BirthKnownTo;
  readonly version: number;
}

/** The whole book in one file: settings, groups, jobs, animals, and every entry in the order it was kept. */
export interface BookFile {
  readonly format: typeof BOOK_FORMAT;
  readonly formatVersion: typeof BOOK_FORMAT_VERSION;
  readonly holding: {
    readonly name: string;
    readonly keeper: string;
    readonly unit: WeightUnit;
    readonly dateOrder?: DateOrder;
    readonly weekStart?: WeekStart;
    readonly keeps?: readonly Species[];
    readonly currency: string;
    readonly pointsWeights: PointsWeights;
    readonly species: SpeciesOverrides;
    readonly version: number;
    /** Missing in books written before there were any. */
    readonly standards?: readonly StandardSetting[];
    readonly blankTags?: readonly BlankTags[];
    readonly scorers?: ScorersSetting;
    readonly resources?: ResourcesSetting;
    readonly calendar?: CalendarSetting;
    readonly decisionMarks?: DecisionMarksSetting;
    readonly choosing?: ChoosingSetting;
    readonly calendarKey?: string;
  };
  readonly groups: readonly {
    readonly id: string;
    readonly name: string;
    readonly species: Species | null;
    readonly isClosed: boolean;
    readonly version: number;
  }[];
  readonly jobs: readonly BookJob[];
  readonly products?: readonly {
    readonly id: string;
    readonly facts: ProductFacts;
    readonly isClosed: boolean;
    readonly version: number;
  }[];
  readonly outlets?: readonly BookOutlet[];
  readonly loads?: readonly BookLoad[];
  readonly templates?: readonly KeepTemplate[];
  readonly plans?: readonly { readonly id: string; readonly facts: PlanFacts; readonly version: number }[];
  readonly drills?: readonly KeepDrill[];
  /** What settings, records, labels, plans and choices said before. */
  readonly changes?: readonly BookChange[];
  readonly animals: readonly BookAnimal[];
  readonly entries: readonly Entry[];
  /** The pictures that lie beside the book, each under its id; a file without any has no such part. */
  readonly photos?: readonly FiledPicture[];
}
