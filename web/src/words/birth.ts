import { birthText, isoOf, readTypedBirth, type BirthKnownTo, type DateOrder, type Day } from '@yaylak/core';
import { say } from '@yaylak/contract';

/** How a birth can be typed, in the order the holding writes days in. */
export const BIRTH_HINTS: Readonly<Record<DateOrder, string>> = {
  'day-month': say('12.3.2024, or 3.2024, or 2024'),
  'month-day': say('3/12/2024, or 3/2024, or 2024'),
  'year-month': say('2024-03-12, or 2024-03, or 2024'),
};
export const BIRTH_ASKED = say('Give the day it was born, its month as 3.2024 or its year; or leave it empty.');

interface BirthTyped {
  readonly bornOn: string | null;
  readonly birthKnownTo?: BirthKnownTo;
}

/**
 * A birth as it was typed, for a record; what cannot be read stays as it is, and the rules refuse it.
 * @param order the holding writes days in
 * @param latest the day it came
 */
export function birthOf(typed: string, order: DateOrder, latest?: Day): BirthTyped {
  if (typed.trim() === '') return { bornOn: null };
  const born = readTypedBirth(typed, order, latest);
  if (!born) return { bornOn: typed.trim() };
  return { bornOn: isoOf(born.on), ...(born.knownTo === undefined ? {} : { birthKnownTo: born.knownTo }) };
}

/** A birth as it is put into a field, to be read back as the same. */
export const birthTyped = (bornOn: string | null, knownTo: BirthKnownTo | undefined): string =>
  bornOn === null ? '' : birthText(bornOn, knownTo);
