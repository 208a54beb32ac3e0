import type { Kilograms } from '../units';

export interface WeanedForWeight {
  readonly kgAYear: Kilograms;
  /** Kilograms weaned a year for one of the dam's. */
  readonly forAKg: number;
}

/**
 * What a dam weans a year for her own weight: a heavier one eats more all year, so that weaned weight alone is no
 * measure. Litters that were not weighed are taken as the weighed.
 * @param weaned mean of her weighed litters, all her litters, and the years she had them in
 * @returns undefined without a weighed litter, years or a weight of hers
 */
export function weanedForWeight(
  weaned: { readonly kgALitter: Kilograms | undefined; readonly litters: number; readonly years: number },
  damKg: Kilograms | undefined,
): WeanedForWeight | undefined {
  const { kgALitter, litters, years } = weaned;
  if (kgALitter === undefined || damKg === undefined || !(years > 0) || !(damKg > 0)) return undefined;
  const kgAYear = (kgALitter * litters) / years;
  return { kgAYear, forAKg: kgAYear / damKg };
}
