import type { AnimalFacts, FeedFact } from '../book';
import { fedYoung, type Reared } from '../rearing';
import { treatmentCost, type DoseUnit, type ProductBatch } from '../remedies';
import { halfEven, marginOf, type MarginParts, type Outlet } from '../selling';
import type { AnimalId } from '../units';
import type { Paid } from './saleRecord';

/** What a head had cost by the day it left, hundredths of money; undefined where nothing was noted of it. */
export interface HeadCosts {
  readonly feedMinor: number | undefined;
  readonly remediesMinor: number | undefined;
  readonly purchaseMinor: number | undefined;
}

/** A dam's notes of what she and her litter ate, with all young that may have been with her. */
export interface DamFed {
  readonly damId: AnimalId;
  readonly feeds: readonly FeedFact[];
  readonly about: readonly Reared[];
}

const sumOf = (sums: readonly number[]): number | undefined =>
  sums.length === 0 ? undefined : sums.reduce((total, sum) => total + sum, 0);

/**
 * What was fed to a head by the notes: its own, and its share of what its dam and the litter ate. The young of a litter
 * bear all of it alike, what the dam ate of it too: without them she would not have been fed so.
 */
export function feedCost({ record: { id }, feeds }: AnimalFacts, dams: readonly DamFed[]): number | undefined {
  const cost = ({ kg, priceMinor }: FeedFact): number => kg * priceMinor;
  const shared = dams.flatMap(({ damId, feeds: notes, about }) =>
    notes.flatMap((note) => {
      const young = fedYoung(damId, about, note.since, note.on);
      return young.some((y) => y.id === id) ? [cost(note) / young.length] : [];
    }),
  );
  return sumOf([...feeds.map(cost), ...shared]);
}

/** A remedy as far as its price goes. */
export interface PricedProduct {
  readonly doseUnit: DoseUnit;
  readonly batches: readonly Pick<ProductBatch, 'batch' | 'amount' | 'paidMinor'>[];
}

/** What the remedies given to a head cost, as far as their price is known. */
export const remediesCost = (
  { treatments }: AnimalFacts,
  product: (id: string) => PricedProduct | undefined,
): number | undefined =>
  sumOf(
    treatments.flatMap((given) => {
      const bought = product(given.productId);
      return (bought && treatmentCost(given, bought)) ?? [];
    }),
  );

/** What one head left in the hand, and what went off. */
export interface SaleMargin {
  readonly parts: MarginParts;
  readonly leftMinor: number;
}

/** What a trip cost, and who went on it. */
export interface Trip {
  /** The head's own part of it, as it was written down when it left. */
  readonly notedMinor: number | undefined;
  readonly outlet: Pick<Outlet, 'tripMinor'> | undefined;
  readonly heads: number;
}

/** A trip's cost by head, in whole hundredths that add up to it. */
export const tripShares = (tripMinor: number, heads: number): number[] =>
  Array.from(
    { length: heads },
    (_, i) => Math.floor(((i + 1) * tripMinor) / heads) - Math.floor((i * tripMinor) / heads),
  );

/**
 * Price less haulage, charges, feed, remedies and purchase; what was not noted counts as nothing, but for the trip: then
 * it is a share of what the outlet's entry says.
 */
export function saleMargin(
  { grossMinor, netMinor }: Paid,
  { notedMinor, outlet, heads }: Trip,
  { feedMinor = 0, remediesMinor = 0, purchaseMinor = 0 }: HeadCosts,
): SaleMargin {
  const parts: MarginParts = {
    priceMinor: grossMinor,
    haulageMinor: notedMinor ?? (outlet?.tripMinor ?? 0) / heads,
    commissionMinor: grossMinor - netMinor,
    feedMinor,
    remediesMinor,
    purchaseMinor,
  };
  return { parts, leftMinor: marginOf(parts) };
}

/** Of many heads: the mean of each part in whole hundredths, which add up as those of one do. */
export interface MeanMargin extends SaleMargin {
  readonly heads: number;
  /** Heads of which it was noted at all. */
  readonly noted: Readonly<Record<keyof HeadCosts, number>>;
}

/** In the order they go off. */
const OFF = ['haulageMinor', 'commissionMinor', 'feedMinor', 'remediesMinor', 'purchaseMinor'] as const;

/** Parts in whole hundredths: rounded as running sums, so that what is left is right and they add up to it. */
function rounded(parts: MarginParts): SaleMargin {
  let exact = parts.priceMinor;
  let left = halfEven(exact);
  const whole: Record<keyof MarginParts, number> = { ...parts, priceMinor: left };
  for (const of of OFF) {
    exact -= parts[of];
    whole[of] = left - halfEven(exact);
    left = halfEven(exact);
  }
  return { parts: whole, leftMinor: left };
}

/** @returns undefined of none */
export function meanMargin(
  sold: readonly { readonly margin: SaleMargin; readonly costs: HeadCosts }[],
): MeanMargin | undefined {
  const heads = sold.length;
  if (heads === 0) return undefined;
  const meanOf = (of: keyof MarginParts): number => sold.reduce((sum, s) => sum + s.margin.parts[of], 0) / heads;
  const noted = (of: keyof HeadCosts): number => sold.filter((s) => s.costs[of] !== undefined).length;
  return {
    heads,
    ...rounded({
      priceMinor: meanOf('priceMinor'),
      haulageMinor: meanOf('haulageMinor'),
      commissionMinor: meanOf('commissionMinor'),
      feedMinor: meanOf('feedMinor'),
      remediesMinor: meanOf('remediesMinor'),
      purchaseMinor: meanOf('purchaseMinor'),
    }),
    noted: {
      feedMinor: noted('feedMinor'),
      remediesMinor: noted('remediesMinor'),
      purchaseMinor: noted('purchaseMinor'),
    },
  };
}
