import type { Day } from '../calendar';
import { mean, standardDeviation } from '../statistics';

/** A whole litter on the scale together, or kit by kit. */
export interface LitterCounting {
  readonly on: Day;
  readonly count: number;
  readonly totalKg: number;
}

export type LitterGain =
  | {
      readonly kind: 'gain';
      /** Of the whole litter; undefined when the count changed, for then it says nothing of growth. */
      readonly litterKgPerDay: number | undefined;
      readonly kgPerHeadPerDay: number;
      readonly countChangedBy: number;
      readonly days: number;
    }
  | { readonly kind: 'no-gain'; readonly reason: 'one-date' | 'none-left' };

/** Daily gain of a litter between countings; when one died or was fostered between, per head only, and it says so. */
export function litterGain(a: LitterCounting, b: LitterCounting): LitterGain {
  const days = b.on - a.on;
  if (days <= 0) return { kind: 'no-gain', reason: 'one-date' };
  if (a.count === 0 || b.count === 0) return { kind: 'no-gain', reason: 'none-left' };
  const countChangedBy = b.count - a.count;
  return {
    kind: 'gain',
    litterKgPerDay: countChangedBy === 0 ? (b.totalKg - a.totalKg) / days : undefined,
    kgPerHeadPerDay: (b.totalKg / b.count - a.totalKg / a.count) / days,
    countChangedBy,
    days,
  };
}

/** A kit under this share of its litter's mean is a runt to watch. Rule of thumb. */
export const RUNT_SHARE = 0.7;

export interface LitterSpread {
  readonly count: number;
  readonly totalKg: number;
  readonly meanKg: number;
  /** Standard deviation; undefined for one. */
  readonly sdKg: number | undefined;
  readonly runtIds: readonly string[];
}

/** Total, mean, spread and runts of a litter weighed one by one. @returns undefined for none */
export function litterSpread(kits: readonly { readonly id: string; readonly kg: number }[]): LitterSpread | undefined {
  const kgs = kits.map((k) => k.kg);
  const meanKg = mean(kgs);
  if (meanKg === undefined) return undefined;
  return {
    count: kits.length,
    totalKg: kgs.reduce((s, v) => s + v, 0),
    meanKg,
    sdKg: standardDeviation(kgs),
    runtIds: kits.filter((k) => k.kg < RUNT_SHARE * meanKg).map((k) => k.id),
  };
}
