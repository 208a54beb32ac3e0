import { normalShareBelow } from '../statistics';

/** A trait in an index: its value with its error, and what more of it is worth. */
export interface IndexTrait {
  readonly value: number;
  readonly predictionErrorVariance: number;
  readonly geneticVariance: number;
  /** Points: its weight among the others. Money: units of currency for one unit of the trait. */
  readonly weight: number;
  readonly direction: 'more' | 'less' | 'aim';
  /** Only with `aim`: where the base animals stand, and where they should, in the trait's unit. */
  readonly baseLevel?: number;
  readonly aim?: number;
}

export interface ValueIndex {
  readonly index: number;
  readonly standardError: number;
  /** What each trait adds, in its order; with 50 points to begin with they add up to the index, money by themselves. */
  readonly parts: readonly number[];
}

/** Where the mean of the base stands, and how many points a genetic SD is. */
const MIDDLE = 50;
const POINTS_A_SD = 10;

/**
 * Values weighed into points: 50 + 10 x sum(w d value / genetic SD) / sum(w). The traits' errors are taken as
 * independent. No weight at all is no index.
 */
export function pointsIndex(traits: readonly IndexTrait[]): ValueIndex | undefined {
  const weights = traits.reduce((sum, t) => sum + t.weight, 0);
  if (!(weights > 0)) return undefined;
  const scaled = traits.map((t) => (POINTS_A_SD * t.weight) / weights / Math.sqrt(t.geneticVariance));
  return indexOf(traits, scaled, MIDDLE);
}

/** Values weighed into money over a breeding life: sum(units of currency for one unit x d x value). */
export const moneyIndex = (traits: readonly IndexTrait[]): ValueIndex =>
  indexOf(
    traits,
    traits.map((t) => t.weight),
    0,
  );

function indexOf(traits: readonly IndexTrait[], factors: readonly number[], from: number): ValueIndex {
  const moved = traits.map(movedBy);
  const parts = moved.map(({ mean }, i) => mean * (factors[i] as number));
  const variance = moved.reduce((sum, m, i) => sum + (factors[i] as number) ** 2 * m.variance, 0);
  return { index: from + parts.reduce((sum, p) => sum + p, 0), standardError: Math.sqrt(variance), parts };
}

/** What a trait moves the index by, in its own unit, with the variance of that. */
function movedBy(trait: IndexTrait): { readonly mean: number; readonly variance: number } {
  const { value, predictionErrorVariance: variance, direction, baseLevel = 0, aim = 0 } = trait;
  if (direction !== 'aim') return { mean: direction === 'more' ? value : -value, variance };
  const off = baseLevel + value - aim;
  const distance = expectedDistance(off, Math.sqrt(variance));
  // Little known of, an animal is marked down: it may lie on either side of the aim.
  return { mean: -distance, variance: Math.max(0, off ** 2 + variance - distance ** 2) };
}

/** E|X| of a normal X with mean `off` and an SD. */
function expectedDistance(off: number, sd: number): number {
  if (sd === 0) return Math.abs(off);
  return (
    sd * Math.sqrt(2 / Math.PI) * Math.exp(-(off ** 2) / (2 * sd ** 2)) + off * (1 - 2 * normalShareBelow(0, off, sd))
  );
}
