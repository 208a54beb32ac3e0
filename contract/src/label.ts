import type { DoseRule, ProductLabel } from '@yaylak/core';
import type { ProductFacts } from './remedies';

/** The label as core reckons with it. */
export const labelOf = (facts: ProductFacts): ProductLabel => ({
  doses: facts.doses.flatMap(({ by, perKg, bands, amount, ...rest }): DoseRule[] => {
    const who = { species: rest.species, fromDays: rest.fromDays, fromKg: rest.fromKg };
    if (by === 'kg' && perKg !== undefined) return [{ ...who, by, perKg }];
    if (by === 'band' && bands !== undefined) return [{ ...who, by, bands }];
    return by === 'head' && amount !== undefined ? [{ ...who, by, amount }] : [];
  }),
  doseUnit: facts.doseUnit,
  step: facts.step,
  rounding: facts.rounding,
  maxPerSite: facts.maxPerSite,
  withdrawals: facts.withdrawals.map((w) => ({
    species: w.species,
    route: w.route,
    meatDays: w.meatDays,
    milkDays: w.milkDays,
  })),
  course: facts.course,
});
