import type {
  GeneTestEntry,
  HarnessEntry,
  HeatEntry,
  MaleCheckEntry,
  ServiceEntry,
  StayEndEntry,
  StayEntry,
} from '@yaylak/contract';
import { momentOf, type AnimalFacts, type Fact, type MatingEntryToCheck, type Day } from '@yaylak/core';
import { into, type FactInto } from './factInto';

export type MatingEntry =
  HeatEntry | ServiceEntry | StayEntry | StayEndEntry | HarnessEntry | MaleCheckEntry | GeneTestEntry;

/** An entry of mating as its fact, with the list of the animal's facts it goes into. */
export function matingFact(entry: MatingEntry, facts: AnimalFacts, base: Fact): FactInto {
  switch (entry.type) {
    case 'heat':
      return into(facts.heats, { at: momentOf(entry.at), signs: entry.signs, ...base });
    case 'service': {
      const { way, maleIds, straw, otherMale, colour, isCheck = false } = entry;
      return into(facts.services, {
        at: momentOrNot(entry.at),
        way,
        maleIds,
        straw,
        otherMale,
        colour,
        isCheck,
        ...base,
      });
    }
    case 'stay':
      return into(facts.stays, {
        groupId: entry.groupId,
        colour: entry.colour,
        isTeaser: entry.isTeaser ?? false,
        ...base,
      });
    case 'stay-end':
      return into(facts.stayEnds, { stayId: entry.stayId, ...base });
    case 'harness':
      return into(facts.harnesses, { stayId: entry.stayId, colour: entry.colour, ...base });
    case 'male-check':
      return into(facts.maleChecks, { grades: entry.grades, girthCm: entry.girthCm, ...base });
    case 'gene-test':
      return into(facts.geneTests, { gene: entry.gene, result: entry.result, sampleId: entry.sampleId, ...base });
  }
}

const momentOrNot = (at: string | undefined) => (at === undefined ? undefined : momentOf(at));

/** An entry of mating as the rules of the book see it. */
export function matingToCheck(
  entry: MatingEntry,
  base: { readonly animalId: string; readonly on: Day },
): MatingEntryToCheck {
  switch (entry.type) {
    case 'heat':
      return { type: 'heat', at: momentOf(entry.at), ...base };
    case 'service': {
      const { way, maleIds, straw, otherMale, reason } = entry;
      return { type: 'service', at: momentOrNot(entry.at), way, maleIds, straw, otherMale, reason, ...base };
    }
    case 'stay':
      return {
        type: 'stay',
        groupId: entry.groupId,
        isTeaser: entry.isTeaser ?? false,
        reason: entry.reason,
        ...base,
      };
    case 'stay-end':
    case 'harness':
      return { type: entry.type, stayId: entry.stayId, ...base };
    case 'male-check':
      return { type: 'male-check', ...base };
    case 'gene-test':
      return { type: 'gene-test', gene: entry.gene, sampleId: entry.sampleId, ...base };
  }
}
