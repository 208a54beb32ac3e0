import { CalendarDate, GregorianCalendar } from '@internationalized/date';
import type { Day } from './day';

const gregorian = new GregorianCalendar();

/** The day of a library date. */
export const toDay = (date: CalendarDate): Day => gregorian.toJulianDay(date) as Day;

/** The library date of a day, for what goes by months and years. */
export const toCalendarDate = (d: Day): CalendarDate => gregorian.fromJulianDay(d) as CalendarDate;

/** The same date `years` later; 29 February becomes 28 February in a common year. */
export const addYears = (d: Day, years: number): Day => toDay(toCalendarDate(d).add({ years }));
/** So many months on; the last day of a month that is too short for it. */
export const addMonths = (d: Day, months: number): Day => toDay(toCalendarDate(d).add({ months }));
