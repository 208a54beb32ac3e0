import type { DeathCause } from '../../births';
import { isoOf } from '../../calendar';
import type { Fact } from '../facts';
import type { FactKind } from './kind';

export interface DepartureWritten {
  readonly how: 'died' | 'sold' | 'slaughtered' | 'lost';
  /** Of one that died, as far as anybody could tell. */
  readonly cause?: DeathCause | undefined;
}

export interface DepartureFact extends Fact, DepartureWritten {}

/** It left the holding. */
export const departure: FactKind<'departures', DepartureWritten, DepartureFact> = {
  list: 'departures',
  fact: ({ how, cause }, base) => ({ how, cause, ...base }),
  touches: ['company'],
  check({ day }, facts) {
    const gone = facts.departures.find((d) => d.on === day);
    return gone && { code: 'gone', field: 'on', value: isoOf(day), goneOn: isoOf(gone.on) };
  },
};
