import type { DeathCause } from '../../births';
import { isoOf } from '../../calendar';
import type { Fact } from '../facts';
import { checkLeaving } from '../withheld';
import type { FactKind } from './kind';

/** How one that stood here leaves. */
export const LEAVING_WAYS = ['sold', 'slaughtered', 'died', 'lost'] as const;
/** `elsewhere`: it never stood here, it is known by its number alone. */
export const DEPARTURE_WAYS = [...LEAVING_WAYS, 'elsewhere'] as const;
export type DepartureWay = (typeof DEPARTURE_WAYS)[number];

export interface DepartureWritten {
  readonly how: DepartureWay;
  /** Of one that died, as far as anybody could tell. */
  readonly cause?: DeathCause | undefined;
  /** Of one sold while meat or milk is withheld: to which last day, as the buyer was told. */
  readonly toldUntil?: string | undefined;
}

export interface DepartureFact extends Fact, DepartureWritten {}

/** It left the holding. */
export const departure: FactKind<'departures', DepartureWritten, DepartureFact> = {
  list: 'departures',
  fact: ({ how, cause, toldUntil }, base) => ({ how, cause, toldUntil, ...base }),
  touches: ['company'],
  check(entry, facts) {
    const { day } = entry;
    const gone = facts.departures.find((d) => d.on === day);
    return gone
      ? { code: 'gone', field: 'on', value: isoOf(day), goneOn: isoOf(gone.on) }
      : checkLeaving(entry, facts, day);
  },
};
