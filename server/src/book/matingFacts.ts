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
      return into(facts.heats, { ...base, at: momentOf(entry.at), signs: entry.signs });
    case 'service': {
      const { way, maleIds, straw, colour, isCheck = false } = entry;
      return into(facts.services, { ...base, at: momentOrNot(entry.at), way, maleIds, straw, colour, isCheck });
    }
    case 'stay':
      return into(facts.stays, {
        ...base,
        groupId: entry.groupId,
        colour: entry.colour,
        isTeaser: entry.isTeaser ?? false,
      });
    case 'stay-end':
      return into(facts.stayEnds, { ...base, stayId: entry.stayId });
    case 'harness':
      return into(facts.harnesses, { ...base, stayId: entry.stayId, colour: entry.colour });
    case 'male-check':
      return into(facts.maleChecks, { ...base, grades: entry.grades, girthCm: entry.girthCm });
    case 'gene-test':
      return into(facts.geneTests, { ...base, gene: entry.gene, result: entry.result, sampleId: entry.sampleId });
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
      return { type: 'heat', ...base, at: momentOf(entry.at) };
    case 'service': {
      const { way, maleIds, straw, reason } = entry;
      return { type: 'service', ...base, at: momentOrNot(entry.at), way, maleIds, straw, reason };
    }
    case 'stay':
      return { type: 'stay', ...base, groupId: entry.groupId };
    case 'stay-end':
    case 'harness':
      return { type: entry.type, ...base, stayId: entry.stayId };
    case 'male-check':
      return { type: 'male-check', ...base };
    case 'gene-test':
      return { type: 'gene-test', ...base, gene: entry.gene, sampleId: entry.sampleId };
  }
}
