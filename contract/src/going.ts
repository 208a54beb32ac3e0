import { CULL_FACTS, CULL_WEIGHTS, SPECIES } from '@yaylak/core';
import type { ClassShares, CullFact, CullRule, CullWeight, Decision, RearedPerYear, Sex, Species } from '@yaylak/core';
import { IsIn, IsInt, IsNumber, Max, Min } from 'class-validator';
import type { TagView } from './animals';
import { MayBeMissing } from './nested';

/** A rule by which the grown go. */
export class CullRuleSetting implements CullRule {
  @IsIn(SPECIES)
  species: Species;
  @IsIn(['female', 'male', 'any'])
  sex: CullRule['sex'];
  @IsIn(CULL_FACTS)
  fact: CullFact;
  @IsInt()
  @Min(1)
  @Max(20)
  times: number;
  @IsInt()
  @Min(0)
  @Max(20)
  granted: number;
  @IsIn(CULL_WEIGHTS)
  weight: CullWeight;
  @MayBeMissing()
  @IsNumber()
  @Min(0.5)
  @Max(40)
  years?: number;
}

export interface CullEventView {
  readonly on: string;
  readonly what: string | null;
  readonly figure: number | null;
}

export interface CullHitView {
  readonly fact: CullFact;
  readonly weight: CullWeight;
  readonly evidence: readonly CullEventView[];
  readonly chancesUsed: number;
  readonly chances: number;
  /** What would clear it: nothing, a good record, or a day. */
  readonly clears: { readonly kind: 'never' | 'good-record' } | { readonly kind: 'on'; readonly on: string };
}

/** One more year against a young one in her place; hundredths of money. */
export interface OneMoreYearView {
  readonly differenceMinor: number;
  readonly halfWidthMinor: number;
  readonly keepingMinor: number;
  readonly replacingMinor: number;
  /** Young she is expected to rear, and a first-timer. */
  readonly young: number;
  readonly firstYoung: number;
  readonly inputs: {
    readonly youngMinor: number;
    /** Own sales that say so; 0 where it is the holding's setting. */
    readonly youngSales: number;
    readonly cullMinor: number;
    readonly cullSales: number;
    readonly keepMinor: number;
    readonly replacementMinor: number;
    readonly usefulYears: number;
    readonly survival: number;
    readonly litters: number;
  };
}

/** A grown animal that rules speak against. */
export interface GoingRow {
  readonly tag: TagView;
  readonly sex: Sex;
  readonly ageYears: number | null;
  readonly weight: CullWeight;
  /** Those that no decision to keep it covers; the most urgent first. */
  readonly hits: readonly CullHitView[];
  readonly oneMoreYear: OneMoreYearView | null;
  readonly reared: RearedPerYear | null;
}

/** A grown animal about which it was decided. */
export interface DecidedGrown {
  readonly tag: TagView;
  readonly ageYears: number | null;
  readonly decision: Decision;
  readonly reason: string | null;
  readonly on: string;
  /** What the decision covers. */
  readonly hits: readonly CullHitView[];
}

export interface GoingView {
  readonly species: Species;
  /** Grown females and males that are here. */
  readonly females: number;
  readonly males: number;
  readonly rows: readonly GoingRow[];
  /** They stay in spite of what speaks against them. */
  readonly stays: readonly DecidedGrown[];
  /** Decided to go, and still here. */
  readonly goes: readonly DecidedGrown[];
  /** Not looked over against all standards for a year. */
  readonly toLookOver: readonly string[];
  readonly rules: readonly CullRule[];
  readonly rearedByHerd: number | null;
}

/** The females of a species by age, with what becomes of them. */
export interface HerdView {
  readonly species: Species;
  readonly classes: readonly (ClassShares & {
    readonly ageYears: number;
    readonly years: number;
    readonly table: { readonly died: number; readonly culled: number; readonly young: number };
  })[];
  readonly head: number;
  readonly matedAtYears: number;
  /** Young females here that are not in the herd yet, less those chosen to go. */
  readonly coming: number;
  /** The gain is of the book as it was a moment ago: new breeding values are being worked. */
  readonly isBehind: boolean;
  /**
   * What keeping so many of so many brings: the value it is told in, its spreads and the sires' age; null without breeding
   * values or the age of any sire.
   */
  readonly gain: {
    readonly unit: 'points' | 'money';
    readonly candidates: number;
    readonly spread: number;
    readonly males: { readonly kept: number; readonly of: number; readonly spread: number; readonly ageYears: number };
  } | null;
}
