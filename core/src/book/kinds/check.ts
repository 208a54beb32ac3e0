import type { CheckMade } from '../../condition';
import type { Fact } from '../facts';
import type { FactKind } from './kind';

export interface CheckWritten extends Omit<CheckMade, 'what' | 'on'> {
  readonly what: CheckMade['what'] | 'milk' | 'womb';
}

/** Looked at for what keeps it thin, for how much milk it gives, or for its womb after a birth. */
export interface CheckFact extends Fact, CheckWritten {}

export const check: FactKind<'checks', CheckWritten, CheckFact> = {
  list: 'checks',
  fact: ({ what, isFound }, base) => ({ what, isFound, ...base }),
};
