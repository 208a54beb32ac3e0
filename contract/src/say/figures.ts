import type { DateOrder } from '@yaylak/core';
import { say, spokenLanguage, type Language } from './say';
import { datesAreWrittenAs } from './style';

/** How a language writes dates and figures. */
const LOCALES: Readonly<Record<Language, string>> = { en: 'en-GB', tr: 'tr-TR' };
export const spokenLocale = (): string => LOCALES[spokenLanguage()];

const POINTS: Readonly<Record<Language, string>> = { en: '.', tr: ',' };

type Piece = 'weekday' | 'day' | 'month' | 'year';
const ORDERS: Readonly<Record<DateOrder, readonly Piece[]>> = {
  'day-month': ['weekday', 'day', 'month', 'year'],
  'month-day': ['weekday', 'month', 'day', 'year'],
  'year-month': ['weekday', 'year', 'month', 'day'],
};

/**
 * Days in words as the language writes them, in the holding's order: `23 Nov 2026`, `Nov 23, 2026`, `2026 Nov 23`.
 * @param style as the platform's own formatting takes it
 */
export function dateWords(style: Intl.DateTimeFormatOptions): (date: Date) => string {
  const made = new Map<string, Intl.DateTimeFormat>();
  return (date) => {
    const locale = spokenLocale();
    let words = made.get(locale);
    if (!words) made.set(locale, (words = new Intl.DateTimeFormat(locale, { timeZone: 'UTC', ...style })));
    const order = datesAreWrittenAs();
    return order === 'day-month' ? words.format(date) : inOrder(words.formatToParts(date), order);
  };
}

function inOrder(parts: readonly Intl.DateTimeFormatPart[], order: DateOrder): string {
  const pieces = ORDERS[order].flatMap((piece) => parts.filter((p) => p.type === piece));
  // A day's figure before the year's wants a comma between them.
  return pieces.map((p, i) => (p.type === 'day' && pieces[i + 1]?.type === 'year' ? `${p.value},` : p.value)).join(' ');
}

/** A whole figure in groups of three, as thousands are read, with a true minus: `1,240`, `1.240`, `−80`. */
export const grouped = (value: number, digits = 0): string =>
  new Intl.NumberFormat(spokenLocale(), { minimumFractionDigits: digits, maximumFractionDigits: digits })
    .format(value)
    .replace('-', '\u2212');

/** A figure with so many digits behind the point, which a language may write as a comma: `7.30`, `7,30`. */
export const fixedText = (value: number, digits: number): string =>
  value.toFixed(digits).replace('.', POINTS[spokenLanguage()]);

/** The same without zeros at its end: `7.3`. */
export const shortFigure = (value: number, digits: number): string =>
  String(Number(value.toFixed(digits))).replace('.', POINTS[spokenLanguage()]);

/** So many per cent, on the side of the sign where the language has it: `84 %`, `% 84`. */
export const perCent = (n: number | string): string => say('{n}\u00a0%', { n });
