import { addDays, type Day } from './day';

/** A due thing: too early before `opens`, best from `bestFrom` to `bestTo`, over after `closes`. All ends inclusive. */
export interface WindowOf<T extends number> {
  readonly opens: T;
  readonly bestFrom: T;
  readonly bestTo: T;
  readonly closes: T;
}

/** A window of days. */
export type Window = WindowOf<Day>;
/** The same stretches as days, or hours, counted from some event. */
export type WindowDays = WindowOf<number>;

export type WindowStage = 'early' | 'open' | 'best' | 'closing' | 'over';

/** The window of `days` after `from`. @throws RangeError when the stretches are out of order */
export function windowAfter(from: Day, days: WindowDays): Window {
  if (!(days.opens <= days.bestFrom && days.bestFrom <= days.bestTo && days.bestTo <= days.closes))
    throw new RangeError(
      `a window opens, is best and closes in that order, not ${days.opens}, ${days.bestFrom}-${days.bestTo}, ${days.closes}`,
    );
  return {
    opens: addDays(from, days.opens),
    bestFrom: addDays(from, days.bestFrom),
    bestTo: addDays(from, days.bestTo),
    closes: addDays(from, days.closes),
  };
}

/** Where in a window a day or a moment lies. */
export function windowStage<T extends number>(w: WindowOf<T>, asOf: T): WindowStage {
  if (asOf < w.opens) return 'early';
  if (asOf < w.bestFrom) return 'open';
  if (asOf <= w.bestTo) return 'best';
  if (asOf <= w.closes) return 'closing';
  return 'over';
}

/** The window that holds all of several: opens with the first, closes with the first to close. */
export function sharedWindow(windows: readonly Window[]): Window | undefined {
  if (windows.length === 0) return undefined;
  const opens = Math.min(...windows.map((w) => w.opens));
  const closes = Math.max(opens, Math.min(...windows.map((w) => w.closes)));
  const bestFrom = Math.min(closes, Math.min(...windows.map((w) => w.bestFrom)));
  const bestTo = Math.max(bestFrom, Math.min(closes, Math.min(...windows.map((w) => w.bestTo))));
  return { opens: opens as Day, bestFrom: bestFrom as Day, bestTo: bestTo as Day, closes: closes as Day };
}
