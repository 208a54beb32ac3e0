import { DOSE_UNITS, PRODUCT_KINDS, ROUTES, SPECIES } from '@yaylak/core';
import type { BatchStock, DoseUnit, ProductKind, Route, Species } from '@yaylak/core';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
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
import { IsNested, IsNestedList, MayBeMissing } from './nested';
import type { TagView, WindowView } from './animals';
import { IsCalendarDate, MAX_MINOR, MAX_TEXT } from './rules';

const MAX_AMOUNT = 100_000;

/** Up to and with a weight. */
export class DoseBandFacts {
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0.01)
  @Max(3000)
  upToKg: number;
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0.0001)
  @Max(MAX_AMOUNT)
  amount: number;
}

/** How the label doses a species: one of so much a kilogram, bands of weight, or the same for every head. */
export class DoseFacts {
  @IsIn(SPECIES)
  species: Species;
  @IsIn(['kg', 'band', 'head'])
  by: 'kg' | 'band' | 'head';
  /** Not for those under so many days old. */
  @MayBeMissing()
  @IsInt()
  @Min(1)
  @Max(4000)
  fromDays?: number;
  /** Not for those under such a weight, kilograms. */
  @MayBeMissing()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0.01)
  @Max(2000)
  fromKg?: number;
  @MayBeMissing()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0.000001)
  @Max(MAX_AMOUNT)
  perKg?: number;
  @MayBeMissing()
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(20)
  @IsNestedList(() => DoseBandFacts)
  bands?: DoseBandFacts[];
  @MayBeMissing()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0.0001)
  @Max(MAX_AMOUNT)
  amount?: number;
}

export class WithdrawalFacts {
  @IsIn(SPECIES)
  species: Species;
  @IsIn(ROUTES)
  route: Route;
  @MayBeMissing()
  @IsInt()
  @Min(0)
  @Max(1000)
  meatDays?: number;
  @MayBeMissing()
  @IsInt()
  @Min(0)
  @Max(1000)
  milkDays?: number;
}

export class CourseFacts {
  @IsInt()
  @Min(2)
  @Max(60)
  times: number;
  @IsInt()
  @Min(1)
  @Max(400)
  everyDays: number;
}

export class BatchFacts {
  @IsString()
  @Length(1, 60)
  batch: string;
  /** Last day it may be used. */
  @MayBeMissing()
  @IsCalendarDate()
  expiresOn?: string;
  /** Bought, in the dose unit. */
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0)
  @Max(10_000_000)
  amount: number;
  /** Paid for all of it, in hundredths of the holding's money. */
  @MayBeMissing()
  @IsInt()
  @Min(0)
  @Max(MAX_MINOR)
  paidMinor?: number;
}

/** A product with what its label says: all of it the user's own. */
export class ProductFacts {
  @IsString()
  @Length(1, MAX_TEXT)
  name: string;
  @IsIn(PRODUCT_KINDS)
  kind: ProductKind;
  @MayBeMissing()
  @IsString()
  @MaxLength(MAX_TEXT)
  active?: string;
  @MayBeMissing()
  @IsString()
  @MaxLength(MAX_TEXT)
  form?: string;
  @MayBeMissing()
  @IsString()
  @MaxLength(MAX_TEXT)
  concentration?: string;
  @IsIn(DOSE_UNITS)
  doseUnit: DoseUnit;
  @IsArray()
  @ArrayMaxSize(SPECIES.length)
  @IsNestedList(() => DoseFacts)
  doses: DoseFacts[];
  /** What the syringe can measure, in the dose unit. */
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0.001)
  @Max(1000)
  step: number;
  @IsIn(['up', 'nearest'])
  rounding: 'up' | 'nearest';
  @MayBeMissing()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0.001)
  @Max(10_000)
  maxPerSite?: number;
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(ROUTES.length)
  @IsIn(ROUTES, { each: true })
  routes: Route[];
  @IsArray()
  @ArrayMaxSize(SPECIES.length * ROUTES.length)
  @IsNestedList(() => WithdrawalFacts)
  withdrawals: WithdrawalFacts[];
  @MayBeMissing()
  @IsNested(() => CourseFacts)
  course?: CourseFacts;
  @MayBeMissing()
  @IsString()
  @MaxLength(MAX_TEXT)
  prescribedBy?: string;
  @IsArray()
  @ArrayMaxSize(40)
  @IsNestedList(() => BatchFacts)
  batches: BatchFacts[];
  /** Under so much left the stock is spoken of. */
  @MayBeMissing()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0)
  @Max(10_000_000)
  lowAt?: number;
  /** A bolus or mineral given in these months, 1 to 12. */
  @MayBeMissing()
  @IsArray()
  @ArrayMaxSize(12)
  @IsInt({ each: true })
  @Min(1, { each: true })
  @Max(12, { each: true })
  planMonths?: number[];
  /** To whom: these groups, those grown and present. */
  @MayBeMissing()
  @IsArray()
  @ArrayMaxSize(50)
  @IsUUID('all', { each: true })
  planGroupIds?: string[];
}

export class CreateProduct extends ProductFacts {
  @IsUUID()
  id: string;
}

/** The product as it shall be, on a version of it. */
export class ChangeProduct extends ProductFacts {
  @IsInt()
  @Min(1)
  version: number;
  /** No longer used: it stays in the register and is not offered. */
  @MayBeMissing()
  @IsBoolean()
  isClosed?: boolean;
}

export interface BatchView extends Omit<BatchStock, 'expiresOn'> {
  readonly expiresOn: string | null;
}

export interface ProductView {
  readonly id: string;
  readonly facts: ProductFacts;
  readonly isClosed: boolean;
  readonly version: number;
  /** The first to expire first. */
  readonly batches: readonly BatchView[];
  /** In the dose unit, of batches that still may be used. */
  readonly left: number;
  readonly isLow: boolean;
}

/** Something of the animal that may not be used yet. */
export interface WithheldView {
  readonly tag: TagView;
  readonly species: Species;
  readonly groupName: string | null;
  readonly of: 'meat' | 'milk';
  readonly from: string;
  readonly until: string;
  readonly clearFrom: string;
  readonly product: string;
}

/** Doses of a course or a yearly plan that come due together. */
export interface DoseDueView {
  readonly key: string;
  readonly productId: string;
  readonly product: string;
  /** The how-manieth of a course; null for a plan. */
  readonly nth: number | null;
  readonly groupName: string | null;
  readonly animalIds: readonly string[];
  readonly tags: readonly TagView[];
  readonly done: number;
  readonly window: WindowView;
  readonly isOpen: boolean;
}

export interface RemediesView {
  readonly products: readonly ProductView[];
  readonly withheld: readonly WithheldView[];
  readonly due: readonly DoseDueView[];
  readonly present: number;
}

export class RegisterQuery {
  @MayBeMissing()
  @IsCalendarDate()
  from?: string;
  @MayBeMissing()
  @IsCalendarDate()
  to?: string;
  @MayBeMissing()
  @IsUUID()
  productId?: string;
  @MayBeMissing()
  @IsUUID()
  animalId?: string;
  @MayBeMissing()
  @IsIn(SPECIES)
  species?: Species;
}

/** A line of the treatment register. */
export interface RegisterRow {
  readonly entryId: string;
  readonly on: string;
  readonly tag: TagView;
  /** All numbers it wears, as the inspector wants them. */
  readonly numbers: readonly string[];
  readonly species: Species;
  readonly product: string;
  readonly batch: string | null;
  readonly amount: number;
  readonly unit: DoseUnit;
  readonly route: Route;
  readonly doseKg: number | null;
  readonly doseMethod: string | null;
  readonly reason: string | null;
  readonly prescribedBy: string | null;
  readonly by: string;
  readonly isOffLabel: boolean;
  /** Last counted day; null where nothing is withheld. */
  readonly meatUntil: string | null;
  readonly milkUntil: string | null;
}

export interface RegisterView {
  readonly rows: readonly RegisterRow[];
  /** More rows fit than are listed. */
  readonly total: number;
}
