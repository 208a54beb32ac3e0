import type { DoseUnit, Route, Withheld } from '../../remedies';
import type { Fact } from '../facts';
import type { FactKind } from './kind';
import type { Days } from '../../units';

export interface TreatmentWritten {
  readonly productId: string;
  readonly amount: number;
  readonly unit: DoseUnit;
  readonly route: Route;
  readonly batch?: string | undefined;
  readonly meatDays?: Days | undefined;
  readonly milkDays?: Days | undefined;
  readonly isOffLabel?: boolean | undefined;
}

/** A remedy given. */
export interface TreatmentFact extends Fact, Withheld {
  readonly amount: number;
  readonly unit: DoseUnit;
  readonly route: Route;
  readonly batch: string | undefined;
  readonly isOffLabel: boolean;
}

export const treatment: FactKind<'treatments', TreatmentWritten, TreatmentFact> = {
  list: 'treatments',
  fact: ({ productId, amount, unit, route, batch, meatDays, milkDays, isOffLabel = false }, base) => ({
    productId,
    amount,
    unit,
    route,
    batch,
    meatDays,
    milkDays,
    isOffLabel,
    ...base,
  }),
  check({ productId, amount, meatDays }, _, book) {
    if (!book.hasProduct(productId)) return { code: 'unknown-product', field: 'productId', value: productId };
    if (!(amount > 0)) return { code: 'amount-not-positive', field: 'amount', value: String(amount) };
    // The label's days, or the vet's: without a figure the meat would pass for clear from the start.
    return meatDays === undefined ? { code: 'withdrawal-needed', field: 'meatDays', value: '' } : undefined;
  },
};
