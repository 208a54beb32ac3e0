import type { BreedingTraitName } from '../breeding-values';
import type { Species } from '../species';
import { DEFAULT_POINTS_WEIGHTS, type ChoosingTrait, type Weights } from './traits';

/** Breeding values, or own records like for like. */
export const RANK_BASES = ['values', 'own'] as const;
export type RankBasis = (typeof RANK_BASES)[number];

export const RANK_SCALES = ['points', 'money'] as const;
export type RankScale = (typeof RANK_SCALES)[number];

/** What the numbers go by. */
export interface RankingHow {
  readonly basis: RankBasis;
  /** Own records are always in points. */
  readonly scale: RankScale;
  readonly own: Weights<ChoosingTrait>;
  /** Under 0 where less is better. */
  readonly points: Weights<BreedingTraitName>;
  /** Hundredths of the holding's money for one unit of the trait, over the breeding life. */
  readonly money: Weights<BreedingTraitName>;
  /** Grown weight wanted, kilograms; undefined where more is better. */
  readonly grownAimKg?: number;
}

/** Whether a list of weights tells anybody apart: one of them at least has to count. */
export const weighsSomething = (weights: Readonly<Partial<Record<string, number>>>): boolean =>
  Object.values(weights).some((w) => (w ?? 0) !== 0);

/** Money shares are hundredths for a unit over a breeding life: rules of thumb for a smallholding. */
const how = (
  points: Weights<BreedingTraitName>,
  money: Weights<BreedingTraitName>,
  own: Weights<ChoosingTrait>,
): RankingHow => ({ basis: 'values', scale: 'points', own, points, money });

/** How each species is ranked until its keeper sets it otherwise. */
export const USUAL_HOW: Readonly<Record<Species, RankingHow>> = {
  sheep: how(
    { growth: 40, 'young-born': 15, 'litter-weaned': 35, 'eye-points': 10 },
    { growth: 1_500, 'young-born': 12_000, 'litter-weaned': 1_200, 'grown-weight': -200, 'eye-points': 500 },
    DEFAULT_POINTS_WEIGHTS,
  ),
  goat: how(
    { growth: 30, 'young-born': 15, 'litter-weaned': 45, 'eye-points': 10 },
    { growth: 1_500, 'young-born': 9_000, 'litter-weaned': 1_200, 'grown-weight': -200, 'eye-points': 500 },
    DEFAULT_POINTS_WEIGHTS,
  ),
  rabbit: how(
    { growth: 35, 'young-born': 25, 'litter-weaned': 35, 'eye-points': 5 },
    { growth: 12_000, 'young-born': 5_000, 'litter-weaned': 4_000, 'eye-points': 200 },
    DEFAULT_POINTS_WEIGHTS,
  ),
  cattle: how(
    { growth: 60, 'litter-weaned': 30, 'eye-points': 10 },
    { growth: 1_000, 'litter-weaned': 900, 'grown-weight': -300, 'eye-points': 3_000 },
    DEFAULT_POINTS_WEIGHTS,
  ),
};
