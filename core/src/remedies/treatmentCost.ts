import type { DoseUnit, ProductBatch } from './product';

interface Given {
  readonly amount: number;
  readonly unit: DoseUnit;
  readonly batch: string | undefined;
}
interface Bought {
  readonly doseUnit: DoseUnit;
  readonly batches: readonly Pick<ProductBatch, 'batch' | 'amount' | 'paidMinor'>[];
}

/**
 * What a treatment cost by what was paid for its batch, hundredths of the money, not rounded; where that batch has no
 * price, by what all batches with one cost together.
 * @returns undefined where no price is known, or it was given in another unit than it is bought in
 */
export function treatmentCost({ amount, unit, batch }: Given, { doseUnit, batches }: Bought): number | undefined {
  if (unit !== doseUnit) return undefined;
  const priced = batches.filter((b) => b.paidMinor !== undefined && b.amount > 0);
  const own = priced.filter((b) => b.batch === batch);
  const from = own.length > 0 ? own : priced;
  if (from.length === 0) return undefined;
  const sum = (of: (b: (typeof from)[number]) => number): number => from.reduce((total, b) => total + of(b), 0);
  return (amount * sum((b) => b.paidMinor ?? 0)) / sum((b) => b.amount);
}
