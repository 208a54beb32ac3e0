import { normalised } from '../../identity';
import type { Fact } from '../facts';
import { testTooSoon } from '../testTooSoon';
import type { FactKind } from './kind';
import type { AnimalId } from '../../units';

export interface SampleWritten {
  readonly tube: string;
  readonly purpose: string;
  readonly reason?: string | undefined;
}

export interface SampleFact extends Fact {
  readonly animalId: AnimalId;
  readonly tube: string;
  readonly purpose: string;
  readonly jobId: string | undefined;
}

/** Blood that is to tell of young is not taken before it can, unless there is a reason. */
const OF_YOUNG = 'pregnancy';

/** A tube was filled. */
export const sample: FactKind<'samples', SampleWritten, SampleFact> = {
  list: 'samples',
  fact: ({ animalId, tube, purpose, jobId }, base) => ({ animalId, tube, purpose, jobId, ...base }),
  touches: ['tubes'],
  check(entry, { record }, book) {
    const value = entry.tube;
    if (normalised(value) === '') return { code: 'empty', field: 'tube', value };
    const animalId = book.tubeOf(value, entry.day);
    if (animalId !== undefined) return { code: 'tube-taken', field: 'tube', value, animalId };
    if (entry.purpose !== OF_YOUNG) return undefined;
    if (record.sex !== 'female') return { code: 'does-not-carry', field: 'animalId', value: record.id };
    return entry.reason === undefined ? testTooSoon(entry, 'blood', record.species, book) : undefined;
  },
};
