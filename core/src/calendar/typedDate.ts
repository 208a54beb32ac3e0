import { isoOf, parseDay, type Day } from './day';

/** Orders a holding writes day, month and year in. A date with its year first can be read in any of them. */
export const DATE_ORDERS = ['day-month', 'month-day', 'year-month'] as const;
export type DateOrder = (typeof DATE_ORDERS)[number];

/**
 * Reads a date as people and spreadsheets write it: `2026-03-31`, `31.03.2026`, `31/3/26`, `20260331`.
 * Two-digit years are of this century up to `century.latest`, of the last one after it.
 * @returns undefined when it is no date of the calendar
 */
export function readTypedDate(text: string, order: DateOrder, latestYear = 2099): Day | undefined {
  const clean = text.trim().replace(/[T ]\d{1,2}:\d{2}.*$/, '');
  const compact = /^(\d{4})(\d{2})(\d{2})$/.exec(clean);
  if (compact) return parseDay(`${compact[1]}-${compact[2]}-${compact[3]}`);
  const parts = /^(\d{1,4})[-./ ](\d{1,2})[-./ ](\d{1,4})$/.exec(clean);
  if (!parts) return undefined;
  const [, first = '', second = '', third = ''] = parts;
  if (first.length === 4) return fromParts(first, second, third);
  if (first.length > 2 || third.length === 3 || third.length === 1) return undefined;
  let year = third;
  if (third.length === 2) {
    year = `20${third}`;
    if (Number(year) > latestYear) year = `19${third}`;
  }
  return order === 'month-day' ? fromParts(year, first, second) : fromParts(year, second, first);
}

const fromParts = (year: string, month: string, date: string): Day | undefined =>
  parseDay(`${year}-${month.padStart(2, '0')}-${date.padStart(2, '0')}`);

/** `readTypedDate` as ISO text. */
export function readTypedDateIso(text: string, order: DateOrder): string | undefined {
  const found = readTypedDate(text, order);
  return found === undefined ? undefined : isoOf(found);
}
