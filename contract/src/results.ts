import {
  SPECIES,
  type DepartureWay,
  type Difference,
  type FatGroup,
  type KillingKind,
  type KillingOut,
  type Species,
} from '@yaylak/core';
import { Type } from 'class-transformer';
import { IsIn, IsInt, Max, Min } from 'class-validator';
import type { TagView } from './animals';
import { MayBeMissing } from './nested';

/** Sales of a species, of one year; the last with any where it is not said. */
export class ResultsQuery {
  @IsIn(SPECIES)
  species: Species;
  @MayBeMissing()
  @Type(() => Number)
  @IsInt()
  @Min(1900)
  @Max(2200)
  year?: number;
}

/** One head of a load, and what came back of it. */
export interface SoldHeadView {
  readonly tag: TagView;
  readonly how: DepartureWay;
  readonly liveKg: number | null;
  readonly carcass: {
    readonly entryId: string;
    readonly on: string;
    readonly kg: number;
    readonly shape: number | null;
    readonly fat: number | null;
  } | null;
  /** Paid before anything was taken off; null until it is known. */
  readonly priceMinor: number | null;
  /** Why it brought more or less than expected; null where that cannot be told. */
  readonly difference: Difference | null;
}

/** What left for one outlet on one day. */
export interface LoadView {
  readonly outletId: string | null;
  readonly buyer: string | null;
  readonly on: string;
  readonly heads: readonly SoldHeadView[];
  /** Killed, and nothing came back yet. */
  readonly waiting: number;
  /** Over the heads of which both are known. */
  readonly expectedMinor: number;
  readonly paidMinor: number;
  readonly compared: number;
}

/** How far a grader is from the hand of this holding, thirds of a class. */
export interface HabitView {
  readonly pairs: number;
  readonly mean: number | null;
  /** Half of the plain mean's 80 % interval; null under two pairs. */
  readonly halfWidth: number | null;
  readonly used: number;
  readonly sd: number;
}

export interface GraderView {
  readonly outletId: string;
  /** Null for all that went there. */
  readonly breedGroup: FatGroup | null;
  readonly shape: HabitView;
  readonly fat: HabitView;
}

/** Two outlets' graders by the same hand: the first's mean less the second's, with half its 80 % interval. */
export interface GradersComparedView {
  readonly first: string;
  readonly second: string;
  readonly shape: { readonly difference: number; readonly halfWidth: number } | null;
  readonly fat: { readonly difference: number; readonly halfWidth: number } | null;
}

export interface ResultsView {
  readonly species: Species;
  /** Years with sales, the last first. */
  readonly years: readonly number[];
  readonly year: number | null;
  readonly outlets: readonly { readonly id: string; readonly name: string }[];
  readonly loads: readonly LoadView[];
  readonly killingOut: KillingOut & { readonly kind: KillingKind; readonly usual: number };
  readonly graders: readonly GraderView[];
  readonly compared: readonly GradersComparedView[];
}
