import type { Afterbirth } from '../../births';
import { isoOf, type Day } from '../../calendar';
import type { BookView } from '../bookView';
import type { AnimalFacts, Fact } from '../facts';
import type { Refusal } from '../refusals';
import type { FactKind } from './kind';
import { checkGivesBirth } from './ofFemales';

export interface AfterbirthWritten {
  readonly state: Afterbirth;
}

export interface AfterbirthFact extends Fact, AfterbirthWritten {}

/** It is spoken of for so long after the birth. */
const AFTERBIRTH_DAYS = 30;

/** What came of her afterbirth. */
export const afterbirth: FactKind<'afterbirths', AfterbirthWritten, AfterbirthFact> = {
  list: 'afterbirths',
  fact: ({ state }, base) => ({ state, ...base }),
  check: ({ day }, facts, book) => checkAfterBirth(facts, book, day, AFTERBIRTH_DAYS),
};

/** What follows a birth is written down of a female, within so many days of her last one. */
export function checkAfterBirth(facts: AnimalFacts, book: BookView, on: Day, within = Infinity): Refusal | undefined {
  const other = checkGivesBirth(facts);
  if (other) return other;
  const last = book.birthsOf(facts.record.id).findLast((b) => b.on <= on)?.on;
  return last === undefined || on - last > within
    ? { code: 'no-birth-before', field: 'on', value: isoOf(on) }
    : undefined;
}
