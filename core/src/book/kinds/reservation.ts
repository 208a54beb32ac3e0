import { isoOf, parseDay, type Day } from '../../calendar';
import type { Fact } from '../facts';
import { reservedOn } from '../reserved';
import type { FactKind } from './kind';

export interface ReservationWritten {
  readonly buyer: string;
  /** The last day it is kept for the buyer. */
  readonly until?: string | undefined;
  /** Agreed for the animal, in the holding's currency, cents. */
  readonly priceMinor?: number | undefined;
  /** Paid already, in the holding's currency, cents. */
  readonly depositMinor?: number | undefined;
}

export interface ReservationFact extends Fact {
  readonly buyer: string;
  readonly until: Day | undefined;
  readonly priceMinor: number | undefined;
  readonly depositMinor: number | undefined;
}

/** It is kept for a buyer. */
export const reservation: FactKind<'reservations', ReservationWritten, ReservationFact> = {
  list: 'reservations',
  fact: ({ buyer, until, priceMinor, depositMinor }, base) => ({
    buyer,
    until: until === undefined ? undefined : parseDay(until),
    priceMinor,
    depositMinor,
    ...base,
  }),
  check({ day, until, priceMinor, depositMinor }, facts) {
    const last = until === undefined ? undefined : parseDay(until);
    if (last !== undefined && last < day) return { code: 'ends-before-it-begins', field: 'until', value: isoOf(last) };
    if (depositMinor !== undefined && priceMinor !== undefined && depositMinor > priceMinor)
      return { code: 'deposit-over-price', field: 'depositMinor', value: String(depositMinor / 100) };
    const open = reservedOn(facts, day);
    return open
      ? { code: 'reserved', field: 'buyer', value: open.buyer, until: open.until && isoOf(open.until) }
      : undefined;
  },
};
