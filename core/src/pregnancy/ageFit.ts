import { addDays, type Day } from '../calendar';
import type { AnimalId, Days } from '../units';

/** When she may have conceived, and by whom: a service of a day, or a stretch she ran with males. */
export interface ConceptionCandidate {
  readonly from: Day;
  readonly to: Day;
  readonly maleIds: readonly AnimalId[];
  /** How likely it was before the day was told, beside the others; equal where it is left out. */
  readonly weight?: number;
}

export interface ScannedAge {
  readonly on: Day;
  readonly ageDays: Days;
}

export type AgeFit =
  | {
      readonly kind: 'fits';
      /** Place of the nearest in the list given. */
      readonly nearest: number;
      /** Days by which the scan is older than the nearest; 0 within a stretch. */
      readonly daysOff: number;
      /** Conceived then: the service's day, or within a stretch what the scan says. */
      readonly conceivedOn: Day;
      /** Probability of each candidate, in the order given. */
      readonly chances: readonly number[];
      /** Probability of each male, the likeliest first; several of one service share alike. */
      readonly sires: readonly { readonly maleId: AnimalId; readonly probability: number }[];
    }
  /** No service lies where the age says: one was not seen, or the age or the animal is another's. */
  | { readonly kind: 'none-fits'; readonly conceivedOn: Day; readonly nearestDaysOff: number | undefined };

/** Error of an age told by scan, standard deviation: 3 days to 60 days of age, then 5 % of it. Rule of thumb. */
export const scanAgeSd = (ageDays: Days): number => (ageDays <= 60 ? 3 : 0.05 * ageDays);

/** A scan so near a service is taken for it, whatever the error: both bounds included. */
export const SAME_SERVICE_DAYS = 5;

/**
 * Which service a scanned age speaks of. Each candidate weighs as much as the error of the scan makes its distance
 * likely (normal), times its weight beforehand; it fits within five days or 1.96 SD of the error, whichever is more.
 * Candidates after the scan are none.
 */
export function ageFit(scan: ScannedAge, candidates: readonly ConceptionCandidate[]): AgeFit {
  const sd = scanAgeSd(scan.ageDays);
  return fitConception(candidates, {
    saidOn: addDays(scan.on, -scan.ageDays),
    sd,
    within: Math.max(SAME_SERVICE_DAYS, 1.96 * sd),
    lastOn: scan.on,
  });
}

/** A day of conception as a scan or a birth tells it. */
export interface ConceptionTold {
  readonly saidOn: Day;
  /** Its error, standard deviation in days. */
  readonly sd: number;
  /** A candidate no further off still fits. */
  readonly within: number;
  /** Candidates that begin after this day are none. */
  readonly lastOn: Day;
}

/** Which candidate a day of conception speaks of, weighed by the normal density of its distance. */
export function fitConception(
  candidates: readonly ConceptionCandidate[],
  { saidOn, sd, within, lastOn }: ConceptionTold,
): AgeFit {
  // Days it says more than the candidate (its nearer end); 0 inside a stretch.
  const off = candidates.map(({ from, to }) => (saidOn < from ? from - saidOn : saidOn > to ? to - saidOn : 0));
  const isBefore = candidates.map((c) => c.from <= lastOn);
  const density = off.map((d, i) =>
    isBefore[i] ? (candidates[i]?.weight ?? 1) * Math.exp(-(d * d) / (2 * sd * sd)) : 0,
  );
  const nearest = off.reduce<number | undefined>(
    (best, d, i) => (isBefore[i] && (best === undefined || Math.abs(d) < Math.abs(off[best] as number)) ? i : best),
    undefined,
  );
  const nearestOff = nearest === undefined ? undefined : (off[nearest] as number);
  if (nearest === undefined || nearestOff === undefined || Math.abs(nearestOff) > within)
    return { kind: 'none-fits', conceivedOn: saidOn, nearestDaysOff: nearestOff };
  const sum = density.reduce((s, d) => s + d, 0);
  // A candidate without weight may still be the only one that is near.
  const chances = sum > 0 ? density.map((d) => d / sum) : off.map((_, i) => Number(i === nearest));
  return {
    kind: 'fits',
    nearest,
    daysOff: nearestOff,
    conceivedOn: addDays(saidOn, nearestOff),
    chances,
    sires: siresAmong(candidates, chances),
  };
}

/** Under this a male is not named as the sire. */
const NAMED_FROM = 0.005;

/** Each male's part of services that are so likely, the likeliest first; males of one service share alike. */
export function siresAmong(
  candidates: readonly Pick<ConceptionCandidate, 'maleIds'>[],
  chances: readonly number[],
): { readonly maleId: AnimalId; readonly probability: number }[] {
  const bySire = new Map<string, number>();
  candidates.forEach(({ maleIds }, i) => {
    for (const id of maleIds) bySire.set(id, (bySire.get(id) ?? 0) + (chances[i] as number) / maleIds.length);
  });
  return [...bySire]
    .map(([maleId, probability]) => ({ maleId, probability }))
    .filter((s) => s.probability >= NAMED_FROM)
    .sort((a, b) => b.probability - a.probability || (a.maleId < b.maleId ? -1 : 1));
}

/**
 * The day a scan puts the conception on for the in-young curve: that of a service on or before the scan within five
 * days (inclusive), the nearest of these, else its own.
 */
export function conceptionDay(scan: ScannedAge, serviceDays: readonly Day[]): Day {
  const saidOn = addDays(scan.on, -scan.ageDays);
  const near = serviceDays
    .filter((d) => d <= scan.on && Math.abs(d - saidOn) <= SAME_SERVICE_DAYS)
    .sort((a, b) => Math.abs(a - saidOn) - Math.abs(b - saidOn));
  return near[0] ?? saidOn;
}
