import type { MobFrom } from '../../condition';
import type { Fact } from '../facts';
import type { FactKind } from './kind';

export interface MobWritten {
  readonly mob: MobFrom['mob'];
}

/** Put into a feed mob. */
export interface MobFact extends Fact, MobFrom {}

export const mob: FactKind<'mobs', MobWritten, MobFact> = {
  list: 'mobs',
  fact: (entry, base) => ({ mob: entry.mob, ...base }),
};
