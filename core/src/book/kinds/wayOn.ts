import type { WayOn } from '../../pregnancy';
import type { Fact } from '../facts';
import type { FactKind } from './kind';
import { checkCarries } from './ofFemales';

export interface WayOnWritten {
  readonly decision: WayOn;
  readonly reason?: string | undefined;
}

/** What was decided of one that is empty or doubtful. */
export interface WayOnFact extends Fact {
  readonly decision: WayOn;
  readonly reason: string | undefined;
}

export const wayOn: FactKind<'waysOn', WayOnWritten, WayOnFact> = {
  list: 'waysOn',
  fact: ({ decision, reason }, base) => ({ decision, reason, ...base }),
  check: (_, facts) => checkCarries(facts),
};
