import { say, dateWords } from '@yaylak/contract';
import type { BirthKnownTo } from '@yaylak/core';

const utc = (iso: string): Date => new Date(`${iso.slice(0, 10)}T00:00:00Z`);
/** A day in words; nothing of one that is not typed whole yet. */
const inWords = (words: (date: Date) => string, iso: string): string => (iso === '' ? '' : words(utc(iso)));
const dayMonth = dateWords({ day: 'numeric', month: 'short' });
const withYear = dateWords({ day: 'numeric', month: 'short', year: 'numeric' });
const monthAndYear = dateWords({ month: 'short', year: 'numeric' });
const monthOnly = dateWords({ month: 'short' });
const long = dateWords({ weekday: 'long', day: 'numeric', month: 'long' });

/** A birth as far as it is known: `12 Mar 2024`, `Mar 2024`, `2024`. */
export const birthDate = (iso: string, knownTo: BirthKnownTo | null | undefined): string =>
  knownTo === 'year' ? iso.slice(0, 4) : knownTo === 'month' ? monthAndYear(utc(iso)) : fullDate(iso);

/** `23 Nov`. */
export const shortDate = (iso: string): string => inWords(dayMonth, iso);
/** `23 Nov 2026`. */
export const fullDate = (iso: string): string => inWords(withYear, iso);
/** `Nov 2026`. */
export const monthYear = (iso: string): string => inWords(monthAndYear, iso);

/** A local time with its day: `23 Nov 2026, 09:00`. */
export const timeText = (at: string): string => `${fullDate(at)}, ${at.slice(11, 16)}`;

/** The months from one date to another: `Apr 2026`, `Apr to May 2026`, `Dec 2025 to Jan 2026`. */
export function monthsWords(from: string, to: string): string {
  const [first, last] = [monthYear(from), monthYear(to)];
  if (first === last) return last;
  const isOneYear = from.slice(0, 4) === to.slice(0, 4);
  return say('{value} to {last}', { value: isOneYear ? first.replace(/\s\d{4}$/, '') : first, last });
}
/** `Jan` of the first month. */
export const monthName = (month: number): string => monthOnly(new Date(Date.UTC(2000, month - 1, 15)));
/** `Monday 23 November`. */
export const longDate = (iso: string): string => inWords(long, iso).replace(',', '');

const weekday = dateWords({ weekday: 'short' });
/** A local time as it is said beside a day: `22:00` today, `Tue 04:00` within the week, else `4 Dec 04:00`. */
export function dayAndHour(at: string, today: string): string {
  const days = Math.round((utc(at).getTime() - utc(today).getTime()) / 86_400_000);
  const hour = at.slice(11, 16);
  if (days === 0) return hour;
  return `${Math.abs(days) < 6 ? weekday(utc(at)) : shortDate(at)} ${hour}`;
}
