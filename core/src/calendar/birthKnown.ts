import { dayOf, isoOf, type Day } from './day';
import { readTypedDate, type DateOrder } from './typedDate';

/** How far a birth is known where it is not known to the day. */
export const BIRTH_KNOWN_TO = ['month', 'year'] as const;
export type BirthKnownTo = (typeof BIRTH_KNOWN_TO)[number];

export interface BirthRead {
  /** Of a month its 15th, of a year its 1 July, and not after the latest it can be. */
  readonly on: Day;
  /** Undefined where the day is known. */
  readonly knownTo: BirthKnownTo | undefined;
}

/**
 * Reads a birth as people know it: a day, `3.2024`, `03/2024`, `2024-03`, or `2024`.
 * @param latest the day it came: a middle after it is drawn back to it
 * @returns undefined when it is none of these
 */
export function readTypedBirth(text: string, order: DateOrder, latest?: Day): BirthRead | undefined {
  const about = (on: Day, knownTo: BirthKnownTo): BirthRead => {
    const isWithin = latest !== undefined && birthText(isoOf(on), knownTo) === birthText(isoOf(latest), knownTo);
    return { on: isWithin && on > latest ? latest : on, knownTo };
  };
  const clean = text.trim();
  const year = /^((?:19|20)\d\d)$/.exec(clean);
  if (year) return about(dayOf(`${year[1]}-07-01`), 'year');
  const month =
    /^((?:19|20)\d\d)[-./ ](\d{1,2})$/.exec(clean) ?? flipped(/^(\d{1,2})[-./ ]((?:19|20)\d\d)$/.exec(clean));
  if (month) {
    const number = Number(month[2]);
    if (number < 1 || number > 12) return undefined;
    return about(dayOf(`${month[1]}-${String(number).padStart(2, '0')}-15`), 'month');
  }
  const on = readTypedDate(clean, order);
  return on === undefined ? undefined : { on, knownTo: undefined };
}

const flipped = (found: RegExpExecArray | null): readonly [string, string?, string?] | null =>
  found && [found[0], found[2] ?? '', found[1] ?? ''];

/** A birth as it is written where it is known so far: `2024-03-12`, `2024-03` or `2024`. */
export function birthText(bornOn: string, knownTo: BirthKnownTo | null | undefined): string {
  return knownTo === 'year' ? bornOn.slice(0, 4) : knownTo === 'month' ? bornOn.slice(0, 7) : bornOn;
}
