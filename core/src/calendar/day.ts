import type { Days } from '../units';

declare const day: unique symbol;

/**
 * A calendar date without time zone, held as its Julian day number so that days between two dates is a subtraction.
 * Made only by the functions of this file and of `calendarDate`, which leave leap years and month lengths to the platform
 * and to the date library.
 */
export type Day = number & { readonly [day]: true };

/** Years a holding's book may speak of; outside them a typed year is a slip of the finger. */
export const FIRST_YEAR = 1950;
export const LAST_YEAR = 2199;

const DAY_MS = 86_400_000;
/** The Julian day number of 1 January 1970, where the platform begins to count. */
const EPOCH = 2_440_588;
const atMidnight = (d: Day): Date => new Date((d - EPOCH) * DAY_MS);

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
  const date = new Date(`${iso}T00:00:00Z`);
  // Of a day its month has not, the platform makes none or the next month's first.
  if (Number.isNaN(date.getTime()) || date.toISOString().slice(0, 10) !== iso) return undefined;
  const year = date.getUTCFullYear();
  return year >= FIRST_YEAR && year <= LAST_YEAR ? ((date.getTime() / DAY_MS + EPOCH) as Day) : undefined;
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
  const iso = atMidnight(d).toISOString().slice(0, 10);
  if (written.size < MOST_READ) written.set(d, iso);
  return iso;
}

/** The day `days` later (earlier when negative). */
export const addDays = (d: Day, days: Days): Day => (d + days) as Day;

/** The calendar year a day lies in. */
export const yearOf = (d: Day): number => atMidnight(d).getUTCFullYear();

/** Monday 1 to Sunday 7. */
export const weekdayOf = (d: Day): number => atMidnight(d).getUTCDay() || 7;

/** The day a week begins on, by country and habit. */
export const WEEK_STARTS = ['monday', 'sunday', 'saturday'] as const;
export type WeekStart = (typeof WEEK_STARTS)[number];
/** How many days after a Monday each comes; Julian days count from a Monday. */
const AFTER_MONDAY: Readonly<Record<WeekStart, number>> = { monday: 0, saturday: 5, sunday: 6 };

/** The first day of a day's week. */
export const weekOf = (d: Day, start: WeekStart = 'monday'): Day => (d - ((d - AFTER_MONDAY[start]) % 7)) as Day;

/** The first of these weekdays from a day on, itself included; the day itself where none is named. */
export function nextWeekday(from: Day, weekdays: readonly number[]): Day {
  for (let n = 0; n < 7; n++) if (weekdays.includes(weekdayOf(addDays(from, n)))) return addDays(from, n);
  return from;
}
