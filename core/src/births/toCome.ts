import type { Day } from '../calendar';
import { stillToCome, type BirthSpread } from './birthSpread';
import { birthsExpected, type BirthsExpected } from './expected';
import type { Days } from '../units';

/** A female that carries, or may. */
export interface Carrying {
  /** The day of her birth, should she carry. */
  readonly spread: BirthSpread;
  /** That she carries, by all that is known; that no birth came by now is part of it. */
  readonly probability: number;
}

export interface BirthsToCome extends BirthsExpected {
  /** Standard deviation of each day's births, by what is not known: the length of each gestation, and who carries. */
  readonly sdPerDay: readonly number[];
  readonly peakWeekSd: number;
  /** Those whose time is over and that are still awaited. */
  readonly overdue: number;
}

/**
 * Births expected each day from females known one by one: each spreads over the days of hers that are left. A day's
 * variance is the sum of q (1 - q) over the females (Poisson's trials: independent, each its own q).
 * @param asOf the first day that can still bring a birth
 * @returns undefined where nobody is awaited
 */
export function birthsToCome(carrying: readonly Carrying[], asOf: Day): BirthsToCome | undefined {
  const open = carrying.flatMap(({ spread, probability }) => {
    const rest = stillToCome(spread, asOf);
    const { start, shares } = spread;
    return rest <= 0
      ? []
      : [{ start, shares: shares.map((s, d) => (start + d < asOf ? 0 : (probability * s) / rest)) }];
  });
  if (open.length === 0) return undefined;
  const from = Math.max(asOf, Math.min(...open.map((o) => o.start))) as Day;
  const days = Math.max(...open.map((o) => o.start + o.shares.length)) - from;
  const perDay = new Array<number>(days).fill(0);
  const variance = new Array<number>(days).fill(0);
  for (const { start, shares } of open)
    shares.forEach((q, d) => {
      const at = start + d - from;
      if (at < 0) return;
      perDay[at] = (perDay[at] ?? 0) + q;
      variance[at] = (variance[at] ?? 0) + q * (1 - q);
    });
  const expected = birthsExpected(from, perDay);
  const week = expected.peakWeekFrom;
  const inWeek = open.map(({ start, shares }) =>
    shares.reduce((s, q, d) => (start + d >= week && start + d < week + 7 ? s + q : s), 0),
  );
  return {
    ...expected,
    sdPerDay: variance.map(Math.sqrt),
    peakWeekSd: Math.sqrt(inWeek.reduce((s, q) => s + q * (1 - q), 0)),
    overdue: carrying.length - open.length,
  };
}

/** Births expected on so many days from one day on. */
export const birthsWithin = ({ from, perDay }: Pick<BirthsToCome, 'from' | 'perDay'>, day: Day, days: Days): number =>
  perDay.reduce((sum, n, d) => (from + d >= day && from + d < day + days ? sum + n : sum), 0);

/** Days on which the births of the last `penDays`, each in a pen that long, would fill more pens than there are. */
export const daysShortOfPens = (perDay: readonly number[], pens: number, penDays: Days): number =>
  perDay.filter((_, d) => perDay.slice(Math.max(0, d - penDays + 1), d + 1).reduce((s, n) => s + n, 0) > pens).length;
