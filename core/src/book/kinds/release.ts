import type { Fact } from '../facts';
import type { FactKind } from './kind';

export interface ReleaseWritten {
  /** The entry that reserved it. */
  readonly reservationId: string;
}

export interface ReleaseFact extends Fact, ReleaseWritten {}

/** A reservation is let go. */
export const release: FactKind<'releases', ReleaseWritten, ReleaseFact> = {
  list: 'releases',
  isOfGone: true,
  fact: ({ reservationId }, base) => ({ reservationId, ...base }),
  check({ reservationId }, facts) {
    const value = { field: 'reservationId', value: reservationId };
    if (!facts.reservations.some((r) => r.entryId === reservationId)) return { code: 'unknown-reservation', ...value };
    return facts.releases.some((r) => r.reservationId === reservationId)
      ? { code: 'reservation-ended', ...value }
      : undefined;
  },
};
