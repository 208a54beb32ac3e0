import { toCalendarDate } from './calendarDate';
import type { Day } from './day';

export const QUARTERS = ['winter', 'spring', 'summer', 'autumn'] as const;
export type Quarter = (typeof QUARTERS)[number];

/** One quarter of one year. */
export interface QuarterOfYear {
  readonly year: number;
  readonly quarter: Quarter;
}

/**
 * The quarter of the year a day is in, as it is on the land: December, January and February are one winter, and it has
 * the year of its January.
 */
export function quarterOf(on: Day): QuarterOfYear {
  const { year, month } = toCalendarDate(on);
  const quarter = QUARTERS[Math.floor((month % 12) / 3)] ?? 'winter';
  return { year: month === 12 ? year + 1 : year, quarter };
}

/** Whether one comes before another, for sorting. */
export const byQuarter = (a: QuarterOfYear, b: QuarterOfYear): number =>
  a.year - b.year || QUARTERS.indexOf(a.quarter) - QUARTERS.indexOf(b.quarter);
