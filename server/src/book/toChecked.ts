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
  donorId: entry.donorId,
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
      return { type: 'arrival', animal: recordOf(entry), ...base };
    case 'weight':
      return { type: 'weight', kg: entry.kg, ...base };
    case 'identifier':
      return { type: 'identifier', kind: entry.kind, text: entry.text, colour: entry.colour, ...base };
    case 'identifier-end':
      return { type: 'identifier-end', identifierId: entry.identifierId, ...base };
    case 'move':
      return { type: 'move', groupId: entry.groupId, ...base };
    case 'treatment': {
      const { productId, amount, meatDays, isOffLabel = false } = entry;
      return { type: 'treatment', productId, amount, meatDays, isOffLabel, ...base };
    }
    case 'look':
      return { type: 'look', standardIds: Object.keys(entry.grades), ...base };
    case 'sample':
      return {
        type: 'sample',
        tube: entry.tube,
        isOfYoung: entry.purpose === 'pregnancy',
        reason: entry.reason,
        ...base,
      };
    case 'litter-weight':
      return { type: 'litter-weight', totalKg: entry.totalKg, count: entry.count, ...base };
    case 'score':
      return { type: 'score', score: entry.score, ...base };
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
