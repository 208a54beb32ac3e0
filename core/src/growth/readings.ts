import type { Day } from '../calendar';
import type { SpeciesSettings } from '../species';
import { mean } from '../statistics';
import type { Kilograms, Days } from '../units';

export const WEIGHING_METHODS = ['scale', 'crate', 'tape', 'litter', 'estimate'] as const;
export type WeighingMethod = (typeof WEIGHING_METHODS)[number];

export interface Reading {
  readonly on: Day;
  readonly kg: Kilograms;
  readonly method: WeighingMethod;
}

/** Which reading of a day counts where several ways were used: the surest first. */
const SUREST: Readonly<Record<WeighingMethod, number>> = { scale: 0, crate: 1, litter: 2, tape: 3, estimate: 4 };

/**
 * One reading a day in rising order of days: readings of a day by one method are averaged, then the surest method of
 * the day counts.
 */
export function dailyReadings(readings: readonly Reading[]): Reading[] {
  if (isDailyAlready(readings)) return [...readings];
  const byDay = new Map<Day, Map<WeighingMethod, number[]>>();
  for (const r of readings) {
    const methods = byDay.get(r.on) ?? new Map<WeighingMethod, number[]>();
    byDay.set(r.on, methods);
    methods.set(r.method, [...(methods.get(r.method) ?? []), r.kg]);
  }
  return [...byDay]
    .sort(([a], [b]) => a - b)
    .map(([on, methods]) => {
      const [method, kgs] = [...methods].sort(([a], [b]) => SUREST[a] - SUREST[b])[0] as [WeighingMethod, number[]];
      return { on, kg: mean(kgs) as number, method };
    });
}

const isDailyAlready = (readings: readonly Reading[]): boolean =>
  readings.every((r, i) => i === 0 || (readings[i - 1] as Reading).on < r.on);

/**
 * The reading of the last day before another, as `dailyReadings` gives it. Only that day is looked at, so that it may
 * be asked for each of a hundred thousand weights.
 * @param readings in rising order of days, any number a day
 */
export function readingBefore(readings: readonly Reading[], on: Day): Reading | undefined {
  let low = 0;
  let high = readings.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((readings[middle] as Reading).on < on) low = middle + 1;
    else high = middle;
  }
  const day = readings[low - 1]?.on;
  let from = low;
  while (from > 0 && readings[from - 1]?.on === day) from--;
  return dailyReadings(readings.slice(from, low))[0];
}

/** SD of one reading, kilograms. */
export const readingSd = (kg: Kilograms, settings: Pick<SpeciesSettings, 'readingSdShare'>): number =>
  kg * settings.readingSdShare;

/** Share of body weight that can go at once without anything being wrong with the reading: a birth, a fleece. */
const FALL_AT_ONCE = 0.15;
/** Further share that hunger or illness can take a day, to at most FALL_AT_MOST in all. Rules of thumb. */
const FALL_A_DAY = 0.005;
const FALL_AT_MOST = 0.4;
const FLAG_AT_SD = 5;

export type ReadingDoubt =
  | { readonly kind: 'jump'; readonly fromKg: Kilograms; readonly days: Days; readonly likelyUpToKg: Kilograms }
  | { readonly kind: 'fall'; readonly fromKg: Kilograms; readonly days: Days; readonly likelyDownToKg: Kilograms };

/**
 * A doubt about a reading beside the one before it: more than 5 SD of the two readings beyond what the fastest gain
 * or the worst fall explains. The reading is kept all the same.
 */
export function doubtReading(
  before: Reading | undefined,
  reading: Reading,
  settings: Pick<SpeciesSettings, 'readingSdShare' | 'fastestGainKgPerDay'>,
): ReadingDoubt | undefined {
  if (!before || before.on >= reading.on) return undefined;
  const days = reading.on - before.on;
  const noise = FLAG_AT_SD * Math.hypot(readingSd(before.kg, settings), readingSd(reading.kg, settings));
  const likelyUpToKg = before.kg + settings.fastestGainKgPerDay * days + noise;
  if (reading.kg > likelyUpToKg) return { kind: 'jump', fromKg: before.kg, days, likelyUpToKg };
  const fall = Math.min(FALL_AT_MOST, FALL_AT_ONCE + FALL_A_DAY * days);
  const likelyDownToKg = Math.max(0, before.kg * (1 - fall) - noise);
  if (reading.kg < likelyDownToKg) return { kind: 'fall', fromKg: before.kg, days, likelyDownToKg };
  return undefined;
}
