/**
 * Share of a normal distribution under a value, by Abramowitz & Stegun (1964) 26.2.17; right to 7.5e-8. Without spread
 * all of it is at the mean, which counts as under itself.
 */
export function normalShareBelow(value: number, mean: number, sd: number): number {
  if (sd === 0) return value >= mean ? 1 : 0;
  const z = (value - mean) / sd;
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z >= 0 ? 1 - tail : tail;
}

/** Density of the normal distribution of mean 0 and SD 1. */
export const normalDensity = (z: number): number => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);

export interface Piece {
  /** Chance to lie in it. */
  readonly chance: number;
  /** The mean of those in it times that chance: what they add to the mean of all. */
  readonly part: number;
}

/** The piece of a normal distribution from one value to under another; either may be infinite. */
export function normalPiece(from: number, to: number, mean: number, sd: number): Piece {
  if (sd === 0) {
    const isIn = mean >= from && mean < to;
    return { chance: isIn ? 1 : 0, part: isIn ? mean : 0 };
  }
  const [a, b] = [(from - mean) / sd, (to - mean) / sd];
  const chance = normalShareBelow(b, 0, 1) - normalShareBelow(a, 0, 1);
  return { chance, part: mean * chance - sd * (normalDensity(b) - normalDensity(a)) };
}
