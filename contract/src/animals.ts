import { BIRTH_KNOWN_TO, DECISIONS, SEXES, SPECIES, type Decision, type RearedPerYear } from '@yaylak/core';
import type { ContemporaryVerdict } from './growth';
import type { Age, BirthKnownTo, DepartureWay, IdentifierKind, Sex, Species, TagColour, Window } from '@yaylak/core';
import { Type } from 'class-transformer';
import { IsIn, IsInt, IsOptional, IsString, IsUUID, Length, Max, MaxLength, Min } from 'class-validator';
import { MayBeMissing } from './nested';
import type { Entry } from './entries';
import { IsCalendarDate, MAX_MINOR, MAX_TEXT } from './rules';
import type { BiasView, GainView } from './growth';

export const ANIMAL_SORTS = ['number', 'species', 'group', 'age', 'weight', 'gain', 'weighed'] as const;
export type AnimalSort = (typeof ANIMAL_SORTS)[number];
export const PRESENCE = ['present', 'gone', 'all'] as const;

/** Which animals, in which order, from where. */
export const WITHHELD_ASKED = ['any', 'meat', 'milk'] as const;

export class AnimalQuery {
  @MayBeMissing()
  @IsString()
  @MaxLength(MAX_TEXT)
  words?: string;
  @MayBeMissing()
  @IsIn(SPECIES)
  species?: Species;
  @MayBeMissing()
  @IsIn(SEXES)
  sex?: Sex;
  @MayBeMissing()
  @IsUUID()
  groupId?: string;
  @MayBeMissing()
  @IsIn(PRESENCE)
  presence?: (typeof PRESENCE)[number];
  /** Born in this calendar year. */
  @MayBeMissing()
  @Type(() => Number)
  @IsInt()
  @Min(1950)
  @Max(2199)
  bornIn?: number;
  /** Wears a mark: its colour, place and purpose, with a bar between. */
  @MayBeMissing()
  @IsString()
  @MaxLength(MAX_TEXT * 2)
  mark?: string;
  /** Meat or milk, or either of them, may not be used today. */
  @MayBeMissing()
  @IsIn(WITHHELD_ASKED)
  withheld?: (typeof WITHHELD_ASKED)[number];
  /** Breed or kind, as it is written. */
  @MayBeMissing()
  @IsString()
  @MaxLength(MAX_TEXT)
  strain?: string;
  /** What was written of it when it was last chosen among its like. */
  @MayBeMissing()
  @IsIn(DECISIONS)
  chosen?: Decision;
  @MayBeMissing()
  @IsIn(ANIMAL_SORTS)
  sort?: AnimalSort;
  @MayBeMissing()
  @IsIn(['up', 'down'])
  direction?: 'up' | 'down';
  @MayBeMissing()
  @IsString()
  @MaxLength(200)
  cursor?: string;
  @MayBeMissing()
  @Type(() => Number)
  @IsInt()
  @Min(1)
  @Max(1000)
  limit?: number;
  /** Columns of a file, by name, with commas between. */
  @MayBeMissing()
  @IsString()
  @MaxLength(400)
  columns?: string;
}

/** Asks for what was written of animals, by a part of it. */
export class MentionQuery {
  @IsString()
  @Length(2, MAX_TEXT)
  words: string;
}

/** A tube, a note or a photo that says what was asked for. */
export interface MentionView {
  readonly tag: TagView;
  readonly kind: 'tube' | 'note' | 'photo';
  readonly text: string;
  readonly on: string;
}

/** How an animal is shown: its tag. */
export interface TagView {
  readonly animalId: string;
  readonly text: string;
  readonly kind: IdentifierKind | 'none';
  readonly colour: TagColour | null;
  /** Beside what it is told by; null where its name is that. */
  readonly name: string | null;
  readonly hasElectronic: boolean;
  readonly isWorn: boolean;
  /** Last counted days of open withdrawals. */
  readonly withheld?: { readonly meat?: string; readonly milk?: string };
  /** Whom it is kept for, and to which last day. */
  readonly reserved?: { readonly buyer: string; readonly until?: string };
}

export interface AnimalRow {
  readonly tag: TagView;
  readonly species: Species;
  readonly sex: Sex;
  readonly bornOn: string | null;
  /** How far the birth is known where the day is not. */
  readonly birthKnownTo?: BirthKnownTo;
  readonly age: Age | null;
  readonly ageDays: number | null;
  readonly group: { readonly id: string; readonly name: string } | null;
  readonly dam: TagView | null;
  /** Whose embryo it was. */
  readonly donor: TagView | null;
  readonly sire: TagView | null;
  readonly birthType: number | null;
  readonly rearingType: number | null;
  readonly isPresent: boolean;
  readonly lastKg: number | null;
  readonly lastOn: string | null;
  readonly gain: GainView | null;
  readonly version: number;
}

export interface AnimalPage {
  readonly rows: readonly AnimalRow[];
  readonly total: number;
  readonly nextCursor: string | null;
}

/** A change of an animal's record; the version says which state it was made on. `null` empties a field. */
export class ChangeAnimal {
  @IsInt()
  @Min(1)
  version: number;
  @MayBeMissing()
  @IsIn(SEXES)
  sex?: Sex;
  @IsOptional()
  @IsCalendarDate()
  bornOn?: string | null;
  @IsOptional()
  @IsUUID()
  damId?: string | null;
  /** Whose embryo it was, where `damId` only carried it. */
  @IsOptional()
  @IsUUID()
  donorId?: string | null;
  @IsOptional()
  @IsUUID()
  sireId?: string | null;
  @IsOptional()
  @IsInt()
  @Min(1)
  @Max(20)
  birthType?: number | null;
  @IsOptional()
  @IsInt()
  @Min(1)
  @Max(20)
  rearingType?: number | null;
  @IsOptional()
  @IsString()
  @Length(1, MAX_TEXT)
  strain?: string | null;
  /** Paid for it, in hundredths of the holding's money. */
  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(MAX_MINOR)
  boughtMinor?: number | null;
  /** With a birth date that is known no further; left out, the day is known. */
  @MayBeMissing()
  @IsIn(BIRTH_KNOWN_TO)
  birthKnownTo?: BirthKnownTo;
}

/** An entry on an animal's time line. */
export interface TimelineItem {
  readonly entry: Entry;
  readonly struck: { readonly by: string; readonly at: string; readonly reason: string | null } | null;
  readonly groupName?: string;
  readonly productName?: string;
  /** How the others are called that the entry speaks of, by id. */
  readonly names?: Readonly<Record<string, string>>;
}

export interface IdentifierView {
  readonly entryId: string;
  readonly kind: IdentifierKind;
  readonly text: string;
  readonly colour: TagColour | null;
  readonly ear: string | null;
  readonly fittedOn: string;
  readonly ended: { readonly on: string; readonly how: string; readonly reason: string | null } | null;
}

export interface WindowView {
  readonly opens: string;
  readonly bestFrom: string;
  readonly bestTo: string;
  readonly closes: string;
}
export type { Window };

/** A thing to do with an animal now or next. */
export interface DueView {
  readonly what: string;
  readonly window: WindowView;
}

export interface CurveView {
  readonly readings: readonly {
    readonly on: string;
    readonly ageDays: number;
    readonly kg: number;
    readonly method: string;
  }[];
  /** What it should weigh when grown, half an 80 % interval to either side; null of one that is grown or never weighed. */
  readonly grown: {
    readonly kg: number;
    readonly halfWidthKg: number;
    /** From its own curve, or from the share grown at its age. */
    readonly from: 'curve' | 'share-grown';
    readonly readings: number;
  } | null;
  /** Middle half of the group by age. */
  readonly band: readonly {
    readonly ageDays: number;
    readonly lowKg: number;
    readonly midKg: number;
    readonly highKg: number;
    readonly animals: number;
  }[];
  readonly groupName: string;
}

/** Of which day something is asked. */
export class OnQuery {
  @IsCalendarDate()
  on: string;
}

/** What of an animal may not be used, from the treatment to the last counted day. */
export interface WithheldOfAnimal {
  readonly of: 'meat' | 'milk';
  readonly from: string;
  readonly until: string;
  readonly clearFrom: string;
  readonly product: string;
}

/** What stick and tape said last; null of a measure not taken that day. */
export interface BodyView {
  readonly on: string;
  readonly heightCm: number | null;
  readonly lengthCm: number | null;
  readonly girthCm: number | null;
  /** Null without a height, or without a weighing within two weeks of it. */
  readonly forHeight: {
    readonly kgPerCm: number;
    /** Half an 80 % interval. */
    readonly halfWidth: number;
    readonly kg: number;
    readonly weighedOn: string;
    readonly aim: number;
    /** Null of one still growing: the aim is for the grown. */
    readonly verdict: 'light' | 'as-aimed' | 'heavy' | null;
  } | null;
}

export interface AnimalView {
  readonly row: AnimalRow;
  readonly strain: string | null;
  readonly boughtMinor: number | null;
  /** `toldUntil`: the last day of a withdrawal the buyer was told of. */
  readonly departed: { readonly on: string; readonly how: DepartureWay; readonly toldUntil: string | null } | null;
  readonly marks: readonly {
    readonly colour: string;
    readonly place: string;
    readonly purpose: string;
    readonly until: string | null;
  }[];
  readonly reservation: {
    readonly entryId: string;
    readonly buyer: string;
    readonly until: string | null;
    readonly priceMinor: number | null;
    readonly depositMinor: number | null;
  } | null;
  readonly due: readonly DueView[];
  /** Today; of one that left, on the day it did. */
  readonly withheld: readonly WithheldOfAnimal[];
  readonly gains: {
    readonly last: GainView | null;
    readonly period: GainView | null;
    readonly sinceBirth: GainView | null;
  };
  readonly verdict: ContemporaryVerdict | null;
  readonly alarm: string | null;
  /** Guesses among its weights that were set right, and by what. */
  readonly corrections: readonly BiasView[];
  readonly curve: CurveView;
  readonly body: BodyView | null;
  readonly identifiers: readonly IdentifierView[];
  readonly ancestors: {
    readonly damDam: TagView | null;
    readonly damSire: TagView | null;
    readonly sireDam: TagView | null;
    readonly sireSire: TagView | null;
  };
  readonly young: readonly { readonly tag: TagView; readonly bornOn: string | null; readonly isPresent: boolean }[];
  /** What a female has given; null without a birth. */
  readonly record: (RearedPerYear & { readonly born: number }) | null;
  readonly timeline: readonly TimelineItem[];
}

/** One identifier with what a search tells its animal by. */
export interface IdentifierIndexRow {
  readonly animalId: string;
  readonly text: string;
  readonly kind: IdentifierKind;
  readonly colour: TagColour | null;
  readonly isWorn: boolean;
  readonly isPresent: boolean;
  readonly species: Species;
  readonly sex: Sex;
  readonly bornOn: string | null;
  readonly groupName: string | null;
}
