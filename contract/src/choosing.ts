import { SEXES, SPECIES, type RearedPerYear } from '@yaylak/core';
import type {
  Breakdown,
  ChoosingReason,
  Decision,
  Lines,
  PointsWeights,
  Sex,
  Species,
  TraitPoints,
} from '@yaylak/core';
import { Type } from 'class-transformer';
import { IsIn, IsInt, IsUUID, Max, Min } from 'class-validator';
import { MayBeMissing } from './nested';
import type { TagView } from './animals';
import type { AdjustedView, GainView } from './growth';

/** The set to choose among and how to weigh it. */
export class ChoosingQuery {
  @IsIn(SPECIES)
  species: Species;
  @IsIn(SEXES)
  sex: Sex;
  @Type(() => Number)
  @IsInt()
  @Min(1950)
  @Max(2199)
  bornIn: number;
  @MayBeMissing()
  @IsUUID()
  groupId?: string;
  @MayBeMissing()
  @Type(() => Number)
  @IsInt()
  @Min(0)
  @Max(100_000)
  keep?: number;
  @MayBeMissing()
  @Type(() => Number)
  @IsInt()
  @Min(0)
  @Max(100_000)
  second?: number;
  @MayBeMissing()
  @Type(() => Number)
  @IsInt()
  @Min(1)
  @Max(2000)
  standardDays?: number;
}

export interface ChoosingRow {
  readonly tag: TagView;
  readonly place: number;
  readonly placeByWeight: number | null;
  readonly birthType: number | null;
  readonly rearingType: number | null;
  readonly lastKg: number | null;
  readonly lastOn: string | null;
  readonly adjusted: AdjustedView | null;
  readonly breakdown: Breakdown | null;
  readonly ratio: number | null;
  readonly sinceBirth: GainView | null;
  readonly lastGain: GainView | null;
  readonly damRecord: RearedPerYear | null;
  readonly index: number;
  readonly standardError: number;
  readonly parts: readonly TraitPoints[];
  readonly reasons: readonly ChoosingReason[];
  readonly suggestion: Decision;
  readonly isGrey: boolean;
  readonly chosen: { readonly decision: Decision; readonly on: string } | null;
}

export interface ChoosingView {
  readonly species: Species;
  readonly sex: Sex;
  readonly bornIn: number;
  readonly groupId: string | null;
  /** Groups the set stands in, the largest first. */
  readonly groups: readonly { readonly id: string; readonly name: string; readonly count: number }[];
  readonly standardDays: number | null;
  readonly standardAges: readonly number[];
  readonly weights: PointsWeights;
  readonly lines: Lines;
  readonly rows: readonly ChoosingRow[];
  /** Without a weight near the age; ranked on the rest, and said so. */
  readonly withoutWeight: number;
}

/** Sets there is something to choose from. */
export interface ChoosingSet {
  readonly species: Species;
  readonly sex: Sex;
  readonly bornIn: number;
  readonly count: number;
}
