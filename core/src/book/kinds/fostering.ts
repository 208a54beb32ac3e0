import { isPresent } from '../derived';
import type { Fact } from '../facts';
import type { FactKind } from './kind';
import type { AnimalId } from '../../units';

export interface FosteringWritten {
  readonly damId?: AnimalId | undefined;
}

/** Put under a dam that is not its own or back again; without a dam it is reared by hand. */
export interface FosteringFact extends Fact {
  readonly damId: AnimalId | undefined;
}

export const fostering: FactKind<'fosterings', FosteringWritten, FosteringFact> = {
  list: 'fosterings',
  fact: ({ damId }, base) => ({ damId, ...base }),
  touches: ['kin', 'fosterings'],
  check({ damId: value, day: on }, { record, weanings }, book) {
    if (weanings.some((w) => w.isDone && w.on <= on))
      return { code: 'already-weaned', field: 'animalId', value: record.id };
    if (value === undefined) return undefined;
    const dam = book.animal(value);
    if (!dam || dam.record.sex !== 'female') return { code: 'gives-no-birth', field: 'damId', value };
    if (value === record.id) return { code: 'own-mother', field: 'damId', value };
    return isPresent(dam, on) ? undefined : { code: 'dam-gone', field: 'damId', value };
  },
};
