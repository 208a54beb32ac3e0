import type {
  AfterbirthEntry,
  BirthEntry,
  ColostrumEntry,
  FeedEntry,
  FosteringEntry,
  PenStageEntry,
  WeaningEntry,
} from '@yaylak/contract';
import { dayOf, momentOf, type AnimalFacts, type BirthEntryToCheck, type Day, type Fact } from '@yaylak/core';
import { into, type FactInto } from './factInto';

export type BirthOrRearingEntry =
  BirthEntry | AfterbirthEntry | ColostrumEntry | FosteringEntry | WeaningEntry | PenStageEntry | FeedEntry;

const momentOrNot = (at: string | undefined) => (at === undefined ? undefined : momentOf(at));

/** An entry of births or rearing as its fact, with the list of the animal's facts it goes into. */
export function birthFact(entry: BirthOrRearingEntry, facts: AnimalFacts, base: Fact): FactInto {
  switch (entry.type) {
    case 'birth': {
      const { alive, dead, ease, presentation, mothering, afterbirth, reason } = entry;
      const at = momentOrNot(entry.at);
      return into(facts.births, { ...base, at, alive, dead, ease, presentation, mothering, afterbirth, reason });
    }
    case 'afterbirth':
      return into(facts.afterbirths, { ...base, state: entry.state });
    case 'colostrum':
      return into(facts.colostrums, { ...base, at: momentOf(entry.at), how: entry.how });
    case 'fostering':
      return into(facts.fosterings, { ...base, damId: entry.damId });
    case 'weaning':
      return into(facts.weanings, { ...base, isDone: entry.isDone });
    case 'feed': {
      const { feed, kg, priceMinor } = entry;
      return into(facts.feeds, { ...base, since: dayOf(entry.since), feed, kg, priceMinor });
    }
    case 'pen-stage':
      return into(facts.penStages, { ...base, stage: entry.stage });
  }
}

/** An entry of births or rearing as the rules of the book see it. */
export function birthToCheck(
  entry: BirthOrRearingEntry,
  base: { readonly animalId: string; readonly on: Day },
): BirthEntryToCheck {
  switch (entry.type) {
    case 'birth': {
      const { alive, dead, deadYoung = [], species, reason } = entry;
      const at = momentOrNot(entry.at);
      return { type: 'birth', ...base, at, alive, dead, deadYoung: deadYoung.length, species, reason };
    }
    case 'colostrum':
      return { type: 'colostrum', ...base, at: momentOf(entry.at) };
    case 'fostering':
      return { type: 'fostering', ...base, damId: entry.damId };
    case 'weaning':
      return { type: 'weaning', ...base, isDone: entry.isDone };
    case 'feed':
      return { type: 'feed', ...base, since: dayOf(entry.since) };
    case 'afterbirth':
    case 'pen-stage':
      return { type: entry.type, ...base };
  }
}
