import { mean, standardDeviation } from './quantile';

/** Two-sided normal quantile of an 80 % interval. */
export const Z_80 = 1.2815515655446004;
/** Half the width of the 80 % interval of a normal estimate: four times out of five the truth lies inside. */
export const halfWidth80 = (standardError: number): number => Z_80 * standardError;
/** Two-sided normal quantile of a 95 % interval. */
export const Z_95 = 1.959963984540054;

/** 90th percentile of Student's t by degrees of freedom, so an 80 % two-sided interval; standard tables to 30. */
const T_90 = [
  3.078, 1.886, 1.638, 1.533, 1.476, 1.44, 1.415, 1.397, 1.383, 1.372, 1.363, 1.356, 1.35, 1.345, 1.341, 1.337, 1.333,
  1.33, 1.328, 1.325, 1.323, 1.321, 1.319, 1.318, 1.316, 1.315, 1.314, 1.313, 1.311, 1.31,
] as const;

/** Student's t for an 80 % two-sided interval; the normal's beyond 30 degrees of freedom. @throws RangeError under 1 */
export function t80(degreesOfFreedom: number): number {
  if (degreesOfFreedom < 1)
    throw new RangeError(`an interval needs at least 1 degree of freedom, not ${degreesOfFreedom}`);
  return T_90[degreesOfFreedom - 1] ?? Z_80;
}

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
