import { CalendarDate, GregorianCalendar, parseDate } from '@internationalized/date';
import type { Days } from '../units';

declare const day: unique symbol;

/**
 * A calendar date without time zone, held as its Julian day number so that days between two dates is a subtraction.
 * Made only by the functions of this file, which leave leap years and month lengths to the date library.
 */
export type Day = number & { readonly [day]: true };

const gregorian = new GregorianCalendar();

/** Years a holding's book may speak of; outside them a typed year is a slip of the finger. */
export const FIRST_YEAR = 1950;
export const LAST_YEAR = 2199;

/** The day of a library date. */
export const toDay = (date: CalendarDate): Day => gregorian.toJulianDay(date) as Day;

/** The library date of a day. */
export const toCalendarDate = (d: Day): CalendarDate => gregorian.fromJulianDay(d) as CalendarDate;

/** Texts read, and days written, before: a book says the same few thousand days hundreds of thousands of times. */
const read = new Map<string, Day>();
const written = new Map<Day, string>();
const MOST_READ = 20_000;

/**
 * Reads `YYYY-MM-DD`.
 * @returns undefined when the text is no date of the calendar (29 February of a common year) or its year is outside
 * 1950-2199
 */
export function parseDay(iso: string): Day | undefined {
  const known = read.get(iso);
  if (known !== undefined) return known;
  const day = readDay(iso);
  if (day !== undefined && read.size < MOST_READ) read.set(iso, day);
  return day;
}

function readDay(iso: string): Day | undefined {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(iso)) return undefined;
  try {
    const date = parseDate(iso);
    return date.year >= FIRST_YEAR && date.year <= LAST_YEAR && date.toString() === iso ? toDay(date) : undefined;
  } catch {
    return undefined;
  }
}

/** Reads `YYYY-MM-DD` that is known to be good. @throws RangeError quoting the text when it is not */
export function dayOf(iso: string): Day {
  const found = parseDay(iso);
  if (found === undefined) throw new RangeError(`"${iso}" is no date; write it as 2026-03-31`);
  return found;
}

/** `YYYY-MM-DD` of a day. */
export function isoOf(d: Day): string {
  const known = written.get(d);
  if (known !== undefined) return known;
  const iso = toCalendarDate(d).toString();
  if (written.size < MOST_READ) written.set(d, iso);
  return iso;
}

/** The day `days` later (earlier when negative). */
export const addDays = (d: Day, days: Days): Day => (d + days) as Day;

/** The calendar year a day lies in. */
export const yearOf = (d: Day): number => toCalendarDate(d).year;

/** The same date `years` later; 29 February becomes 28 February in a common year. */
export const addYears = (d: Day, years: number): Day => toDay(toCalendarDate(d).add({ years }));
/** So many months on; the last day of a month that is too short for it. */
export const addMonths = (d: Day, months: number): Day => toDay(toCalendarDate(d).add({ months }));

/** Monday 1 to Sunday 7. */
export const weekdayOf = (d: Day): number => new Date(`${isoOf(d)}T00:00:00Z`).getUTCDay() || 7;

/** The first of these weekdays from a day on, itself included; the day itself where none is named. */
export function nextWeekday(from: Day, weekdays: readonly number[]): Day {
  for (let n = 0; n < 7; n++) if (weekdays.includes(weekdayOf(addDays(from, n)))) return addDays(from, n);
  return from;
}
