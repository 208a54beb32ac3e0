import { mean, standardDeviation } from './quantile';
import { studentQuantile } from './studentT';

/** Two-sided normal quantile of an 80 % interval. */
export const Z_80 = 1.2815515655446004;
/** Half the width of the 80 % interval of a normal estimate: four times out of five the truth lies inside. */
export const halfWidth80 = (standardError: number): number => Z_80 * standardError;

/** Student's t for an 80 % two-sided interval, for whole degrees of freedom and others. @throws RangeError under 1 */
export const t80 = (degreesOfFreedom: number): number =>
  Number.isInteger(degreesOfFreedom) && degreesOfFreedom <= KNOWN_T80
    ? (knownT80[degreesOfFreedom] ??= studentQuantile(0.9, degreesOfFreedom, Z_80))
    : studentQuantile(0.9, degreesOfFreedom, Z_80);
/** Whole degrees up to here are asked for again and again: worked out once. */
const KNOWN_T80 = 1_000;
const knownT80: number[] = [];

export interface MeanWithRange {
  readonly mean: number;
  /** Half the width of its 80 % interval. */
  readonly halfWidth: number;
}

/** A mean and how sure it is, from the spread of its numbers (Student's t). @returns undefined under two numbers */
export function meanWithRange(values: readonly number[]): MeanWithRange | undefined {
  const centre = mean(values);
  const sd = standardDeviation(values);
  if (centre === undefined || sd === undefined) return undefined;
  return { mean: centre, halfWidth: (t80(values.length - 1) * sd) / Math.sqrt(values.length) };
}
