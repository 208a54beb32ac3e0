import type { RosterAnimal } from '@yaylak/contract';
import { dayOf } from '@yaylak/core';
import type { Passage } from './raceLog';
import { say, fieldWord, capital } from '@yaylak/contract';

/** Young older than this are no new-borns that wait for their first tag. */
const NEWBORN_DAYS = 60;

/**
 * Young of a dam that stand in the book since their birth, wear nothing yet and have not been through, in the order
 * they were written down.
 */
export function untaggedYoung(
  damId: string,
  animals: ReadonlyMap<string, RosterAnimal>,
  passages: readonly Passage[],
  on: string,
): RosterAnimal[] {
  const through = new Set(passages.map((p) => p.animalId));
  return [...animals.values()].filter(
    (a) =>
      a.damId === damId &&
      a.worn.length === 0 &&
      a.bornOn !== null &&
      a.bornOn <= on &&
      dayOf(on) - dayOf(a.bornOn) <= NEWBORN_DAYS &&
      !through.has(a.tag.animalId),
  );
}

/** Which of the young is at hand: "Ewe lamb, 4.3 kg at birth; 1 more of hers waits." */
export function youngAtHandText(young: RosterAnimal, left: number): string {
  const word = fieldWord(young, 0);
  const more =
    left === 0
      ? say('the last of hers')
      : say('{left} more of hers {left, plural, one {waits} other {wait}}', { left });
  return capital(say('{young} that was recorded at the birth; {more}.', { young: word, more }));
}
