import { t80, Z_80 } from '../statistics';
import type { Kilograms } from '../units';

/** One litter or group on one of two feeds. */
export interface FeedRecord {
  /** Gained by all of it while on the feed. */
  readonly gainKg: Kilograms;
  readonly feedKg: Kilograms;
}

export interface FeedArm {
  readonly pricePerKg: number;
  readonly records: readonly FeedRecord[];
}

export interface FeedArmFound {
  readonly records: number;
  readonly feedKg: Kilograms;
  readonly gainKg: Kilograms;
  /** Feed for a kilogram gained: all feed over all gain, every litter in, whatever it gained. */
  readonly feedPerKgGained: number;
  /** Of `feedPerKgGained`; undefined under two records. */
  readonly standardError: number | undefined;
  readonly costPerKgGained: number;
}

export type FeedVerdict = 'cheaper-saves' | 'dearer-saves' | 'cannot-tell';

export type FeedTrial =
  | FeedTrialFound
  /** All litters on a feed together gained nothing: there is no ratio. */
  | { readonly kind: 'no-gain'; readonly on: 'dearer' | 'cheaper' }
  /** A feed has no record. */
  | { readonly kind: 'not-tried' };

export interface FeedTrialFound {
  readonly kind: 'found';
  readonly dearer: FeedArmFound;
  readonly cheaper: FeedArmFound;
  /** Cost of a kilogram gained on the cheaper less that on the dearer; below 0 the cheaper saves. */
  readonly costDifference: number;
  /** Of its 80 % interval; undefined under two records a feed. */
  readonly halfWidth: number | undefined;
  readonly verdict: FeedVerdict;
  /** Saved or lost on a young of `youngKg` gained. */
  readonly perYoung: number;
  /** Records more on each feed until a difference as seen could be told; undefined where it can be, or is none. */
  readonly moreNeeded: number | undefined;
}

/** Chance wanted of finding a difference that is there, as a normal quantile: four times of five. */
const POWER_Z = 0.8416212335729143;
/** Never more than anybody would try. */
const MOST_MORE = 999;

/**
 * Whether the cheaper of two feeds saves anything, by one measure for headline and verdict: the ratio of sums, all feed
 * over all gain (Cochran 1977, Sampling Techniques, 6.4), times the price. The difference has an 80 % interval by
 * Student's t with Satterthwaite's degrees of freedom (1946), n - 1 of each feed, not rounded. How many litters more: the
 * usual sample size for two means, 80 % sure and found four times of five, at the difference and the spread seen.
 * @param youngKg gain of one young over the time, to say what it means a head
 */
export function feedTrial(dearer: FeedArm, cheaper: FeedArm, youngKg: Kilograms): FeedTrial {
  if (dearer.records.length === 0 || cheaper.records.length === 0) return { kind: 'not-tried' };
  const a = armFound(dearer);
  if (!a) return { kind: 'no-gain', on: 'dearer' };
  const b = armFound(cheaper);
  if (!b) return { kind: 'no-gain', on: 'cheaper' };
  const costDifference = b.costPerKgGained - a.costPerKgGained;
  const variance = { a: costVariance(a, dearer), b: costVariance(b, cheaper) };
  const halfWidth = halfWidthOf(variance, a.records, b.records);
  const isTold = halfWidth !== undefined && Math.abs(costDifference) > halfWidth;
  return {
    kind: 'found',
    dearer: a,
    cheaper: b,
    costDifference,
    halfWidth,
    verdict: !isTold ? 'cannot-tell' : costDifference < 0 ? 'cheaper-saves' : 'dearer-saves',
    perYoung: costDifference * youngKg,
    moreNeeded:
      isTold || variance.a === undefined || variance.b === undefined || costDifference === 0
        ? undefined
        : more(
            Math.sqrt((variance.a * a.records + variance.b * b.records) / 2),
            costDifference,
            Math.min(a.records, b.records),
          ),
  };
}

/** @returns undefined where all of them together gained nothing */
function armFound({ records, pricePerKg }: FeedArm): FeedArmFound | undefined {
  const n = records.length;
  const feedKg = records.reduce((s, r) => s + r.feedKg, 0);
  const gainKg = records.reduce((s, r) => s + r.gainKg, 0);
  if (gainKg <= 0) return undefined;
  const feedPerKgGained = feedKg / gainKg;
  const residual = records.reduce((s, r) => s + (r.feedKg - feedPerKgGained * r.gainKg) ** 2, 0);
  return {
    records: n,
    feedKg,
    gainKg,
    feedPerKgGained,
    standardError: n < 2 ? undefined : Math.sqrt((n / (n - 1)) * residual) / gainKg,
    costPerKgGained: feedPerKgGained * pricePerKg,
  };
}

const costVariance = ({ standardError }: FeedArmFound, { pricePerKg }: FeedArm): number | undefined =>
  standardError === undefined ? undefined : (standardError * pricePerKg) ** 2;

function halfWidthOf(
  { a, b }: { readonly a: number | undefined; readonly b: number | undefined },
  nA: number,
  nB: number,
): number | undefined {
  if (a === undefined || b === undefined) return undefined;
  if (a + b === 0) return 0;
  const degrees = (a + b) ** 2 / (a ** 2 / (nA - 1) + b ** 2 / (nB - 1));
  return t80(degrees) * Math.sqrt(a + b);
}

function more(sd: number, difference: number, have: number): number {
  const needed = Math.ceil(2 * ((Z_80 + POWER_Z) * (sd / Math.abs(difference))) ** 2);
  return Math.min(MOST_MORE, Math.max(1, needed - have));
}
