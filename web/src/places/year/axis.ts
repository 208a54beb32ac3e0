import { addDays, isoOf, toCalendarDate, toDay, type Day } from '@yaylak/core';
import { MONTHS } from '../../words/months';

/** Days from and to, drawn from left to right. */
export interface Axis {
  readonly from: Day;
  readonly to: Day;
}

/** Where a day stands on the axis, in per cent, kept within it. */
export const at = ({ from, to }: Axis, day: number): number =>
  Math.min(100, Math.max(0, (100 * (day - from)) / (to - from)));

/** Names of months that stand apart in the width there is. */
const MOST_NAMES = 9;

/** The months to be named: all of them, or every second, third, ... where they would run into each other. */
export function namedMonths(axis: Axis, most = MOST_NAMES): ReturnType<typeof monthsOf> {
  const all = monthsOf(axis);
  const every = Math.ceil(all.length / most);
  return all.filter((_, i) => i % every === 0);
}

/** The first of each month on the axis, with its name; January with its year. */
export function monthsOf({ from, to }: Axis): { readonly day: Day; readonly name: string }[] {
  const found: { day: Day; name: string }[] = [];
  for (let month = toCalendarDate(from).set({ day: 1 }); toDay(month) <= to; month = month.add({ months: 1 })) {
    const day = toDay(month);
    if (day >= from)
      found.push({ day, name: month.month === 1 ? String(month.year) : (MONTHS[month.month - 1] ?? isoOf(day)) });
  }
  return found;
}

/** The axis that holds all these windows, with some days to spare. */
export function axisOf(windows: readonly { readonly opens: Day; readonly closes: Day }[], spare = 14): Axis {
  const opens = Math.min(...windows.map((w) => w.opens)) as Day;
  const closes = Math.max(...windows.map((w) => w.closes)) as Day;
  return { from: addDays(opens, -spare), to: addDays(closes, spare) };
}
