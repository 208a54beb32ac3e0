/** Who works a job on this device, and on which day that was said: another day may bring another hand. */
export interface Hand {
  readonly by: string;
  readonly saidOn: string;
}

const keyOf = (jobId: string): string => `yaylak-hand-${jobId}`;
const LAST = 'yaylak-hand';

/** Who worked the job on this device, as it was last said. */
export function keptHand(jobId: string): Hand | undefined {
  try {
    const kept = JSON.parse(localStorage.getItem(keyOf(jobId)) ?? 'null') as Partial<Hand> | null;
    return kept && typeof kept.by === 'string' && typeof kept.saidOn === 'string'
      ? { by: kept.by, saidOn: kept.saidOn }
      : undefined;
  } catch {
    return undefined;
  }
}

/** Who was last at the race with this device. */
export const lastHand = (): string | undefined => localStorage.getItem(LAST) ?? undefined;

export function keepHand(jobId: string, hand: Hand): void {
  try {
    localStorage.setItem(keyOf(jobId), JSON.stringify(hand));
    localStorage.setItem(LAST, hand.by);
  } catch {
    // A device without storage asks again; the job itself is the outbox's to keep.
  }
}

export const forgetHand = (jobId: string): void => localStorage.removeItem(keyOf(jobId));
