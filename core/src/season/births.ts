import { addDays, type Day } from '../calendar';

export interface BirthsAsked {
  readonly females: number;
  readonly matingFrom: Day;
  /** The last day of mating. */
  readonly matingTo: Day;
  /** 0 where mating itself brings the heat on: all take from the first day. */
  readonly cycleDays: number;
  readonly conceptionShare: number;
  readonly gestationDays: { readonly mean: number; readonly from: number; readonly to: number };
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
  readonly peakThreeDays: number;
  /** The day 95 % of them are over. */
  readonly mostBy: Day;
}

/**
 * Births to be expected each day: heats fall evenly over the first cycle and come again a cycle later for who did not
 * take, each takes with the same chance, and gestation spreads normally, its usual range being two SD to each side.
 */
export function expectedBirths(asked: BirthsAsked): BirthsExpected {
  const { females, matingFrom, matingTo, cycleDays, conceptionShare, gestationDays } = asked;
  const matingDays = Math.max(1, matingTo - matingFrom + 1);
  const heatDays = cycleDays > 0 ? cycleDays : matingDays;
  const spread = gestationSpread(gestationDays);
  const perDay = new Array<number>(matingDays + spread.length - 1).fill(0);
  for (let d = 0; d < matingDays; d++) {
    const cycle = cycleDays > 0 ? Math.floor(d / cycleDays) : 0;
    const conceptions = (females / heatDays) * conceptionShare * (1 - conceptionShare) ** cycle;
    spread.forEach((share, g) => {
      perDay[d + g] = (perDay[d + g] ?? 0) + conceptions * share;
    });
  }
  const from = addDays(matingFrom, gestationDays.mean - (spread.length - 1) / 2);
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

/** Share of births by day of gestation, three SD to each side of the mean, adding up to 1. */
function gestationSpread({ from, to }: BirthsAsked['gestationDays']): number[] {
  const sd = Math.max(0.5, (to - from) / 4);
  const half = Math.ceil(3 * sd);
  const weights = Array.from({ length: 2 * half + 1 }, (_, i) => Math.exp(-((i - half) ** 2) / (2 * sd * sd)));
  const sum = weights.reduce((s, w) => s + w, 0);
  return weights.map((w) => w / sum);
}

/** Where so many days running hold the most; the first of equals. */
function fullest(perDay: readonly number[], days: number): { readonly at: number; readonly sum: number } {
  let best = { at: 0, sum: -1 };
  for (let at = 0; at < perDay.length; at++) {
    let sum = 0;
    for (let i = at; i < at + days; i++) sum += perDay[i] ?? 0;
    if (sum > best.sum + 1e-12) best = { at, sum };
  }
  return best;
}
