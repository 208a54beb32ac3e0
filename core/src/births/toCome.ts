import { addDays, type Day } from '../calendar';
import { birthsExpected, gestationSpread, spreadHalf, type BirthsExpected, type GestationDays } from './expected';

/** A female that carries, or may. */
export interface Carrying {
  readonly conceivedOn: Day;
  /** That she carries, by what is known but for the days gone by without a birth. */
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
 * Births to be expected each day from females known one by one: each pregnancy spreads over its days as
 * `gestationSpread` says, of which those gone by without a birth are taken off. That none came by then speaks against
 * her carrying at all: q' = q r / (q r + 1 - q), r the share of her days still to come (Bayes). A day's variance is the sum of q (1 - q) over the females (Poisson's trials: independent, each its own q).
 * @param asOf the first day that can still bring a birth
 * @returns undefined where nobody is awaited
 */
export function birthsToCome(
  carrying: readonly Carrying[],
  gestationDays: GestationDays,
  asOf: Day,
): BirthsToCome | undefined {
  const spread = gestationSpread(gestationDays);
  const half = spreadHalf(gestationDays);
  const starts = carrying.map((c) => addDays(c.conceivedOn, gestationDays.mean - half));
  const open = carrying.flatMap(({ probability }, i) => {
    const start = starts[i] as Day;
    const left = spread.map((share, d) => (start + d < asOf ? 0 : share));
    const rest = left.reduce((s, share) => s + share, 0);
    if (rest <= 0) return [];
    // q' spread over what is left: q' share / rest.
    const still = probability * rest + 1 - probability;
    return [{ start, shares: left.map((share) => (probability * share) / still) }];
  });
  if (open.length === 0) return undefined;
  const from = Math.max(asOf, Math.min(...open.map((o) => o.start))) as Day;
  const days = Math.max(...open.map((o) => o.start)) + spread.length - from;
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
