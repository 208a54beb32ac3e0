import type { Fact } from '../facts';
import type { FactKind } from './kind';
import { checkWeight } from './weight';
import type { Kilograms } from '../../units';

export interface LitterWeightWritten {
  readonly totalKg: Kilograms;
  readonly count: number;
}

/** A litter on the scale together, written down with its dam. */
export interface LitterWeightFact extends Fact, LitterWeightWritten {}

export const litterWeight: FactKind<'litterWeights', LitterWeightWritten, LitterWeightFact> = {
  list: 'litterWeights',
  fact: ({ totalKg, count }, base) => ({ totalKg, count, ...base }),
  check({ totalKg, count }, { record }, book) {
    if (record.sex !== 'female') return { code: 'not-a-dam', field: 'animalId', value: record.id };
    // By the head: a litter may weigh more than any one of the species.
    const fault = checkWeight(totalKg / count, record.species, book);
    return fault && { ...fault, field: 'totalKg' };
  },
};
