import { addYears, toCalendarDate, type Day } from '../calendar';
import { median } from '../statistics';
import type { Reading } from './readings';
import type { Kilograms, Days } from '../units';

export type AdultAlarm =
  | {
      readonly kind: 'under-usual';
      readonly kg: Kilograms;
      readonly usualKg: Kilograms;
      readonly share: number;
      readonly readings: number;
    }
  | {
      readonly kind: 'fall';
      readonly fromKg: Kilograms;
      readonly kg: Kilograms;
      readonly days: Days;
      readonly share: number;
    };

/** Under this share of the usual weight is an alarm. Rule of thumb. */
export const USUAL_SHARE = 0.92;
/** A fall of more than this share in 30 days is an alarm. Rule of thumb. */
export const FALL_SHARE = 0.05;
const FALL_DAYS = 30;
/** Readings within so many days of the same date in other years belong to the same stage of the year. */
const STAGE_DAYS = 45;

/**
 * Alarm on a grown animal's last weight: under 92 % of its own median at that stage of the year over the two years
 * before, or a fall of over 5 % in 30 days outside a birth.
 * @param daily    as `dailyReadings` gives them, grown weights only
 * @param birthsOn days it gave birth: a fall with one between the two readings is none
 */
export function adultAlarm(daily: readonly Reading[], birthsOn: readonly Day[]): AdultAlarm | undefined {
  const last = daily.at(-1);
  if (!last) return undefined;
  const before = daily.filter((r) => r.on < last.on && last.on - r.on <= FALL_DAYS);
  const heaviest = before.reduce<Reading | undefined>((top, r) => (!top || r.kg > top.kg ? r : top), undefined);
  if (
    heaviest &&
    isUnder(last.kg, heaviest.kg * (1 - FALL_SHARE)) &&
    !birthsOn.some((b) => b >= heaviest.on && b <= last.on)
  )
    return {
      kind: 'fall',
      fromKg: heaviest.kg,
      kg: last.kg,
      days: last.on - heaviest.on,
      share: 1 - last.kg / heaviest.kg,
    };
  const usual = daily.filter(
    (r) =>
      r.on < last.on &&
      r.on >= addYears(last.on, -2) - STAGE_DAYS &&
      isSameStage(r.on, last.on) &&
      last.on - r.on > STAGE_DAYS,
  );
  const usualKg = median(usual.map((r) => r.kg));
  if (usualKg === undefined || !isUnder(last.kg, usualKg * USUAL_SHARE)) return undefined;
  return { kind: 'under-usual', kg: last.kg, usualKg, share: last.kg / usualKg, readings: usual.length };
}

/** Under, and not only by the dust of binary fractions: 92 % of 65 kg is 59.8 kg and no alarm. */
const isUnder = (kg: Kilograms, bound: number): boolean => kg < bound - 1e-9;

function isSameStage(a: Day, b: Day): boolean {
  const years = toCalendarDate(b).year - toCalendarDate(a).year;
  return [years - 1, years, years + 1].some((y) => Math.abs(addYears(a, y) - b) <= STAGE_DAYS);
}
