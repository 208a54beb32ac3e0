import { addDays, type Day } from '../calendar';
import type { Days } from '../units';

export interface GestationDays {
  readonly mean: number;
  readonly from: number;
  readonly to: number;
}

export interface BirthsExpected {
  readonly from: Day;
  /** Births expected each day, from `from` on. */
  readonly perDay: readonly number[];
  readonly total: number;
  /** First day of the seven with the most births. */
  readonly peakWeekFrom: Day;
  readonly peakWeek: number;
  /** The most in three days running: as long as a pen is taken. */
  readonly peakThreeDays: Days;
  /** The day 95 % of them are over. */
  readonly mostBy: Day;
}

/** The standard deviation of gestation, its usual range being two of them to each side; never under half a day. */
export const gestationSd = ({ from, to }: GestationDays): number => Math.max(0.5, (to - from) / 4);

/** Days to each side of the mean that `gestationSpread` reaches: three standard deviations. */
export const spreadHalf = (gestation: GestationDays, dateSd = 0): number => Math.ceil(3 * birthSd(gestation, dateSd));

/** Standard deviation of the day of birth: the length of gestation and the day of conception, added in squares. */
const birthSd = (gestation: GestationDays, dateSd: number): number => Math.hypot(gestationSd(gestation), dateSd);

/**
 * Share of births by day of gestation, normal around the mean, from `mean - spreadHalf` on; adds up to 1.
 * @param dateSd standard deviation of the day of conception, in days; 0 of a service seen
 */
export function gestationSpread(gestation: GestationDays, dateSd = 0): number[] {
  const sd = birthSd(gestation, dateSd);
  const half = spreadHalf(gestation, dateSd);
  const weights = Array.from({ length: 2 * half + 1 }, (_, i) => Math.exp(-((i - half) ** 2) / (2 * sd * sd)));
  const sum = weights.reduce((s, w) => s + w, 0);
  return weights.map((w) => w / sum);
}

/** Births of each day as a forecast: when most come, and by when nearly all have. */
export function birthsExpected(from: Day, perDay: readonly number[]): BirthsExpected {
  const total = perDay.reduce((s, n) => s + n, 0);
  const week = fullest(perDay, 7);
  let sum = 0;
  const most = perDay.findIndex((n) => (sum += n) >= 0.95 * total - 1e-9);
  return {
    from,
    perDay,
    total,
    peakWeekFrom: addDays(from, week.at),
    peakWeek: week.sum,
    peakThreeDays: fullest(perDay, 3).sum,
    mostBy: addDays(from, Math.max(0, most)),
  };
}

/** Where so many days running hold the most; the first of equals. */
function fullest(perDay: readonly number[], days: Days): { readonly at: number; readonly sum: number } {
  let best = { at: 0, sum: -1 };
  for (let at = 0; at < perDay.length; at++) {
    let sum = 0;
    for (let i = at; i < at + days; i++) sum += perDay[i] ?? 0;
    if (sum > best.sum + 1e-12) best = { at, sum };
  }
  return best;
}
