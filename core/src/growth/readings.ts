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

export type ReadingDoubt = (
  | { readonly kind: 'jump'; readonly fromKg: Kilograms; readonly days: Days; readonly likelyUpToKg: Kilograms }
  | { readonly kind: 'fall'; readonly fromKg: Kilograms; readonly days: Days; readonly likelyDownToKg: Kilograms }
  /** Another reading of the day says otherwise. */
  | { readonly kind: 'same-day'; readonly fromKg: Kilograms }
  /** A first weight no animal of that age has. */
  | { readonly kind: 'for-age'; readonly ageDays: Days; readonly lowKg: Kilograms; readonly highKg: Kilograms }
) & {
  /** What was likely meant: the point in another place, or grams for kilograms. */
  readonly likelyKg?: Kilograms | undefined;
};

/** What a reading is held against. */
export interface KnownReadings {
  /** The reading of the last day before. */
  readonly before?: Reading | undefined;
  /** Another reading of the same day. */
  readonly sameDay?: Reading | undefined;
  /** At the reading; asked only of a first weight. */
  readonly ageDays?: Days | undefined;
}

type DoubtSettings = Pick<SpeciesSettings, 'readingSdShare' | 'fastestGainKgPerDay' | 'birthWeightKg' | 'heaviestKg'>;

/**
 * A doubt about a reading: more than 5 SD of the two readings beyond what the fastest gain or the worst fall since the
 * one before explains, or from another of the same day; a first weight, outside what an animal of its age can weigh.
 * The reading is kept all the same.
 */
export function doubtReading(
  { before, sameDay, ageDays }: KnownReadings,
  reading: Reading,
  settings: DoubtSettings,
): ReadingDoubt | undefined {
  const { kg } = reading;
  const noise = (beside: Reading, ofKg: Kilograms): number =>
    FLAG_AT_SD * Math.hypot(readingSd(beside.kg, settings), readingSd(ofKg, settings));
  if (sameDay) {
    const isNear = (ofKg: Kilograms): boolean => Math.abs(ofKg - sameDay.kg) <= noise(sameDay, ofKg);
    if (!isNear(kg)) return { kind: 'same-day', fromKg: sameDay.kg, likelyKg: likelyMeant(kg, isNear) };
  }
  if (before && before.on < reading.on) {
    const days = reading.on - before.on;
    const fall = Math.min(FALL_AT_MOST, FALL_AT_ONCE + FALL_A_DAY * days);
    const upTo = (ofKg: Kilograms): Kilograms => before.kg + settings.fastestGainKgPerDay * days + noise(before, ofKg);
    const downTo = (ofKg: Kilograms): Kilograms => Math.max(0, before.kg * (1 - fall) - noise(before, ofKg));
    const likelyKg = likelyMeant(kg, (ofKg) => ofKg <= upTo(ofKg) && ofKg >= downTo(ofKg));
    const fromKg = before.kg;
    if (kg > upTo(kg)) return { kind: 'jump', fromKg, days, likelyUpToKg: upTo(kg), likelyKg };
    if (kg < downTo(kg)) return { kind: 'fall', fromKg, days, likelyDownToKg: downTo(kg), likelyKg };
    return undefined;
  }
  return sameDay || ageDays === undefined || ageDays < 0 ? undefined : doubtForAge(kg, ageDays, settings);
}

/** A weight that no animal of an age has: by the birth weights and the fastest gain of the species, with wide margins. */
export function doubtForAge(kg: Kilograms, ageDays: Days, settings: DoubtSettings): ReadingDoubt | undefined {
  const { birthWeightKg, fastestGainKgPerDay, heaviestKg } = settings;
  const [least, most] = [Math.min(...birthWeightKg), Math.max(...birthWeightKg)];
  const lowKg = Math.min(LIGHT_AT_BIRTH * least + SLOW_GAIN * fastestGainKgPerDay * ageDays, LIGHT_GROWN * heaviestKg);
  const highKg = Math.min(HEAVY_AT_BIRTH * most + FAST_GAIN * fastestGainKgPerDay * ageDays, heaviestKg);
  const isLikely = (ofKg: Kilograms): boolean => ofKg >= lowKg && ofKg <= highKg;
  return isLikely(kg) ? undefined : { kind: 'for-age', ageDays, lowKg, highKg, likelyKg: likelyMeant(kg, isLikely) };
}

/** Shares of the birth weights, of the fastest gain and of the heaviest, beyond which a first weight is a slip. Rules of thumb. */
const LIGHT_AT_BIRTH = 0.4;
const HEAVY_AT_BIRTH = 2;
const SLOW_GAIN = 0.07;
const FAST_GAIN = 1.5;
const LIGHT_GROWN = 0.08;

/** Slips of the keys, the commonest first: the point left out, put in too early, and one unit for the other. */
const SLIPS = [0.1, 10, 0.001, 1000, 0.01, 100] as const;
const likelyMeant = (kg: Kilograms, isLikely: (kg: Kilograms) => boolean): Kilograms | undefined =>
  SLIPS.map((times) => Number((kg * times).toPrecision(6))).find(isLikely);
