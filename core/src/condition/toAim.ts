import { addDays, type Day } from '../calendar';
import { halfWidth80 } from '../statistics';
import type { Kilograms, KilogramsPerDay } from '../units';

export interface WayToAim {
  readonly score: number;
  /** Measurement SD of the score. */
  readonly scoreSd: number;
  readonly aim: number;
  /** Kilograms now; without one only the days are told. */
  readonly weightKg: Kilograms | undefined;
  /** Kilograms a score is, as a share of the animal's weight at score 3; 0 where none is known. */
  readonly kgPerScoreShare: number;
  readonly from: Day;
  readonly by: Day;
  /** The fastest a score is put on, days a score. */
  readonly daysPerScore: number;
}

export type ToAim =
  | { readonly kind: 'there' }
  /** Neither weight nor share tells the kilograms; the days hold all the same. */
  | { readonly kind: 'no-weight'; readonly isFeasible: boolean; readonly reachedOn: Day }
  | {
      readonly kind: 'gain';
      readonly kg: Kilograms;
      /** Half the width of its 80 % interval, from how well a hand feels a score. */
      readonly halfWidthKg: Kilograms;
      readonly kgPerDay: KilogramsPerDay;
      /** No animal is fed up faster than this. */
      readonly capKgPerDay: KilogramsPerDay;
      readonly isFeasible: boolean;
      /** The day the aim is reached at the fastest. */
      readonly reachedOn: Day;
    };

/** What an animal would weigh at score 3. @param share kilograms a score as a share of that weight */
export const referenceKg = (weightKg: Kilograms, score: number, share: number): number =>
  weightKg / (1 + share * (score - 3));

const DUST = 1e-9;

/**
 * Kilograms, and kilograms a day, that bring an animal to its aim: (aim - now) x share x weight at score 3, over the
 * days there are. Feasible where no more is asked than a score in `daysPerScore`; otherwise the day it is reached so.
 * The milestone today or past leaves no day, and nothing but being there is feasible.
 */
export function wayToAim(way: WayToAim): ToAim {
  const { score, aim, weightKg, kgPerScoreShare, from, by, daysPerScore } = way;
  if (score >= aim) return { kind: 'there' };
  // 0.3 of a score at 50 days a score is 15 days, not 16: the dust of binary fractions is no day.
  const reachedOn = addDays(from, Math.ceil((aim - score) * daysPerScore - DUST));
  const isFeasible = reachedOn <= by;
  if (weightKg === undefined || kgPerScoreShare === 0) return { kind: 'no-weight', isFeasible, reachedOn };
  const kgPerScore = kgPerScoreShare * referenceKg(weightKg, score, kgPerScoreShare);
  const kg = (aim - score) * kgPerScore;
  const capKgPerDay = kgPerScore / daysPerScore;
  const days = by - from;
  return {
    kind: 'gain',
    kg,
    halfWidthKg: halfWidth80(way.scoreSd) * kgPerScore,
    kgPerDay: days > 0 ? kg / days : Number.POSITIVE_INFINITY,
    capKgPerDay,
    isFeasible,
    reachedOn,
  };
}
