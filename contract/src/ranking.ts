import { RANK_BASES, RANK_SCALES } from '@yaylak/core';
import type { RankBasis, RankingHow, RankScale } from '@yaylak/core';
import { IsIn, IsNumber, Max, Min } from 'class-validator';
import { IsNested, MayBeMissing } from './nested';
import { WeighsSomething } from './rules';

/** Bounds of a weight in points, and of hundredths of money for a unit. */
const WEIGHT_MOST = 1_000;
const MONEY_MOST = 100_000_000;

/** What is weighed of own records; only the proportions matter. */
export class OwnWeights {
  @MayBeMissing()
  @IsNumber()
  @Min(0)
  @Max(WEIGHT_MOST)
  growth?: number;
  @MayBeMissing()
  @IsNumber()
  @Min(0)
  @Max(WEIGHT_MOST)
  damRecord?: number;
  @MayBeMissing()
  @IsNumber()
  @Min(0)
  @Max(WEIGHT_MOST)
  lastGain?: number;
  @MayBeMissing()
  @IsNumber()
  @Min(0)
  @Max(WEIGHT_MOST)
  ownRecord?: number;
  @MayBeMissing()
  @IsNumber()
  @Min(0)
  @Max(WEIGHT_MOST)
  eyePoints?: number;
}

/** What is weighed of breeding values; under 0 where less is better. */
export class ValueWeights {
  @MayBeMissing()
  @IsNumber()
  @Min(-MONEY_MOST)
  @Max(MONEY_MOST)
  growth?: number;
  @MayBeMissing()
  @IsNumber()
  @Min(-MONEY_MOST)
  @Max(MONEY_MOST)
  'young-born'?: number;
  @MayBeMissing()
  @IsNumber()
  @Min(-MONEY_MOST)
  @Max(MONEY_MOST)
  'litter-weaned'?: number;
  @MayBeMissing()
  @IsNumber()
  @Min(-MONEY_MOST)
  @Max(MONEY_MOST)
  'grown-weight'?: number;
  @MayBeMissing()
  @IsNumber()
  @Min(-MONEY_MOST)
  @Max(MONEY_MOST)
  'eye-points'?: number;
}

/** How a set is ranked. */
export class RankingHowSetting implements RankingHow {
  @IsIn(RANK_BASES)
  basis: RankBasis;
  @IsIn(RANK_SCALES)
  scale: RankScale;
  @WeighsSomething()
  @IsNested(() => OwnWeights)
  own: OwnWeights;
  @WeighsSomething()
  @IsNested(() => ValueWeights)
  points: ValueWeights;
  /** Hundredths of the holding's money for a unit of the trait. */
  @WeighsSomething()
  @IsNested(() => ValueWeights)
  money: ValueWeights;
  @MayBeMissing()
  @IsNumber()
  @Min(0.1)
  @Max(2_000)
  grownAimKg?: number;
}
