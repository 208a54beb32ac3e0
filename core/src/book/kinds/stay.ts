import type { BookView } from '../bookView';
import type { AnimalFacts, Fact } from '../facts';
import type { Refusal } from '../refusals';
import type { FactKind, ToCheck } from './kind';
import type { GroupId } from '../../units';

export interface StayWritten {
  readonly groupId: GroupId;
  readonly colour?: string | undefined;
  readonly isTeaser?: boolean | undefined;
  readonly reason?: string | undefined;
}

/** A male put with a group of females. */
export interface StayFact extends Fact {
  readonly groupId: GroupId;
  readonly colour: string | undefined;
  readonly isTeaser: boolean;
}

export const stay: FactKind<'stays', StayWritten, StayFact> = {
  list: 'stays',
  fact: ({ groupId, colour, isTeaser = false }, base) => ({ groupId, colour, isTeaser, ...base }),
  touches: ['company'],
  check(entry, { record }, book) {
    const { sex } = record;
    if (sex !== 'male' && sex !== 'castrate') return { code: 'not-a-male', field: 'animalId', value: entry.animalId };
    if (!book.hasGroup(entry.groupId)) return { code: 'unknown-group', field: 'groupId', value: entry.groupId };
    return entry.isTeaser || entry.reason !== undefined || sex !== 'male'
      ? undefined
      : checkCompany(entry, record, book);
  },
};

function checkCompany(
  { animalId, groupId, day: on }: ToCheck<StayWritten>,
  { species }: AnimalFacts['record'],
  book: BookView,
): Refusal | undefined {
  const { femaleFirstMatingDays, mating } = book.settings(species);
  const field = 'reason';
  const reasons = book.maleHeldBack(animalId, on);
  if (reasons.length > 0) return { code: 'male-held-back', field, value: animalId, reasons };
  const femaleIds = book.femalesIn(groupId, on).flatMap(({ record: { id, bornOn } }) => {
    const ageDays = bornOn === undefined ? Infinity : on - bornOn;
    // Sucklings do not conceive; from then on, until they may be mated, they are kept from him.
    if (ageDays < mating.malesApartDays) return [];
    return ageDays < femaleFirstMatingDays || book.pair(id, animalId).refusal ? [id] : [];
  });
  return femaleIds.length > 0 ? { code: 'not-with-these', field, value: animalId, femaleIds, groupId } : undefined;
}
