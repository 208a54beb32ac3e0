import { birthText, isoOf, readTypedBirth, type BirthKnownTo, type Day } from '@yaylak/core';

export const BIRTH_HINT = '12.3.2024, or 3.2024, or 2024';
export const BIRTH_ASKED = 'Give the day it was born, its month as 3.2024 or its year; or leave it empty.';

interface BirthTyped {
  readonly bornOn: string | null;
  readonly birthKnownTo?: BirthKnownTo;
}

/**
 * A birth as it was typed, for a record; what cannot be read stays as it is, and the rules refuse it.
 * @param latest the day it came
 */
export function birthOf(typed: string, latest?: Day): BirthTyped {
  if (typed.trim() === '') return { bornOn: null };
  const born = readTypedBirth(typed, 'day-month', latest);
  if (!born) return { bornOn: typed.trim() };
  return { bornOn: isoOf(born.on), ...(born.knownTo === undefined ? {} : { birthKnownTo: born.knownTo }) };
}

/** A birth as it is put into a field, to be read back as the same. */
export const birthTyped = (bornOn: string | null, knownTo: BirthKnownTo | undefined): string =>
  bornOn === null ? '' : birthText(bornOn, knownTo);
