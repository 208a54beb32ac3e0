import { addDays, type Day } from '../calendar';
import type { Species } from '../species';
import type { ProductLabel, Route, WithdrawalRule } from './product';
import type { Days } from '../units';

/** What the label says for a species and a route. @returns undefined where it says nothing: that use is off the label */
export const labelWithdrawal = (label: ProductLabel, species: Species, route: Route): WithdrawalRule | undefined =>
  label.withdrawals.find((w) => w.species === species && w.route === route);

/** A treatment as its clock needs it. Days as they were written down with it: a label changed later changes no past. */
export interface Withheld {
  readonly on: Day;
  readonly productId: string;
  readonly meatDays: Days | undefined;
  readonly milkDays: Days | undefined;
}

/** What may not be used yet, and to the end of which day. */
export interface OpenWithdrawal {
  readonly of: 'meat' | 'milk';
  /** The day of the treatment that ends last. */
  readonly from: Day;
  /** The last counted day; clear from the day after. */
  readonly until: Day;
  /** The treatment that ends last. */
  readonly productId: string;
}

/** The last counted day: the day of treatment is day 0, and the withdrawal ends at the end of day `days`. */
export const withdrawalEnd = (on: Day, days: Days): Day => addDays(on, days);

/** What is withheld on a day; of several the longest counts. 0 days withhold the day of treatment itself not at all. */
export function openWithdrawals(treatments: readonly Withheld[], asOf: Day): OpenWithdrawal[] {
  return (['meat', 'milk'] as const).flatMap((of) => {
    let longest: OpenWithdrawal | undefined;
    for (const t of treatments) {
      const days = of === 'meat' ? t.meatDays : t.milkDays;
      if (days === undefined || days <= 0 || t.on > asOf) continue;
      const until = withdrawalEnd(t.on, days);
      if (until >= asOf && (!longest || until > longest.until))
        longest = { of, from: t.on, until, productId: t.productId };
    }
    return longest ? [longest] : [];
  });
}
