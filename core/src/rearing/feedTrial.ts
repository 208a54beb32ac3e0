import { mean, standardDeviation, t80, Z_80 } from '../statistics';

/** One litter or group on one of two feeds. */
export interface FeedRecord {
  /** Gained by all of it while on the feed. */
  readonly gainKg: number;
  readonly feedKg: number;
}

export interface FeedArm {
  readonly pricePerKg: number;
  readonly records: readonly FeedRecord[];
}

export interface FeedArmFound {
  readonly records: number;
  readonly feedKg: number;
  readonly gainKg: number;
  /** Feed for a kilogram gained, all together. */
  readonly feedPerKgGained: number;
  readonly costPerKgGained: number;
}

export type FeedVerdict = 'cheaper-saves' | 'dearer-saves' | 'cannot-tell';

export interface FeedTrialFound {
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
 * Whether the cheaper of two feeds saves anything: the cost of a kilogram gained, litter by litter, compared by Welch's
 * interval (unequal spreads, degrees of freedom after Satterthwaite 1946, rounded down). How many litters more: the
 * usual sample size for two means, 80 % sure and found four times of five, at the difference and the spread seen.
 * @param youngKg gain of one young over the time, to say what it means a head
 * @returns undefined where a feed has no record with a gain above 0
 */
export function feedTrial(dearer: FeedArm, cheaper: FeedArm, youngKg: number): FeedTrialFound | undefined {
  const a = armFound(dearer);
  const b = armFound(cheaper);
  if (!a || !b) return undefined;
  const [costsA, costsB] = [costsOf(dearer), costsOf(cheaper)];
  const costDifference = (mean(costsB) as number) - (mean(costsA) as number);
  const [sdA, sdB] = [standardDeviation(costsA), standardDeviation(costsB)];
  const [nA, nB] = [costsA.length, costsB.length];
  const spread = sdA === undefined || sdB === undefined ? undefined : { a: sdA ** 2 / nA, b: sdB ** 2 / nB };
  const halfWidth = spread && halfWidthOf(spread, nA, nB);
  const isTold = halfWidth !== undefined && Math.abs(costDifference) > halfWidth;
  return {
    dearer: a,
    cheaper: b,
    costDifference,
    halfWidth,
    verdict: !isTold ? 'cannot-tell' : costDifference < 0 ? 'cheaper-saves' : 'dearer-saves',
    perYoung: costDifference * youngKg,
    moreNeeded:
      isTold || sdA === undefined || sdB === undefined || costDifference === 0
        ? undefined
        : more(Math.sqrt((sdA ** 2 + sdB ** 2) / 2), costDifference, Math.min(nA, nB)),
  };
}

const grew = ({ records }: FeedArm): readonly FeedRecord[] => records.filter((r) => r.gainKg > 0);
const costsOf = (arm: FeedArm): number[] => grew(arm).map((r) => (r.feedKg * arm.pricePerKg) / r.gainKg);

function armFound(arm: FeedArm): FeedArmFound | undefined {
  const records = grew(arm);
  if (records.length === 0) return undefined;
  const feedKg = records.reduce((s, r) => s + r.feedKg, 0);
  const gainKg = records.reduce((s, r) => s + r.gainKg, 0);
  const feedPerKgGained = feedKg / gainKg;
  return {
    records: records.length,
    feedKg,
    gainKg,
    feedPerKgGained,
    costPerKgGained: feedPerKgGained * arm.pricePerKg,
  };
}

function halfWidthOf({ a, b }: { readonly a: number; readonly b: number }, nA: number, nB: number): number {
  if (a + b === 0) return 0;
  const degrees = (a + b) ** 2 / (a ** 2 / (nA - 1) + b ** 2 / (nB - 1));
  return t80(Math.max(1, Math.floor(degrees))) * Math.sqrt(a + b);
}

function more(sd: number, difference: number, have: number): number {
  const needed = Math.ceil(2 * ((Z_80 + POWER_Z) * (sd / Math.abs(difference))) ** 2);
  return Math.min(MOST_MORE, Math.max(1, needed - have));
}
