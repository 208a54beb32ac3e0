import type { Days } from '../units';

/** No further is looked ahead: prices and weather are anybody's guess beyond. */
export const MOST_AHEAD: Days = 120;
/** Margins nearer than this are the same. */
const TIE = 1e-9;
/** A day is as good as the best that loses no more than this share of it, or one hundredth of the money. */
const AS_GOOD_SHARE = 0.01;
const LEAST_MINOR = 1;

/** Which of the coming days a head may be sold on. */
export interface AllowedDays {
  /** Days until nothing of it is withheld any more; 0 today. */
  readonly clearIn: Days;
  /** Days until it is old enough; 0 today. */
  readonly oldEnoughIn: Days;
  /** Days left to the holding's own limit of days on feed; undefined without one. */
  readonly feedDaysLeft: Days | undefined;
}

/** What one brings in so many days, hundredths of the money; undefined where the outlet has no price by then. */
export type ValueIn = (days: Days) => number | undefined;

export interface KeepCost {
  /** Feed and keep a day. */
  readonly dailyCostMinor: number;
  /** Chance to live through a day. */
  readonly survival: number;
  readonly interestAYear: number;
}

export interface DayRun {
  readonly from: Days;
  readonly to: Days;
}

export type DaysMore =
  | {
      readonly kind: 'days';
      readonly bestIn: Days;
      /** Margin over selling for nothing today: what it brings then, less what the days cost. */
      readonly bestMinor: number;
      /** By day from 0; undefined on a day it may not be sold. */
      readonly margins: readonly (number | undefined)[];
      /** Any day from the first to the last is as good as the best. */
      readonly run: DayRun;
      /** Later or earlier stretches as good. */
      readonly others: readonly DayRun[];
    }
  | { readonly kind: 'no-day'; readonly reason: NoDayReason };
/** The rule that closes the days: what is withheld, its age, the holding's limit of feed days, or no price. */
export type NoDayReason = 'withheld' | 'too-young' | 'feed-limit' | 'no-price';

/** What a day's value leaves over selling for nothing today: less the keep till then, and what the money would have earned. */
export function marginIn(days: Days, value: number, nowMinor: number, asked: KeepCost): number {
  return marginOver(overDays(asked), days, value, nowMinor, asked.dailyCostMinor);
}
const marginOver = (
  { lives, earns }: OverDays,
  days: Days,
  value: number,
  nowMinor: number,
  dailyMinor: number,
): number => value * (lives[days] as number) - days * dailyMinor - nowMinor * (earns[days] as number);

interface OverDays extends Pick<KeepCost, 'survival' | 'interestAYear'> {
  /** By day from 0: the chance to live so long, and the interest on 1 till then. */
  readonly lives: readonly number[];
  readonly earns: readonly number[];
}
let lastOver: OverDays | undefined;
/** The powers by day, the same for all head of a holding: worked out anew only where it lives or earns otherwise. */
function overDays({ survival, interestAYear }: KeepCost): OverDays {
  if (lastOver?.survival === survival && lastOver.interestAYear === interestAYear) return lastOver;
  const days = Array.from({ length: MOST_AHEAD + 1 }, (_, n) => n);
  lastOver = {
    survival,
    interestAYear,
    lives: days.map((n) => survival ** n),
    earns: days.map((n) => (1 + interestAYear) ** (n / 365) - 1),
  };
  return lastOver;
}

/** When to sell one animal at one outlet: each allowed day's margin, the first of the best, and the days as good. */
export function daysMore(asked: AllowedDays & KeepCost, valueIn: ValueIn): DaysMore {
  const last = Math.min(MOST_AHEAD, asked.feedDaysLeft ?? MOST_AHEAD);
  const first = Math.max(0, asked.clearIn, asked.oldEnoughIn);
  if (last < 0) return { kind: 'no-day', reason: 'feed-limit' };
  if (first > last)
    return {
      kind: 'no-day',
      reason: asked.clearIn > last ? 'withheld' : asked.oldEnoughIn > last ? 'too-young' : 'feed-limit',
    };
  const now = valueIn(0) ?? 0;
  const over = overDays(asked);
  const { dailyCostMinor } = asked;
  // As long as it will be from the start: one that grows by the day is moved again and again.
  const margins = new Array<number | undefined>(last + 1);
  let best = -Infinity;
  for (let n = 0; n <= last; n++) {
    const value = n < first ? undefined : valueIn(n);
    const margin = value === undefined ? undefined : marginOver(over, n, value, now, dailyCostMinor);
    if (margin !== undefined && margin > best) best = margin;
    margins[n] = margin;
  }
  if (best === -Infinity) return { kind: 'no-day', reason: 'no-price' };
  const bestIn = margins.findIndex((m) => m !== undefined && m >= best - TIE);
  const runs = runsOver(margins, best - Math.max(AS_GOOD_SHARE * Math.abs(best), LEAST_MINOR));
  const run = runs.find((r) => r.from <= bestIn && bestIn <= r.to) as DayRun;
  return {
    kind: 'days',
    bestIn,
    bestMinor: margins[bestIn] as number,
    margins,
    run,
    others: runs.filter((r) => r !== run),
  };
}

/** Unbroken runs of days whose margin is at least a line. */
function runsOver(margins: readonly (number | undefined)[], line: number): DayRun[] {
  const runs: DayRun[] = [];
  let from: Days | undefined;
  for (let n = 0; n <= margins.length; n++) {
    const isOver = n < margins.length && (margins[n] ?? -Infinity) >= line;
    if (isOver) from ??= n;
    else if (from !== undefined) {
      runs.push({ from, to: n - 1 });
      from = undefined;
    }
  }
  return runs;
}
