import type { Day } from '../calendar';
import type { ProductBatch } from './product';

/** A batch on the shelf. */
export interface BatchStock extends ProductBatch {
  /** Bought less given; below zero where more was written down than was bought. */
  readonly left: number;
  readonly state: 'good' | 'expires-soon' | 'expired' | 'used-up';
}

/** Days before its last day at which a batch is spoken of. */
export const EXPIRES_SOON_DAYS = 30;

/** What is left of each batch, the first to expire first. @param given amounts by batch */
export function batchStock(
  batches: readonly ProductBatch[],
  given: ReadonlyMap<string, number>,
  today: Day,
): BatchStock[] {
  return batches
    .map((b) => {
      const left = Number((b.amount - (given.get(b.batch) ?? 0)).toFixed(6));
      return { ...b, left, state: stateOf(b, left, today) };
    })
    .sort((a, b) => (a.expiresOn ?? Infinity) - (b.expiresOn ?? Infinity) || (a.batch < b.batch ? -1 : 1));
}

function stateOf({ expiresOn }: ProductBatch, left: number, today: Day): BatchStock['state'] {
  if (expiresOn !== undefined && expiresOn < today) return 'expired';
  if (left <= 0) return 'used-up';
  return expiresOn !== undefined && expiresOn - today <= EXPIRES_SOON_DAYS ? 'expires-soon' : 'good';
}

/** The batch to take next: the first to expire that still may be used and is not empty. */
export const batchToUse = (stock: readonly BatchStock[]): BatchStock | undefined =>
  stock.find((b) => b.state === 'good' || b.state === 'expires-soon');
