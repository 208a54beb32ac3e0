import { mean, standardDeviation } from '../statistics';
import { CHOOSING_TRAITS, type ChoosingTrait, type PointsWeights, type TraitValues } from './traits';

export interface Candidate {
  readonly id: string;
  readonly traits: TraitValues;
}

export interface TraitPoints {
  readonly trait: ChoosingTrait;
  /** Points this trait gives or takes; they add up to index - 50. */
  readonly points: number;
  /** Undefined when it was not measured: the set's mean is taken, which gives no points. */
  readonly value: number | undefined;
}

export interface Ranked {
  readonly id: string;
  readonly place: number;
  /** Worth in points: 50 is the mean of the set, 10 one standard deviation of a single trait. */
  readonly index: number;
  readonly standardError: number;
  readonly parts: readonly TraitPoints[];
}

export const MEAN_INDEX = 50;
/** Points for one standard deviation, as in a T score (McCall 1922): two-digit numbers people can compare. */
const POINTS_PER_SD = 10;

/**
 * Ranks candidates by a points index: each trait as deviation from the set's mean in standard deviations of the set,
 * times its share of the weights, times 10, around 50. The error is what the traits' own errors leave, taken as
 * independent. Ties keep the order of ids, so that a list is the same each time.
 * @throws RangeError when a weight is negative or all are 0
 */
export function rankByIndex(candidates: readonly Candidate[], weights: PointsWeights): Ranked[] {
  const total = CHOOSING_TRAITS.reduce((s, t) => s + weights[t], 0);
  if (!(total > 0) || CHOOSING_TRAITS.some((t) => weights[t] < 0))
    throw new RangeError('points weights are 0 or more, and one at least is above 0');
  const scale = new Map(
    CHOOSING_TRAITS.map((trait) => {
      const values = candidates.flatMap((c) => c.traits[trait]?.value ?? []);
      const spread = standardDeviation(values) ?? 0;
      const perUnit = spread > 0 ? (POINTS_PER_SD * weights[trait]) / total / spread : 0;
      return [trait, { centre: mean(values) ?? 0, perUnit }] as const;
    }),
  );
  const ranked = candidates.map((candidate) => {
    let variance = 0;
    const parts = CHOOSING_TRAITS.map((trait) => {
      const { centre, perUnit } = scale.get(trait) as { centre: number; perUnit: number };
      const measured = candidate.traits[trait];
      if (measured) variance += (measured.standardError * perUnit) ** 2;
      return { trait, value: measured?.value, points: measured ? (measured.value - centre) * perUnit : 0 };
    });
    const index = MEAN_INDEX + parts.reduce((s, p) => s + p.points, 0);
    return { id: candidate.id, index, standardError: Math.sqrt(variance), parts };
  });
  ranked.sort((a, b) => b.index - a.index || (a.id < b.id ? -1 : 1));
  return ranked.map((r, i) => ({ ...r, place: i + 1 }));
}
