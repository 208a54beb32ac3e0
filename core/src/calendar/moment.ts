import type { Hours } from '../units';
import { addDays, isoOf, parseDay, type Day } from './day';

declare const moment: unique symbol;

/**
 * A time of day on a calendar date by the clock on the wall, as minutes since the Julian day 0. Without time zone: two
 * looks at a heat are compared by the same clock, and the hour a clock is put back is within what anybody sees.
 */
export type Moment = number & { readonly [moment]: true };

const DAY_MINUTES = 24 * 60;

/** So many minutes after midnight of a day. */
export const momentAt = (day: Day, minutes = 0): Moment => (day * DAY_MINUTES + minutes) as Moment;

/** Reads `YYYY-MM-DDTHH:mm`. @returns undefined when it is no date of the calendar or no time of the clock */
export function parseMoment(text: string): Moment | undefined {
  const [, date = '', hours, minutes] = /^(\d{4}-\d{2}-\d{2})T([01]\d|2[0-3]):([0-5]\d)$/.exec(text) ?? [];
  const day = parseDay(date);
  return day === undefined ? undefined : momentAt(day, Number(hours) * 60 + Number(minutes));
}

/** Reads a moment known to be good. @throws RangeError quoting the text when it is not */
export function momentOf(text: string): Moment {
  const found = parseMoment(text);
  if (found === undefined) throw new RangeError(`"${text}" is no date with a time; write it as 2026-03-31T07:30`);
  return found;
}

/** `YYYY-MM-DDTHH:mm` of a moment. */
export function isoMoment(at: Moment): string {
  const minutes = minutesOfDay(at);
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${isoOf(dayOfMoment(at))}T${two(Math.floor(minutes / 60))}:${two(minutes % 60)}`;
}

export const dayOfMoment = (at: Moment): Day => addDays(0 as Day, Math.floor(at / DAY_MINUTES));
/** From midnight, 0 to 1439. */
export const minutesOfDay = (at: Moment): number => ((at % DAY_MINUTES) + DAY_MINUTES) % DAY_MINUTES;
export const addHours = (at: Moment, hours: Hours): Moment => (at + Math.round(hours * 60)) as Moment;
/** Hours from one moment to a later one, with their fraction. */
export const hoursBetween = (from: Moment, to: Moment): Hours => (to - from) / 60;
