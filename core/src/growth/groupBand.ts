import { quantileSorted, sorted } from '../statistics';
import type { Reading } from './readings';
import type { Day } from '../calendar';
import type { Kilograms, Days } from '../units';

export interface BandPoint {
  readonly ageDays: Days;
  readonly lowKg: Kilograms;
  readonly midKg: Kilograms;
  readonly highKg: Kilograms;
  readonly animals: number;
}

/**
 * The middle half (quartiles) of a group's weights by age: at each age of the grid the weights of all members, each
 * read off the straight line between its own neighbouring readings. Ages with fewer than `atLeast` members are left out.
 */
export function groupBand(
  members: readonly { readonly bornOn: Day; readonly daily: readonly Reading[] }[],
  gridDays: readonly number[],
  atLeast = 3,
): BandPoint[] {
  return gridDays.flatMap((ageDays) => {
    const kgs = sorted(members.flatMap((m) => weightOn(m.daily, m.bornOn + ageDays) ?? []));
    if (kgs.length < atLeast) return [];
    const q = (p: number): number => quantileSorted(kgs, p) as number;
    return [{ ageDays, lowKg: q(0.25), midKg: q(0.5), highKg: q(0.75), animals: kgs.length }];
  });
}

/** Weight on a day between two readings, on the straight line; nothing before the first or after the last. */
export function weightOn(daily: readonly Reading[], on: number): number | undefined {
  let low = 0;
  let high = daily.length - 1;
  if (high < 0 || on < (daily[0] as Reading).on || on > (daily[high] as Reading).on) return undefined;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if ((daily[middle] as Reading).on <= on) low = middle;
    else high = middle;
  }
  const a = daily[low] as Reading;
  const b = daily[high] as Reading;
  return a.on === b.on ? a.kg : a.kg + ((b.kg - a.kg) * (on - a.on)) / (b.on - a.on);
}
