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

/** Variance, in the set's SDs squared, of a trait that was not measured: it may lie anywhere in the set. */
const UNMEASURED = 1;

/**
 * Ranks candidates by a points index: each trait as deviation from the set's mean in standard deviations of the set,
 * times its share of the weights, times 10, around 50. The error is what the traits' own errors leave, taken as
 * independent; a trait that was not measured adds spread, never certainty. A trait fewer than two have, or that is the
 * same in all, tells nobody apart: it is left out and the others share its weight. Ties keep the order of ids, so that a
 * list is the same each time.
 * @throws RangeError when a weight is negative or all are 0
 */
export function rankByIndex(candidates: readonly Candidate[], weights: PointsWeights): Ranked[] {
  if (!CHOOSING_TRAITS.some((t) => weights[t] > 0) || CHOOSING_TRAITS.some((t) => weights[t] < 0))
    throw new RangeError('points weights are 0 or more, and one at least is above 0');
  const spreads = CHOOSING_TRAITS.map((trait) => {
    const values = candidates.flatMap((c) => c.traits[trait]?.value ?? []);
    return { trait, centre: mean(values) ?? 0, spread: standardDeviation(values) ?? 0 };
  });
  const total = spreads.reduce((s, { trait, spread }) => s + (spread > 0 ? weights[trait] : 0), 0);
  const scales = spreads.map(({ trait, centre, spread }) => {
    // Points for one SD of the set.
    const perSd = spread > 0 && total > 0 ? (POINTS_PER_SD * weights[trait]) / total : 0;
    return { trait, centre, perSd, perUnit: perSd > 0 ? perSd / spread : 0 };
  });
  const ranked = candidates.map((candidate) => {
    let variance = 0;
    const parts = scales.map(({ trait, centre, perSd, perUnit }) => {
      const measured = candidate.traits[trait];
      variance += measured ? (measured.standardError * perUnit) ** 2 : UNMEASURED * perSd ** 2;
      return { trait, value: measured?.value, points: measured ? (measured.value - centre) * perUnit : 0 };
    });
    const index = MEAN_INDEX + parts.reduce((s, p) => s + p.points, 0);
    return { id: candidate.id, index, standardError: Math.sqrt(variance), parts };
  });
  ranked.sort((a, b) => b.index - a.index || (a.id < b.id ? -1 : 1));
  return ranked.map((r, i) => ({ ...r, place: i + 1 }));
}
