import type { Ranked } from './rank';

export const DECISIONS = ['keep', 'second', 'sell'] as const;
export type Decision = (typeof DECISIONS)[number];

export interface Lines {
  /** How many stay. */
  readonly keep: number;
  /** How many after them are the second string; the rest are for sale. */
  readonly second: number;
}

export interface Placed extends Ranked {
  readonly suggestion: Decision;
  /** Nearer to a line than the standard error: the ranking cannot tell on which side it belongs. */
  readonly isGrey: boolean;
}

/**
 * Draws the lines at the numbers wanted. A line lies midway between the last above and the first below it; whoever is
 * nearer to one than the own standard error stands in the grey zone, and so does an exact tie across it.
 * @param ranked best first
 */
export function drawLines(ranked: readonly Ranked[], lines: Lines): Placed[] {
  const cuts = [lines.keep, lines.keep + lines.second].flatMap((n) => {
    const above = ranked[n - 1];
    const below = ranked[n];
    return above && below ? [(above.index + below.index) / 2] : [];
  });
  return ranked.map((r, i) => ({
    ...r,
    suggestion: i < lines.keep ? 'keep' : i < lines.keep + lines.second ? 'second' : 'sell',
    isGrey: cuts.some((cut) => r.index === cut || Math.abs(r.index - cut) < r.standardError),
  }));
}
