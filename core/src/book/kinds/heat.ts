import { momentOf } from '../../calendar';
import type { HeatLook, HeatSign } from '../../mating';
import type { Fact } from '../facts';
import type { FactKind } from './kind';
import { onItsDay } from './onItsDay';

export interface HeatWritten {
  readonly at: string;
  readonly signs: readonly HeatSign[];
}

/** Looked at for heat. */
export interface HeatFact extends Fact, HeatLook {}

export const heat: FactKind<'heats', HeatWritten, HeatFact> = {
  list: 'heats',
  fact: ({ at, signs }, base) => ({ at: momentOf(at), signs, ...base }),
  check: (entry, { record }) =>
    record.sex === 'female' ? onItsDay(entry) : { code: 'not-a-female', field: 'animalId', value: entry.animalId },
};
