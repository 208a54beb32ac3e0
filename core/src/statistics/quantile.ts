/** Quantile of numbers in rising order by linear interpolation between order statistics (type 7, as R and numpy).
 * @returns undefined for no numbers */
export function quantileSorted(sorted: readonly number[], p: number): number | undefined {
  if (sorted.length === 0) return undefined;
  const at = (sorted.length - 1) * p;
  const below = Math.floor(at);
  const low = sorted[below] as number;
  const high = sorted[Math.min(below + 1, sorted.length - 1)] as number;
  return low + (high - low) * (at - below);
}

/** Numbers in rising order, as a new array. */
export const sorted = (values: readonly number[]): number[] => [...values].sort((a, b) => a - b);

/** Median (type 7). @returns undefined for no numbers */
export const median = (values: readonly number[]): number | undefined => quantileSorted(sorted(values), 0.5);

/** Arithmetic mean. @returns undefined for no numbers */
export const mean = (values: readonly number[]): number | undefined =>
  values.length === 0 ? undefined : values.reduce((sum, v) => sum + v, 0) / values.length;

/** Standard deviation with n-1. @returns undefined under two numbers */
export function standardDeviation(values: readonly number[]): number | undefined {
  const m = mean(values);
  if (m === undefined || values.length < 2) return undefined;
  // Two passes: the one-pass formula cancels away when the spread is small beside the mean, as with weights.
  return Math.sqrt(values.reduce((sum, v) => sum + (v - m) ** 2, 0) / (values.length - 1));
}

/** Makes the median absolute deviation estimate the SD of a normal sample: 1 / 0.6745 (Hampel 1974, JASA 69: 383). */
const MAD_TO_SD = 1.4826;

/** Spread that a few wild readings do not move: 1.4826 x median absolute deviation. @returns undefined for no numbers */
export function robustSpread(values: readonly number[]): number | undefined {
  const centre = median(values);
  if (centre === undefined) return undefined;
  const deviation = median(values.map((v) => Math.abs(v - centre)));
  return deviation === undefined ? undefined : deviation * MAD_TO_SD;
}
