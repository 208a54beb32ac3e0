import type { Day } from '../calendar';
import { mean, standardDeviation } from '../statistics';
import type { Kilograms, KilogramsPerDay, Days } from '../units';

/** A whole litter weighed on one day: together on the pan, or each by itself. */
export interface LitterCounting {
  readonly on: Day;
  readonly count: number;
  readonly totalKg: Kilograms;
  /** Who was in it that day, as far as the book knows them. */
  readonly heads: readonly string[];
  /** What each weighed; undefined where they were weighed together. */
  readonly each?: ReadonlyMap<string, number> | undefined;
}

/** Who was in the litter on one of two days only. */
export interface HeadsChanged {
  readonly died: number;
  /** Given to another dam, weaned or gone. */
  readonly left: number;
  readonly joined: number;
}

export type LitterChange =
  LitterGain | LitterMeans | { readonly kind: 'no-answer'; readonly reason: 'one-date' | 'none-left' };

export interface LitterGain extends HeadsChanged {
  readonly kind: 'gain';
  /** Those it is reckoned over: there on both days. */
  readonly heads: number;
  /** Gained by all of them together. */
  readonly kg: Kilograms;
  readonly kgPerDay: KilogramsPerDay;
  readonly kgPerHeadPerDay: number;
  readonly days: Days;
}

/** Weighed together with other heads in it: what one weighed on the mean, which is no gain of anybody. */
export interface LitterMeans extends HeadsChanged {
  readonly kind: 'means';
  readonly fromKg: Kilograms;
  readonly toKg: Kilograms;
  readonly days: Days;
}

/**
 * What a litter put on between two countings. Where each was weighed by itself on both days: the sum over those there on
 * both. Otherwise, with the same heads: the difference of the totals. With other heads there is no gain, only the mean of
 * a head on either day.
 * @param hasDied of heads that are not in it any more
 */
export function litterChange(a: LitterCounting, b: LitterCounting, hasDied: (id: string) => boolean): LitterChange {
  const days = b.on - a.on;
  if (days <= 0) return { kind: 'no-answer', reason: 'one-date' };
  if (a.count === 0 || b.count === 0) return { kind: 'no-answer', reason: 'none-left' };
  const [before, after] = [new Set(a.heads), new Set(b.heads)];
  const gone = a.heads.filter((id) => !after.has(id));
  const died = gone.filter(hasDied).length;
  const changed = { died, left: gone.length - died, joined: b.heads.filter((id) => !before.has(id)).length };
  const gain = (heads: number, kg: Kilograms): LitterGain => ({
    kind: 'gain',
    heads,
    kg,
    kgPerDay: kg / days,
    kgPerHeadPerDay: kg / heads / days,
    days,
    ...changed,
  });
  if (a.each && b.each) {
    const { each } = b;
    const gains = [...a.each].flatMap(([id, kg]) => (each.has(id) ? [(each.get(id) ?? 0) - kg] : []));
    if (gains.length === 0) return { kind: 'no-answer', reason: 'none-left' };
    return gain(
      gains.length,
      gains.reduce((s, kg) => s + kg, 0),
    );
  }
  const isSame = gone.length === 0 && changed.joined === 0 && a.count === b.count;
  if (isSame) return gain(a.count, b.totalKg - a.totalKg);
  return { kind: 'means', fromKg: a.totalKg / a.count, toKg: b.totalKg / b.count, days, ...changed };
}

/** A kit under this share of its litter's mean is a runt to watch. Rule of thumb. */
export const RUNT_SHARE = 0.7;

export interface LitterSpread {
  readonly count: number;
  readonly totalKg: Kilograms;
  readonly meanKg: Kilograms;
  /** Standard deviation; undefined for one. */
  readonly sdKg: Kilograms | undefined;
  readonly runtIds: readonly string[];
}

/** Total, mean, spread and runts of a litter weighed one by one. @returns undefined for none */
export function litterSpread(
  kits: readonly { readonly id: string; readonly kg: Kilograms }[],
): LitterSpread | undefined {
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
