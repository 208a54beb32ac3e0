import type { Day } from '../calendar';
import type { Species } from '../species';
import type { Kilograms, Days } from '../units';

export const PRODUCT_KINDS = ['remedy', 'vaccine', 'bolus', 'mineral'] as const;
export type ProductKind = (typeof PRODUCT_KINDS)[number];

export const DOSE_UNITS = ['ml', 'g', 'tablet', 'bolus', 'dose'] as const;
export type DoseUnit = (typeof DOSE_UNITS)[number];

export const ROUTES = ['under-skin', 'muscle', 'mouth', 'pour-on', 'udder', 'eye', 'skin'] as const;
export type Route = (typeof ROUTES)[number];

/** How a label doses a species: so much a kilogram, by bands of weight, or the same for all. Amounts in the dose unit. */
export type DoseRule = {
  readonly species: Species;
  /** The label is not for those under so many days old, or under such a weight. */
  readonly fromDays?: Days | undefined;
  readonly fromKg?: Kilograms | undefined;
} & (
  | { readonly by: 'kg'; readonly perKg: Kilograms }
  | { readonly by: 'band'; readonly bands: readonly DoseBand[] }
  | { readonly by: 'head'; readonly amount: number }
);
/** Up to and with a weight, kilograms. */
export interface DoseBand {
  readonly upToKg: Kilograms;
  readonly amount: number;
}

/** Days nothing of the animal is eaten or drunk, by the label; `undefined` where the label gives no figure. */
export interface WithdrawalRule {
  readonly species: Species;
  readonly route: Route;
  readonly meatDays: Days | undefined;
  readonly milkDays: Days | undefined;
}

export interface ProductBatch {
  readonly batch: string;
  /** Last day it may be used. */
  readonly expiresOn: Day | undefined;
  /** Bought, in the dose unit. */
  readonly amount: number;
  /** Paid for all of it, hundredths of the money. */
  readonly paidMinor?: number | undefined;
}

/** What a product's label says, as the holding typed it. Nothing here is shipped with the application. */
export interface ProductLabel {
  readonly doses: readonly DoseRule[];
  readonly doseUnit: DoseUnit;
  /** What the syringe or spoon can measure, in the dose unit. */
  readonly step: number;
  /** `up` where too little does harm, as the label of a wormer says; else to the nearest step. */
  readonly rounding: 'up' | 'nearest';
  /** The most at one place of the body, in the dose unit. */
  readonly maxPerSite: number | undefined;
  readonly withdrawals: readonly WithdrawalRule[];
  /** Given so many times in all, so many days apart. */
  readonly course: { readonly times: number; readonly everyDays: Days } | undefined;
}

/** Whether a label allows less at one place than its syringe can measure: it was typed wrong, and no dose can be parted. */
export const isUnderStep = ({
  maxPerSite,
  step,
}: Pick<ProductLabel, 'step'> & { readonly maxPerSite?: number | undefined }): boolean =>
  maxPerSite !== undefined && maxPerSite < step - 1e-9;
