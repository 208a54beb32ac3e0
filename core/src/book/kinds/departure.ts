import type { DeathCause } from '../../births';
import { isoOf } from '../../calendar';
import type { Fact } from '../facts';
import type { Kilograms } from '../../units';
import type { Refusal } from '../refusals';
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
  /** Where it went, to whom, what was paid for it (hundredths of the money, charges not yet off) and what it weighed. */
  readonly outletId?: string | undefined;
  readonly buyer?: string | undefined;
  readonly priceMinor?: number | undefined;
  readonly kg?: Kilograms | undefined;
  /** Its part of what the trip there cost, hundredths of the money; what the outlet usually takes where it is not said. */
  readonly haulageMinor?: number | undefined;
}

export interface DepartureFact extends Fact, DepartureWritten {}

/** It left the holding. */
export const departure: FactKind<'departures', DepartureWritten, DepartureFact> = {
  list: 'departures',
  fact: ({ how, cause, toldUntil, outletId, buyer, priceMinor, kg, haulageMinor }, base) => ({
    how,
    cause,
    toldUntil,
    ...(outletId === undefined ? {} : { outletId }),
    ...(buyer === undefined ? {} : { buyer }),
    ...(priceMinor === undefined ? {} : { priceMinor }),
    ...(kg === undefined ? {} : { kg }),
    ...(haulageMinor === undefined ? {} : { haulageMinor }),
    ...base,
  }),
  touches: ['company'],
  check(entry, facts) {
    const { day } = entry;
    const gone = facts.departures.find((d) => d.on === day);
    if (gone) return { code: 'gone', field: 'on', value: isoOf(day), goneOn: isoOf(gone.on) };
    return checkSale(entry) ?? checkLeaving(entry, facts, day);
  },
};

/** What belongs to a sale is said of one that was sold. */
function checkSale(entry: DepartureWritten): Refusal | undefined {
  if (entry.how === 'sold' || entry.how === 'slaughtered') return undefined;
  const field = SALE_FIELDS.find((f) => entry[f] !== undefined);
  return field && { code: 'not-sold', field, value: String(entry[field]) };
}
const SALE_FIELDS = ['outletId', 'buyer', 'priceMinor', 'kg', 'haulageMinor'] as const;
