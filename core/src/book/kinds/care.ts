import { isoOf } from '../../calendar';
import type { CareKind } from '../../handling';
import { castratedOn } from '../castration';
import type { Fact } from '../facts';
import type { FactKind } from './kind';

export interface CareWritten {
  readonly kind: CareKind;
  readonly method?: string | undefined;
}

export interface CareFact extends Fact {
  readonly kind: CareKind;
  readonly method: string | undefined;
}

/** Shorn, clipped, docked, castrated: one that was castrated is a castrate from that day. */
export const care: FactKind<'cares', CareWritten, CareFact> = {
  list: 'cares',
  fact: ({ kind, method }, base) => ({ kind, method, ...base }),
  touches: ['sex'],
  check({ kind, animalId }, facts) {
    if (kind !== 'castrate') return undefined;
    if (facts.record.sex === 'female') return { code: 'not-a-male', field: 'animalId', value: animalId };
    const before = castratedOn(facts);
    return before && { code: 'castrated', field: 'kind', value: kind, on: isoOf(before) };
  },
};
