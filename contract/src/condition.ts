import { CONDITION_STAGES, SPECIES } from '@yaylak/core';
import type { ConditionCheck, ConditionStage, FemaleKind, Mob, NoResponse, ScoreTrend, Species } from '@yaylak/core';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsNumber,
  IsString,
  IsUUID,
  Length,
  Max,
  Min,
} from 'class-validator';
import { IsNestedList, MayBeMissing } from './nested';
import type { TagView } from './animals';
import type { LookAt } from './today';
import { IsCalendarDate, MAX_TEXT } from './rules';

/** Whose condition is looked at, against which aim, and by when it is wanted. */
export class ConditionQuery {
  @IsIn(SPECIES)
  species: Species;
  @MayBeMissing()
  @IsUUID()
  groupId?: string;
  /** Taken from the plan of the season, or `mating`, where it is not given. */
  @MayBeMissing()
  @IsIn(CONDITION_STAGES)
  stage?: ConditionStage;
  @MayBeMissing()
  @IsCalendarDate()
  by?: string;
}

/** A day's score as it is thought to be. */
export interface ScoreView {
  readonly on: string;
  readonly score: number;
  readonly by: readonly string[];
  readonly isCorrected: boolean;
}

/** What an animal must gain to its aim; kilograms only where its weight and the species' figure are known. */
export type WayView =
  | { readonly kind: 'there' }
  | {
      readonly kind: 'gain';
      readonly kg: number;
      readonly halfWidthKg: number;
      readonly kgPerDay: number | null;
      readonly capKgPerDay: number;
      readonly isFeasible: boolean;
      readonly reachedOn: string;
    }
  | { readonly kind: 'no-weight'; readonly isFeasible: boolean; readonly reachedOn: string };

export interface ConditionAnimal {
  readonly tag: TagView;
  readonly kind: FemaleKind;
  readonly aim: number;
  readonly last: ScoreView;
  readonly before: ScoreView | null;
  readonly trend: ScoreTrend | null;
  /** Put there by a person; null where nobody did yet. */
  readonly mob: Mob | null;
  readonly mobBefore: Mob | null;
  /** What the score says. */
  readonly suggestedMob: Mob;
  readonly weightKg: number | null;
  readonly way: WayView;
}

export interface RoundView {
  readonly from: string;
  readonly to: string;
  readonly count: number;
  readonly mean: number;
  readonly coefficientOfVariation: number | null;
  readonly atAim: number;
  readonly byHalf: readonly { readonly score: number; readonly count: number }[];
  readonly by: readonly string[];
}

export interface NoResponseView {
  readonly tag: TagView;
  readonly from: ScoreView;
  readonly to: ScoreView;
  readonly days: number;
  readonly made: readonly { readonly on: string; readonly what: ConditionCheck; readonly isFound: boolean }[];
  readonly stillToCheck: readonly ConditionCheck[];
  readonly suggestion: NoResponse['suggestion'];
  /** Completed years. */
  readonly ageYears: number | null;
}

export interface ConditionView {
  readonly on: string;
  readonly species: Species;
  readonly group: { readonly id: string; readonly name: string } | null;
  /** Groups that have grown females, most first. */
  readonly groups: readonly { readonly id: string; readonly name: string; readonly females: number }[];
  readonly stage: ConditionStage;
  readonly by: string;
  /** The plan the date is from; null where it was only reckoned or typed. */
  readonly byPlan: string | null;
  readonly shareWanted: number;
  readonly alarmUnder: number;
  readonly females: number;
  readonly notScored: readonly TagView[];
  /** The last round first. */
  readonly rounds: readonly RoundView[];
  readonly animals: readonly ConditionAnimal[];
  readonly noResponse: readonly NoResponseView[];
  readonly alarms: readonly Extract<LookAt, { kind: 'adult-alarm' }>[];
}

/** How two hands, or one hand twice, felt the same animals. */
export interface ScorerPairView {
  readonly first: string;
  readonly second: string;
  readonly pairs: readonly (readonly [number, number])[];
  readonly bias: number;
  readonly biasHalfWidth: number | null;
  readonly limits: readonly [number, number] | null;
  readonly kappa: number | null;
  readonly withinHalf: number;
}
export interface ScorerBiasView {
  readonly by: string;
  readonly bias: number;
  readonly halfWidth: number | null;
  readonly pairs: number;
  readonly isUsable: boolean;
  readonly isSetRight: boolean;
}
export interface ScorersView {
  /** Everybody who ever scored, who scored most first. */
  readonly scorers: readonly { readonly name: string; readonly scores: number }[];
  readonly reference: string | null;
  readonly pairs: readonly ScorerPairView[];
  readonly biases: readonly ScorerBiasView[];
  readonly pairsNeeded: number;
}

export class DrillAnswer {
  @IsString()
  @Length(1, 40)
  caseId: string;
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(1)
  @Max(5)
  score: number;
}
/** A drill taken; sent twice it is one. */
export class KeepDrill {
  @IsUUID()
  id: string;
  @IsCalendarDate()
  on: string;
  @IsString()
  @Length(1, MAX_TEXT)
  by: string;
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(60)
  @IsNestedList(() => DrillAnswer)
  answers: DrillAnswer[];
}
export interface DrillsView {
  readonly drills: readonly KeepDrill[];
}
