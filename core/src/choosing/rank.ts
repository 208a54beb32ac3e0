import { moneyIndex, pointsIndex, type BreedingTraitName, type IndexTrait } from '../breeding-values';
import { mean, standardDeviation } from '../statistics';
import type { RankScale } from './how';
import { CHOOSING_TRAITS, type PointsWeights, type RankTrait, type TraitValues, type Weights } from './traits';

export interface Candidate {
  readonly id: string;
  readonly traits: TraitValues;
}

export interface TraitPoints {
  readonly trait: RankTrait;
  /** What this trait gives or takes; they add up to the index less where it starts. */
  readonly points: number;
  /** Undefined when it was not measured: the set's mean is taken, which gives no points. */
  readonly value: number | undefined;
}

export interface Ranked {
  readonly id: string;
  readonly place: number;
  /** Points: 50 is the mean and 10 one standard deviation of a single trait. Money: hundredths, 0 is the base animals. */
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
  const weightOf = (trait: (typeof CHOOSING_TRAITS)[number]): number => weights[trait] ?? 0;
  if (!CHOOSING_TRAITS.some((t) => weightOf(t) > 0) || CHOOSING_TRAITS.some((t) => weightOf(t) < 0))
    throw new RangeError('points weights are 0 or more, and one at least is above 0');
  const spreads = CHOOSING_TRAITS.filter((t) => weightOf(t) > 0).map((trait) => {
    const values = candidates.flatMap((c) => c.traits[trait]?.value ?? []);
    return { trait, centre: mean(values) ?? 0, spread: standardDeviation(values) ?? 0, known: values.length };
  });
  const total = spreads.reduce((s, { trait, spread }) => s + (spread > 0 ? weightOf(trait) : 0), 0);
  const scales = spreads
    // What nobody has is no line of anybody's account.
    .filter(({ known }) => known > 0)
    .map(({ trait, centre, spread }) => {
      // Points for one SD of the set.
      const perSd = spread > 0 && total > 0 ? (POINTS_PER_SD * weightOf(trait)) / total : 0;
      return { trait, centre, perSd, perUnit: perSd > 0 ? perSd / spread : 0 };
    });
  return inOrder(
    candidates.map((candidate) => {
      let variance = 0;
      const parts = scales.map(({ trait, centre, perSd, perUnit }) => {
        const measured = candidate.traits[trait];
        variance += measured ? (measured.standardError * perUnit) ** 2 : UNMEASURED * perSd ** 2;
        return { trait, value: measured?.value, points: measured ? (measured.value - centre) * perUnit : 0 };
      });
      const index = MEAN_INDEX + parts.reduce((s, p) => s + p.points, 0);
      // Where nothing tells one from another, each may stand anywhere in the set.
      const standardError = total > 0 ? Math.sqrt(variance) : POINTS_PER_SD * Math.sqrt(UNMEASURED);
      return { id: candidate.id, index, standardError, parts };
    }),
  );
}

/** An animal's values of the traits that are weighed. */
export interface Valued {
  readonly id: string;
  readonly values: ReadonlyMap<BreedingTraitName, ValuedTrait>;
}

export interface ValuedTrait {
  readonly value: number;
  readonly predictionErrorVariance: number;
}

/** What all animals share of a trait. */
export interface WeighedTrait {
  readonly trait: BreedingTraitName;
  readonly geneticVariance: number;
  readonly baseLevel: number;
  readonly aim?: number | undefined;
}

/**
 * Ranks animals by their breeding values, in points or in money (`pointsIndex`, `moneyIndex`). Each has a value of each
 * trait, its parents' mean at the least. A weight under 0 says that less is better; an aim counts by its size.
 * @returns undefined where no trait has a weight
 */
export function rankByValues(
  animals: readonly Valued[],
  traits: readonly WeighedTrait[],
  { scale, weights }: { readonly scale: RankScale; readonly weights: Weights<BreedingTraitName> },
): Ranked[] | undefined {
  const weighed = traits.filter(({ trait }) => (weights[trait] ?? 0) !== 0);
  if (weighed.length === 0) return undefined;
  const indexOf = scale === 'points' ? pointsIndex : moneyIndex;
  const ranked: Omit<Ranked, 'place'>[] = [];
  for (const { id, values } of animals) {
    const own = weighed.map(({ trait, geneticVariance, baseLevel, aim }): IndexTrait => {
      const known = values.get(trait) ?? { value: 0, predictionErrorVariance: geneticVariance };
      const weight = weights[trait] ?? 0;
      const shared = { ...known, geneticVariance, weight: Math.abs(weight) };
      if (aim !== undefined) return { ...shared, direction: 'aim', baseLevel, aim };
      return { ...shared, direction: weight < 0 ? 'less' : 'more' };
    });
    const answer = indexOf(own);
    if (!answer) return undefined;
    const parts = weighed.map(({ trait }, i) => ({
      trait,
      value: values.get(trait)?.value,
      points: answer.parts[i] as number,
    }));
    ranked.push({ id, index: answer.index, standardError: answer.standardError, parts });
  }
  return inOrder(ranked);
}

function inOrder(ranked: Omit<Ranked, 'place'>[]): Ranked[] {
  ranked.sort((a, b) => b.index - a.index || (a.id < b.id ? -1 : 1));
  return ranked.map((r, i) => ({ ...r, place: i + 1 }));
}
