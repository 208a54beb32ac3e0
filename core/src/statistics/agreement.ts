import { mean, standardDeviation } from './quantile';

/** Standard deviations to each side of the bias, as the limits are defined: this figure, and not the quantile it rounds. */
const LIMITS_SD = 1.96;

/** Two answers to the same question. */
export type AnswerPair = readonly [first: number, second: number];

export interface Agreement {
  readonly pairs: number;
  /** Mean of first less second. */
  readonly bias: number;
  /** Standard error of the bias; undefined under two pairs. */
  readonly biasStandardError: number | undefined;
  /** 95 % limits of agreement: bias -+ 1.96 SD of the differences (n-1); undefined under two pairs. */
  readonly limits: readonly [low: number, high: number] | undefined;
}

/**
 * Bias and limits of agreement of two ways of measuring the same things (Bland & Altman 1986, Lancet 327: 307-310).
 * @returns undefined for no pairs
 */
export function agreement(pairs: readonly AnswerPair[]): Agreement | undefined {
  const differences = pairs.map(([a, b]) => a - b);
  const bias = mean(differences);
  if (bias === undefined) return undefined;
  const sd = standardDeviation(differences);
  return {
    pairs: pairs.length,
    bias,
    biasStandardError: sd === undefined ? undefined : sd / Math.sqrt(pairs.length),
    limits: sd === undefined ? undefined : [bias - LIMITS_SD * sd, bias + LIMITS_SD * sd],
  };
}

/** Share of pairs no further apart than `tolerance`, the bound included. @returns undefined for no pairs */
export const shareWithin = (pairs: readonly AnswerPair[], tolerance: number): number | undefined =>
  mean(pairs.map(([a, b]) => Number(Math.abs(a - b) <= tolerance)));

/**
 * Cohen's kappa with quadratic weights: agreement beyond chance, a miss by two classes counting four times one by one
 * (Cohen 1968, Psychological Bulletin 70: 213-220). 1 - sum(w O) / sum(w E), w = (i - j)^2; equal steps between classes
 * are taken for granted, so the classes themselves need not be given.
 * @returns undefined for no pairs, and where both are constant and equal: chance then explains all there is
 */
export function quadraticKappa(pairs: readonly AnswerPair[]): number | undefined {
  if (pairs.length === 0) return undefined;
  const seen = mean(pairs.map(([a, b]) => (a - b) ** 2)) as number;
  // By chance each answer of the first meets each of the second: the mean over all n x n pairings, without the loop.
  const firsts = pairs.map(([a]) => a);
  const seconds = pairs.map(([, b]) => b);
  const shift = (mean(firsts) as number) - (mean(seconds) as number);
  const chance = spread(firsts) + spread(seconds) + shift ** 2;
  return chance === 0 ? undefined : 1 - seen / chance;
}

/** Mean squared distance from the mean, over n. */
function spread(values: readonly number[]): number {
  const centre = mean(values) as number;
  return mean(values.map((v) => (v - centre) ** 2)) as number;
}
