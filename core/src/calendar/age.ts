import { toCalendarDate } from './calendarDate';
import type { Day } from './day';

/** An age in the unit people would say it in; `months` goes with years, as in "5 years 8 months". */
export type Age =
  | { readonly unit: 'days'; readonly count: number }
  | { readonly unit: 'weeks'; readonly count: number }
  | { readonly unit: 'months'; readonly count: number }
  | { readonly unit: 'years'; readonly count: number; readonly months: number };

/**
 * Age as said in a yard: days to two weeks, weeks to 26, months to two years, then years and months. Completed units,
 * counted on the calendar (born on the 31st, a month is over on the last day before the same date would fall).
 * @throws RangeError when `asOf` is before the birth
 */
export function ageWords(bornOn: Day, asOf: Day): Age {
  const days = asOf - bornOn;
  if (days < 0) throw new RangeError('an age before birth');
  if (days < 14) return { unit: 'days', count: days };
  if (days < 26 * 7) return { unit: 'weeks', count: Math.floor(days / 7) };
  const months = completedMonths(bornOn, asOf);
  if (months < 24) return { unit: 'months', count: months };
  return { unit: 'years', count: Math.floor(months / 12), months: months % 12 };
}

/** Whole calendar months from one day to a later one. */
export function completedMonths(from: Day, to: Day): number {
  const a = toCalendarDate(from);
  const b = toCalendarDate(to);
  const months = (b.year - a.year) * 12 + (b.month - a.month);
  // The library constrains 31 January + 1 month to 28 February, so that day completes the month.
  return a.add({ months }).compare(b) > 0 ? months - 1 : months;
}
