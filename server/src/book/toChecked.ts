import type { AnimalEntry, ArrivalEntry } from '@yaylak/contract';
import { dayOf, type AnimalRecord, type CheckedEntry } from '@yaylak/core';
import { birthToCheck } from './birthFacts';
import { matingToCheck } from './matingFacts';
import { pregnancyToCheck } from './pregnancyFacts';

/** The record an arrival opens. */
export const recordOf = (entry: ArrivalEntry, version = 1): AnimalRecord => ({
  id: entry.animalId,
  species: entry.species,
  sex: entry.sex,
  bornOn: entry.bornOn ? dayOf(entry.bornOn) : undefined,
  damId: entry.damId,
  sireId: entry.sireId,
  birthType: entry.birthType,
  rearingType: entry.rearingType,
  strain: entry.strain,
  version,
});

/** An entry as the rules of the book see it. */
export function toChecked(entry: AnimalEntry): CheckedEntry {
  const base = { animalId: entry.animalId, on: dayOf(entry.on) };
  switch (entry.type) {
    case 'arrival':
      return { type: 'arrival', ...base, animal: recordOf(entry) };
    case 'weight':
      return { type: 'weight', ...base, kg: entry.kg };
    case 'identifier':
      return { type: 'identifier', ...base, kind: entry.kind, text: entry.text, colour: entry.colour };
    case 'identifier-end':
      return { type: 'identifier-end', ...base, identifierId: entry.identifierId };
    case 'move':
      return { type: 'move', ...base, groupId: entry.groupId };
    case 'treatment': {
      const { productId, amount, meatDays, isOffLabel = false } = entry;
      return { type: 'treatment', ...base, productId, amount, meatDays, isOffLabel };
    }
    case 'look':
      return { type: 'look', ...base, standardIds: Object.keys(entry.grades) };
    case 'sample':
      return {
        type: 'sample',
        ...base,
        tube: entry.tube,
        isOfYoung: entry.purpose === 'pregnancy',
        reason: entry.reason,
      };
    case 'litter-weight':
      return { type: 'litter-weight', ...base, totalKg: entry.totalKg, count: entry.count };
    case 'score':
      return { type: 'score', ...base, score: entry.score };
    case 'heat':
    case 'service':
    case 'stay':
    case 'stay-end':
    case 'harness':
    case 'male-check':
    case 'gene-test':
      return matingToCheck(entry, base);
    case 'pregnancy-test':
    case 'loss':
    case 'way-on':
    case 'carrying-step':
      return pregnancyToCheck(entry, base);
    case 'birth':
    case 'afterbirth':
    case 'colostrum':
    case 'fostering':
    case 'weaning':
    case 'feed':
    case 'pen-stage':
      return birthToCheck(entry, base);
    case 'mob':
    case 'check':
    case 'care':
    case 'departure':
    case 'mark':
    case 'choice':
    case 'note':
    case 'passage':
      return { type: entry.type, ...base };
  }
}
