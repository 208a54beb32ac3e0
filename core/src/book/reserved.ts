import type { Day } from '../calendar';
import type { Days } from '../units';
import type { AnimalFacts } from './facts';
import type { ReservationFact } from './kinds/reservation';

type OfReservations = Pick<AnimalFacts, 'reservations' | 'releases' | 'departures'>;

/** Whom an animal is kept for on a day; a reservation ends with its day, when it is let go, and when the animal leaves. */
export function reservedOn(facts: OfReservations, day: Day): ReservationFact | undefined {
  if (facts.departures.some((d) => d.on <= day)) return undefined;
  return facts.reservations.findLast(
    (r) => r.on <= day && (r.until === undefined || r.until >= day) && !isReleased(facts, r, day),
  );
}

/** How long it is told that a reservation has run out. */
const TOLD_DAYS: Days = 7;

/** A reservation whose day is over, so that the animal is free again, for as long as that is news. */
export function lapsedOn(facts: OfReservations, day: Day): ReservationFact | undefined {
  if (facts.departures.some((d) => d.on <= day) || reservedOn(facts, day)) return undefined;
  const last = facts.reservations.at(-1);
  if (last?.until === undefined || last.until >= day || last.until < day - TOLD_DAYS) return undefined;
  return isReleased(facts, last, day) ? undefined : last;
}

const isReleased = ({ releases }: OfReservations, { entryId }: ReservationFact, day: Day): boolean =>
  releases.some((r) => r.reservationId === entryId && r.on <= day);
