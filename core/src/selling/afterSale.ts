import type { Kilograms } from '../units';
import type { GradedClass } from './grid';
import { isPaidDead, type Outlet, type PriceList } from './outlets';
import { exactValue, expectedValue, type ToPay } from './value';

/** What was thought of one animal at its last estimate before the sale. */
export interface ExpectedSale extends ToPay {
  readonly prices: PriceList;
}

/** What came back. */
export interface PaidSale {
  /** Undefined where it was not weighed alive for the sale. */
  readonly liveKg: Kilograms | undefined;
  readonly carcassKg: Kilograms | undefined;
  readonly graded: GradedClass | undefined;
  /** The price list of the day it was sold. */
  readonly prices: PriceList;
  /** Paid before anything was taken off: what the day's prices really were, whatever the list says of them. */
  readonly grossMinor?: number | undefined;
  /** In the hand, its charges off. */
  readonly netMinor: number;
}

/** Why it brought more or less than expected: whole hundredths of the money that add up to the difference. */
export interface Difference {
  readonly expectedMinor: number;
  readonly paidMinor: number;
  readonly weightMinor: number;
  /** Undefined where it was not weighed alive, or where carcasses are not paid. */
  readonly killingOutMinor: number | undefined;
  /** Undefined where classes are not paid. */
  readonly classMinor: number | undefined;
  readonly priceMinor: number;
  readonly chargesMinor: number;
}

type Terms = Pick<Outlet, 'payBy' | 'shrinkShare' | 'commissionShare' | 'headMinor'>;

/**
 * PaidSale against expected, one thing put in after the other: live weight, killing-out, class, the day's prices, charges.
 * Each part is the change it makes; rounded as running sums, so that they add up to the last hundredth. Without a live
 * weight the weight part is that of the carcass at the killing-out expected.
 * @returns undefined where what was expected cannot be worked out: a grid, and nothing was felt
 */
export function expectedAgainstPaid(expected: ExpectedSale, paid: PaidSale, outlet: Terms): Difference | undefined {
  const was = expectedValue(expected, outlet, expected.prices);
  if (was === undefined) return undefined;
  const isDead = isPaidDead(outlet.payBy);
  const k = expected.killingOut;
  const liveKg = paid.liveKg ?? (isDead && paid.carcassKg !== undefined ? paid.carcassKg / k : expected.weight.kg);
  const ownK = paid.liveKg !== undefined && paid.carcassKg !== undefined ? paid.carcassKg / paid.liveKg : k;
  const weighed: ExpectedSale = { ...expected, weight: { kg: liveKg, sd: 0 } };
  const weight = expectedValue(weighed, outlet, expected.prices) as number;
  const killed = isDead ? (expectedValue({ ...weighed, killingOut: ownK }, outlet, expected.prices) as number) : weight;
  const byClass = (prices: PriceList): number =>
    (paid.graded || outlet.payBy !== 'grid'
      ? exactValue({ liveKg, killingOut: ownK, graded: paid.graded }, outlet, prices)
      : expectedValue({ ...weighed, killingOut: ownK }, outlet, prices)) ?? killed;
  const classed = byClass(expected.prices);
  const priced = paid.grossMinor === undefined ? byClass(paid.prices) : afterUsualCharges(paid.grossMinor, outlet);
  const sums = [was, weight, killed, classed, priced, paid.netMinor].map(halfEven) as Sums;
  return {
    expectedMinor: sums[0],
    paidMinor: sums[5],
    weightMinor: sums[1] - sums[0],
    killingOutMinor:
      isDead && paid.liveKg !== undefined && paid.carcassKg !== undefined ? sums[2] - sums[1] : undefined,
    classMinor: outlet.payBy === 'grid' && paid.graded ? sums[3] - sums[2] : undefined,
    priceMinor: sums[4] - sums[3],
    chargesMinor: sums[5] - sums[4],
  };
}
/** What an outlet leaves of a sum by its own terms: the commission of a live sale, and what it takes a head. */
export const afterUsualCharges = (grossMinor: number, { payBy, commissionShare, headMinor }: Terms): number =>
  grossMinor * (isPaidDead(payBy) ? 1 : 1 - commissionShare) - headMinor;

type Sums = [number, number, number, number, number, number];

/** Rounded to the whole, halves to the even one: money is rounded so where it is shown. */
export function halfEven(value: number): number {
  const down = Math.floor(value);
  const rest = value - down;
  if (rest !== 0.5) return Math.round(value);
  return down % 2 === 0 ? down : down + 1;
}

/** What one head left in the hand, by what was taken off. */
export interface MarginParts {
  readonly priceMinor: number;
  readonly haulageMinor: number;
  readonly commissionMinor: number;
  readonly feedMinor: number;
  readonly remediesMinor: number;
  readonly purchaseMinor: number;
}
export const marginOf = (p: MarginParts): number =>
  p.priceMinor - p.haulageMinor - p.commissionMinor - p.feedMinor - p.remediesMinor - p.purchaseMinor;
