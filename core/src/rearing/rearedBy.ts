import { addDays, type Day } from '../calendar';
import type { AnimalId } from '../units';

/** Put under another dam, or reared by hand: without a dam. */
export interface Fostering {
  readonly on: Day;
  readonly damId: AnimalId | undefined;
}

/** A young as its rearing is reckoned with. */
export interface Reared {
  readonly id: AnimalId;
  readonly bornOn: Day;
  readonly birthDamId: AnimalId | undefined;
  /** In order of day. */
  readonly fosterings: readonly Fostering[];
  readonly weanedOn: Day | undefined;
  /** Died or left. */
  readonly goneOn: Day | undefined;
}

export const BY_HAND = 'by-hand';

/** The dam that rears a young on a day, or `by-hand`; undefined once it is weaned or gone, or without a known dam. */
export function rearedBy(young: Reared, on: Day): string | undefined {
  if (on < young.bornOn || on >= (young.weanedOn ?? Infinity) || on >= (young.goneOn ?? Infinity)) return undefined;
  const last = young.fosterings.findLast((f) => f.on <= on);
  return last ? (last.damId ?? BY_HAND) : young.birthDamId;
}

/** Young under one dam born within so many days of each other are one litter. */
export const ONE_LITTER_DAYS = 21;

/**
 * Reared as one of so many: those its dam reared together with it, itself included, on the last day it was with a dam
 * up to `asOf` and up to the age of weaning. Another's young beside her own count, one that was fostered away does not.
 * @param herd all young that may have been under the same dam
 * @returns undefined reared by hand, or without a known dam
 */
export function rearingType(young: Reared, herd: readonly Reared[], weaningAge: number, asOf: Day): number | undefined {
  const last = Math.min(
    asOf,
    addDays(young.bornOn, weaningAge),
    (young.weanedOn ?? Infinity) - 1,
    (young.goneOn ?? Infinity) - 1,
  ) as Day;
  const on = Math.max(last, young.bornOn) as Day;
  const damId = rearedBy(young, on);
  if (damId === undefined || damId === BY_HAND) return undefined;
  return herd.filter((y) => Math.abs(y.bornOn - young.bornOn) <= ONE_LITTER_DAYS && rearedBy(y, on) === damId).length;
}
