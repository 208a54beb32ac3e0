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
      return into(facts.births, { at, alive, dead, ease, presentation, mothering, afterbirth, reason, ...base });
    }
    case 'afterbirth':
      return into(facts.afterbirths, { state: entry.state, ...base });
    case 'colostrum':
      return into(facts.colostrums, { at: momentOf(entry.at), how: entry.how, ...base });
    case 'fostering':
      return into(facts.fosterings, { damId: entry.damId, ...base });
    case 'weaning':
      return into(facts.weanings, { isDone: entry.isDone, ...base });
    case 'feed': {
      const { feed, kg, priceMinor } = entry;
      return into(facts.feeds, { since: dayOf(entry.since), feed, kg, priceMinor, ...base });
    }
    case 'pen-stage':
      return into(facts.penStages, { stage: entry.stage, ...base });
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
      return { type: 'birth', at, alive, dead, deadYoung: deadYoung.length, species, reason, ...base };
    }
    case 'colostrum':
      return { type: 'colostrum', at: momentOf(entry.at), ...base };
    case 'fostering':
      return { type: 'fostering', damId: entry.damId, ...base };
    case 'weaning':
      return { type: 'weaning', isDone: entry.isDone, ...base };
    case 'feed':
      return { type: 'feed', since: dayOf(entry.since), ...base };
    case 'afterbirth':
    case 'pen-stage':
      return { type: entry.type, ...base };
  }
}
