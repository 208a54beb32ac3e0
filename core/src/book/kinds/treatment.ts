import {
  doseFor,
  isOwnAmount,
  timesLabel,
  type DoseUnit,
  type ProductLabel,
  type Route,
  type Withheld,
} from '../../remedies';
import type { AnimalFacts, Fact } from '../facts';
import type { Refusal } from '../refusals';
import type { FactKind, ToCheck } from './kind';
import type { Days, Kilograms } from '../../units';

export interface TreatmentWritten {
  readonly productId: string;
  readonly amount: number;
  readonly unit: DoseUnit;
  readonly route: Route;
  readonly batch?: string | undefined;
  readonly reason?: string | undefined;
  /** The weight the dose was worked from; that of the heaviest where all were dosed by it. */
  readonly doseKg?: Kilograms | undefined;
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
  /** What it was given for. */
  readonly reason: string | undefined;
}

export const treatment: FactKind<'treatments', TreatmentWritten, TreatmentFact> = {
  list: 'treatments',
  fact: ({ productId, amount, unit, route, batch, meatDays, milkDays, isOffLabel = false, reason }, base) => ({
    productId,
    amount,
    unit,
    route,
    batch,
    meatDays,
    milkDays,
    isOffLabel,
    reason,
    ...base,
  }),
  check(entry, facts, book) {
    const { productId, amount, meatDays } = entry;
    const label = book.label(productId);
    if (!label) return { code: 'unknown-product', field: 'productId', value: productId };
    if (!(amount > 0)) return { code: 'amount-not-positive', field: 'amount', value: String(amount) };
    // The label's days, or the vet's: without a figure the meat would pass for clear from the start.
    if (meatDays === undefined) return { code: 'withdrawal-needed', field: 'meatDays', value: '' };
    return entry.isOffLabel ? undefined : checkAmount(entry, facts, label);
  },
};

/** Held against the label: not under its least age or weight, and far from its dose only with a reason. */
function checkAmount(
  { amount, reason, doseKg, day }: ToCheck<TreatmentWritten>,
  { record: { species, bornOn } }: AnimalFacts,
  label: ProductLabel,
): Refusal | undefined {
  const dose = doseFor(label, { species, kg: doseKg, ageDays: bornOn === undefined ? undefined : day - bornOn });
  const own = { field: 'amount', value: String(amount) };
  if (dose.kind === 'no-dose')
    return dose.reason === 'too-young' || dose.reason === 'too-light'
      ? { code: 'under-label', ...own, small: dose }
      : undefined;
  const times = timesLabel(dose, amount);
  if (times === undefined || !isOwnAmount(dose, amount) || (reason ?? '').trim() !== '') return undefined;
  return { code: 'far-from-label', ...own, times, exact: dose.exact, unit: label.doseUnit };
}
