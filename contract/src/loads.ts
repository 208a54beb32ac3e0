import type { LoadCheck, Species } from '@yaylak/core';
import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayUnique, IsArray, IsInt, IsString, IsUUID, MaxLength, Min } from 'class-validator';
import type { TagView } from './animals';
import { IsNested, MayBeMissing } from './nested';
import { IsCalendarDate, MAX_TEXT } from './rules';

/** Who goes where, and when. */
export class LoadFacts {
  @IsUUID()
  outletId: string;
  @IsCalendarDate()
  on: string;
  @IsArray()
  @ArrayMaxSize(1_000)
  @ArrayUnique()
  @IsUUID('all', { each: true })
  animalIds: string[];
  /** Seen going aboard. */
  @MayBeMissing()
  @IsArray()
  @ArrayMaxSize(1_000)
  @ArrayUnique()
  @IsUUID('all', { each: true })
  aboard?: string[];
  @MayBeMissing()
  @IsString()
  @MaxLength(MAX_TEXT)
  note?: string;
}
export class CreateLoad extends LoadFacts {
  @IsUUID()
  id: string;
}
/** The load as it shall be, on a version of it. */
export class ChangeLoad extends LoadFacts {
  @IsInt()
  @Min(1)
  version: number;
}
export class DropLoad {
  @Type(() => Number)
  @IsInt()
  @Min(1)
  version: number;
}
/** A planned load in a book's file. */
export class BookLoad {
  @IsUUID()
  id: string;
  @IsNested(() => LoadFacts)
  facts: LoadFacts;
  @IsInt()
  @Min(1)
  version: number;
}

export interface LoadHeadView {
  readonly tag: TagView;
  /** What it weighed last, and when. */
  readonly weight: { readonly kg: number; readonly on: string } | null;
  readonly checks: readonly LoadCheck[];
}
export interface PlannedLoadView {
  readonly id: string;
  readonly facts: LoadFacts;
  readonly version: number;
  readonly heads: readonly LoadHeadView[];
  /** All of it have left. */
  readonly isGone: boolean;
}

/** What selling asks for in a species. */
export interface SpeciesAhead {
  readonly species: Species;
  readonly ready: number;
  /** Ready, and too fat or over their days before long. */
  readonly closing: number;
  /** When the first of them is. */
  readonly closesOn: string | null;
  /** Outlets that run on certain days: the next, and who would be taken. */
  readonly outlets: readonly {
    readonly id: string;
    readonly name: string;
    readonly goesOn: string;
    readonly fits: number;
  }[];
}
/** A load that is planned, in short. */
export interface LoadAhead {
  readonly id: string;
  readonly on: string;
  readonly species: Species;
  readonly outletName: string;
  readonly heads: number;
  readonly stopped: number;
}
export interface SaleAheadView {
  readonly on: string;
  readonly species: readonly SpeciesAhead[];
  readonly loads: readonly LoadAhead[];
  /** Reservations that end within a week. */
  readonly reserved: readonly {
    readonly tag: TagView;
    readonly species: Species;
    readonly buyer: string;
    readonly until: string;
  }[];
}
