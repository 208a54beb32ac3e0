import type { Day } from '../calendar';
import type { SpeciesSettings } from '../species';
import { Z_80 } from '../statistics';
import type { Days } from '../units';
import { readingSd, type Reading } from './readings';

/** Read with a stick and a tape, standing square on level ground; centimetres. */
export const BODY_MEASURES = ['heightCm', 'lengthCm', 'girthCm'] as const;
export type BodyMeasure = (typeof BODY_MEASURES)[number];
export type BodyMeasures = Readonly<Partial<Record<BodyMeasure, number>>>;

/** A weight says something of a height only when both are of one time. */
const MOST_DAYS_APART: Days = 14;
/** SD of one height read on a standing animal, as a share of it: how square it stands, where the stick is put. */
const HEIGHT_SD_SHARE = 0.015;

export interface WeightForHeight {
  readonly kgPerCm: number;
  /** SD from the reading of the weight and of the height, kilograms a centimetre. */
  readonly sd: number;
  /** The weight taken for it. */
  readonly weighed: Reading;
}

/**
 * Kilograms for a centimetre of height at the withers, by the weighing nearest to the day it was measured, of two
 * equally near the later.
 * @param readings daily, guesses set right
 * @returns undefined without a weighing in the fourteen days before or after it
 */
export function weightForHeight(
  measured: { readonly on: Day; readonly heightCm: number },
  readings: readonly Reading[],
  settings: Pick<SpeciesSettings, 'readingSdShare'>,
): WeightForHeight | undefined {
  const apart = (r: Reading): Days => Math.abs(r.on - measured.on);
  const weighed = readings
    .filter((r) => apart(r) <= MOST_DAYS_APART)
    .reduce<Reading | undefined>((near, r) => (near && apart(near) < apart(r) ? near : r), undefined);
  if (!weighed) return undefined;
  const kgPerCm = weighed.kg / measured.heightCm;
  return { kgPerCm, sd: kgPerCm * Math.hypot(readingSd(weighed.kg, settings) / weighed.kg, HEIGHT_SD_SHARE), weighed };
}

/** Where it stands to the aim: said only when it is further off than the readings leave open, four times out of five. */
export function againstAim({ kgPerCm, sd }: WeightForHeight, aim: number): 'light' | 'as-aimed' | 'heavy' {
  const off = kgPerCm - aim;
  if (Math.abs(off) <= Z_80 * sd) return 'as-aimed';
  return off < 0 ? 'light' : 'heavy';
}
