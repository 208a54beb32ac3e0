import { isoOf, type Day } from '../calendar';
import { tooSoon, type EvidenceWay, type TooSoon } from '../pregnancy';
import type { Species } from '../species';
import type { BookView } from './bookView';
import type { Refusal } from './refusals';
import type { AnimalId } from '../units';

/** A test asked too soon, as it is told: days as dates, so that it can be sent. */
export interface TooSoonTold extends Omit<TooSoon, 'since' | 'validFrom'> {
  readonly way: EvidenceWay;
  readonly since: string;
  readonly validFrom: string;
}

export const toldTooSoon = (found: TooSoon, way: EvidenceWay): TooSoonTold => ({
  ...found,
  way,
  since: isoOf(found.since),
  validFrom: isoOf(found.validFrom),
});

/** Why a test of a day could not tell yet; by its book's figures. */
export function testTooSoon(
  { animalId, day }: { readonly animalId: AnimalId; readonly day: Day },
  way: EvidenceWay,
  species: Species,
  book: Pick<BookView, 'settings' | 'tested'>,
): Refusal | undefined {
  const rules = way === 'sight' ? undefined : book.settings(species).tests[way];
  const female = rules && book.tested(animalId, day);
  const found = rules && female && tooSoon(rules, female, day);
  return found && { code: 'test-too-soon', field: 'on', value: isoOf(day), test: toldTooSoon(found, way) };
}
