import { mean, standardDeviation } from '../statistics';

/** Inverse of the standard normal distribution by bisection; right to 1e-10, and asked for a handful of shares. */
function normalQuantile(share: number): number {
  let [low, high] = [-10, 10];
  while (high - low > 1e-12) {
    const middle = (low + high) / 2;
    if (below(middle) < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Share of the standard normal under z, by its series: right to rounding within eight SDs. */
function below(z: number): number {
  if (z < -8) return 0;
  if (z > 8) return 1;
  let term = z;
  let sum = z;
  for (let i = 3; sum + term !== sum; i += 2) {
    term = (term * z * z) / i;
    sum += term;
  }
  return 0.5 + sum * density(z);
}
const density = (z: number): number => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);

/**
 * How far the best k of n stand over the mean of all, in SDs: the intensity of a large population less the correction
 * of a finite sample (Burrows 1972, Biometrics 28: 1091-1100), i - (n - k)/(2 k (n + 1) i). 0 when all are kept.
 */
export function selectionIntensity(kept: number, of: number): number {
  if (kept >= of || kept <= 0) return 0;
  const share = kept / of;
  const i = density(normalQuantile(1 - share)) / share;
  return Math.max(0, i - (of - kept) / (2 * kept * (of + 1) * i));
}

export interface SexSelected {
  readonly kept: number;
  readonly of: number;
  /** SD of the candidates' values, or what is expected of it. */
  readonly spread: number;
  /** Mean age of these parents at the births kept from, years. */
  readonly ageYears: number;
}

/** Spread of the candidates' values; before there are any, the genetic SD times the mean of the roots of reliability. */
export const spreadOf = (
  values: readonly number[],
  expected: { readonly geneticSd: number; readonly reliabilities: readonly number[] },
): number =>
  standardDeviation(values) ?? expected.geneticSd * (mean(expected.reliabilities.map((r) => Math.sqrt(r))) ?? 0);

/** Expected gain a year: (i_f S_f + i_m S_m)/(L_f + L_m), in the unit of the spreads. */
export function gainAYear(females: SexSelected, males: SexSelected): number {
  const years = females.ageYears + males.ageYears;
  if (!(years > 0)) return 0;
  const superiority = ({ kept, of, spread }: SexSelected): number => selectionIntensity(kept, of) * spread;
  return (superiority(females) + superiority(males)) / years;
}

/**
 * How much closer kin a herd becomes a year, as inbreeding: (1/(8 Nm) + 1/(8 Nf))/L with the males and females that
 * become parents in a generation of L years (Wright 1931; a rule of thumb where mates are chosen by merit, it is then
 * more).
 * @returns undefined where no male or no female becomes a parent
 */
export function kinshipGrowth(
  females: SexSelected,
  males: SexSelected & { readonly usedYears: number },
): number | undefined {
  const generation = (females.ageYears + males.ageYears) / 2;
  const ofMales = (males.kept / males.usedYears) * generation;
  const ofFemales = females.kept * generation;
  if (!(ofMales > 0 && ofFemales > 0)) return undefined;
  return (1 / (8 * ofMales) + 1 / (8 * ofFemales)) / generation;
}
