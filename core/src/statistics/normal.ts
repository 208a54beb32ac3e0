/**
 * Share of a normal distribution under a value, by Abramowitz & Stegun (1964) 26.2.17; right to 7.5e-8.
 */
export function normalShareBelow(value: number, mean: number, sd: number): number {
  const z = (value - mean) / sd;
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z >= 0 ? 1 - tail : tail;
}
