import type { Kilograms } from '../units';

/** One sample of a weigh crate: milliseconds on any running clock, kilograms. */
export interface CrateSample {
  readonly atMs: number;
  readonly kg: Kilograms;
}

export interface SteadyOptions {
  /** Everything within so long must lie close together. */
  readonly overMs: number;
  /** Half the spread allowed, as a share of the weight; an animal never stands as still as a stone. */
  readonly withinShare: number;
  /** And never less than so many kilograms, the scale's own step. */
  readonly withinKg: Kilograms;
  /** Below this the crate counts as empty. */
  readonly emptyKg: Kilograms;
  /** The least samples a verdict is made from. */
  readonly samples: number;
}

export const USUAL_STEADY: SteadyOptions = {
  overMs: 800,
  withinShare: 0.01,
  withinKg: 0.1,
  emptyKg: 1,
  samples: 5,
};

/** What the crate holds now. `settled` is said once an animal: the crate must be empty before the next. */
export type CrateState =
  | { readonly kind: 'empty' }
  | { readonly kind: 'moving'; readonly kg: Kilograms }
  | { readonly kind: 'settled'; readonly kg: Kilograms; readonly isNew: boolean };

/**
 * Watches a crate's samples for a weight that stands still: the median of the last `overMs`, once none of them lies
 * further from it than the allowed spread. The median, since an animal's step throws single samples far off and the
 * mean would follow them.
 * @returns a function that takes each sample as it comes
 */
export function steadyDetector(options: Partial<SteadyOptions> = {}): (sample: CrateSample) => CrateState {
  const { overMs, withinShare, withinKg, emptyKg, samples } = { ...USUAL_STEADY, ...options };
  let recent: CrateSample[] = [];
  let settled: number | undefined;
  return (sample) => {
    // A clock that went back, or a long silence: what came before says nothing of now.
    const last = recent.at(-1);
    if (last && (sample.atMs < last.atMs || sample.atMs - last.atMs > overMs)) recent = [];
    recent.push(sample);
    recent = recent.filter((s) => s.atMs > sample.atMs - overMs);
    const kgs = recent.map((s) => s.kg).sort((a, b) => a - b);
    // Of an even number the lower middle one: a weight the indicator did show, on its own step.
    const kg = kgs[(kgs.length - 1) >> 1] ?? sample.kg;
    if (sample.kg < emptyKg && kg < emptyKg) {
      settled = undefined;
      return { kind: 'empty' };
    }
    if (settled !== undefined) return { kind: 'settled', kg: settled, isNew: false };
    const allowed = Math.max(withinKg, withinShare * kg);
    // The window must be filled: three quarters of it, since samples come at their own pace.
    const span = sample.atMs - (recent[0]?.atMs ?? sample.atMs);
    const isFull = recent.length >= samples && span >= overMs * 0.75;
    if (!isFull || kg < emptyKg || !recent.every((s) => Math.abs(s.kg - kg) <= allowed)) return { kind: 'moving', kg };
    settled = kg;
    return { kind: 'settled', kg, isNew: true };
  };
}
