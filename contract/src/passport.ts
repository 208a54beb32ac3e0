import {
  BIRTH_KNOWN_TO,
  SEXES,
  SPECIES,
  type BirthKnownTo,
  type IdentifierKind,
  type Sex,
  type Species,
  type TagColour,
} from '@yaylak/core';
import { Transform } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  Max,
  Min,
} from 'class-validator';
import type { WithheldOfAnimal } from './animals';
import { BookProduct } from './bookFile';
import type { EntryType } from './entries';
import { IsNestedList, MayBeMissing } from './nested';
import { FiledPicture, type PhotoView } from './photos';
import { IsCalendarDate, MAX_TEXT } from './rules';

export const PASSPORT_FORMAT = 'yaylak-passport';
export const PASSPORT_FORMAT_VERSION = 1;
/** As many animals stand in one file. */
export const MOST_PASSPORTS = 200;
/** Of so many animals the newest photo goes along; of more, none: the file would be too large to send. */
export const MOST_PASSPORT_PHOTOS = 20;

/** What of an animal's history goes with it; who it stood with, and what was noted of it, stays at home. */
export const PASSPORT_KINDS = [
  'identifier',
  'identifier-end',
  'weight',
  'measure',
  'score',
  'finish',
  'care',
  'treatment',
  'gene-test',
  'birth',
  'photo',
] as const satisfies readonly EntryType[];

/** A parent as the one who buys knows it: by its number alone. */
export class PassportParent {
  @IsIn(['dam', 'sire'])
  role: 'dam' | 'sire';
  @IsUUID()
  id: string;
  @IsOptional()
  @IsString()
  @Length(1, 60)
  number: string | null;
}

/** One animal with what it is and what was done with it. */
export class PassportAnimal {
  @IsUUID()
  id: string;
  @IsIn(SPECIES)
  species: Species;
  @IsIn(SEXES)
  sex: Sex;
  @IsOptional()
  @IsCalendarDate()
  bornOn: string | null;
  @MayBeMissing()
  @IsIn(BIRTH_KNOWN_TO)
  birthKnownTo?: BirthKnownTo;
  @IsOptional()
  @IsString()
  @Length(1, MAX_TEXT)
  strain: string | null;
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
  @IsArray()
  @ArrayMaxSize(2)
  @IsNestedList(() => PassportParent)
  parents: PassportParent[];
  /** Entries as they were written, of the kinds that go with an animal; each is held against the rules of its kind. */
  @IsArray()
  @ArrayMaxSize(5_000)
  @IsObject({ each: true })
  entries: object[];
}

/** Animals that leave with their history, for another book to read. */
export class PassportFile {
  @IsIn([PASSPORT_FORMAT])
  format: typeof PASSPORT_FORMAT;
  @IsIn([PASSPORT_FORMAT_VERSION])
  formatVersion: typeof PASSPORT_FORMAT_VERSION;
  @IsString()
  @Length(0, MAX_TEXT)
  from: string;
  @IsCalendarDate()
  madeOn: string;
  /** What the treatments speak of. */
  @IsArray()
  @ArrayMaxSize(500)
  @IsNestedList(() => BookProduct)
  products: BookProduct[];
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_PASSPORTS)
  @IsNestedList(() => PassportAnimal)
  animals: PassportAnimal[];
  /** The newest photo of each, where they are few. */
  @MayBeMissing()
  @IsArray()
  @ArrayMaxSize(MOST_PASSPORT_PHOTOS)
  @IsNestedList(() => FiledPicture)
  photos?: FiledPicture[];
}

/** Whose passports are asked for. */
export class PassportsQuery {
  @Transform(({ value }: { readonly value: unknown }) => (typeof value === 'string' ? value.split(',') : value))
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_PASSPORTS)
  @IsUUID('all', { each: true })
  ids: string[];
}

/** An animal as a sale sheet shows it. */
export interface SaleSheetRow {
  readonly id: string;
  readonly species: Species;
  readonly sex: Sex;
  readonly number: string;
  readonly bornOn: string | null;
  readonly birthKnownTo: BirthKnownTo | null;
  readonly strain: string | null;
  readonly birthType: number | null;
  readonly worn: readonly {
    readonly kind: IdentifierKind;
    readonly text: string;
    readonly colour: TagColour | null;
  }[];
  readonly dam: string | null;
  readonly sire: string | null;
  /** By what its parents' parents are known. */
  readonly damDam: string | null;
  readonly damSire: string | null;
  readonly sireDam: string | null;
  readonly sireSire: string | null;
  /** A share; null where a parent is not known, or none of their parents: it could be anything. */
  readonly inbreeding: number | null;
  /** Its newest. */
  readonly photo: PhotoView | null;
  readonly weight: { readonly kg: number; readonly on: string } | null;
  readonly genes: readonly { readonly gene: string; readonly result: string; readonly on: string }[];
  readonly treatments: readonly {
    readonly on: string;
    readonly product: string;
    readonly amount: number;
    readonly unit: string;
    readonly batch: string | null;
    /** Last counted days; null where no withdrawal was written down with it, the day of treatment where it is 0 days. */
    readonly meatUntil: string | null;
    readonly milkUntil: string | null;
  }[];
  /** Still withheld on the day it left, or today. */
  readonly withheld: readonly WithheldOfAnimal[];
  readonly left: { readonly on: string; readonly buyer: string | null } | null;
}
export interface SaleSheetView {
  readonly on: string;
  readonly rows: readonly SaleSheetRow[];
}

/** What became of each animal of a file of passports. */
export interface PassportsRead {
  readonly from: string;
  readonly madeOn: string;
  readonly animals: readonly {
    readonly id: string;
    readonly number: string;
    readonly species: Species;
    readonly sex: Sex;
    readonly bornOn: string | null;
    readonly history: number;
    readonly status: 'new' | 'here' | 'refused';
    readonly message: string | null;
  }[];
  /** Entries that were kept, in their order: what takes them back strikes these. */
  readonly keptIds: readonly string[];
}
export class ReadPassportsQuery {
  @IsIn(['check', 'keep'])
  mode: 'check' | 'keep';
}
