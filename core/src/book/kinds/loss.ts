import type { LossWay } from '../../pregnancy';
import type { Fact } from '../facts';
import type { FactKind } from './kind';
import { checkCarries } from './ofFemales';

export interface LossWritten {
  readonly how: LossWay;
}

export interface LossFact extends Fact, LossWritten {}

/** She lost what she carried. */
export const loss: FactKind<'losses', LossWritten, LossFact> = {
  list: 'losses',
  fact: ({ how }, base) => ({ how, ...base }),
  check: (_, facts) => checkCarries(facts),
};
