import { normalShareBelow } from '../statistics';
import type { Ranked } from './rank';

export const DECISIONS = ['keep', 'second', 'sell', 'cull'] as const;
export type Decision = (typeof DECISIONS)[number];
/** What is suggested; a cull is a person's word, or that of the rules for the grown. */
export type Suggestion = Exclude<Decision, 'cull'>;

export interface Lines {
  /** How many stay. */
  readonly keep: number;
  /** How many after them are the second string; the rest are for sale. */
  readonly second: number;
}

const KEEP_SHARE = 0.4;
const SECOND_SHARE = 0.25;

/** Where the lines stand before anybody moves them. One alone has nothing to be set against, so nothing speaks for selling it. */
export const suggestedLines = (ranked: number): Lines =>
  ranked === 1
    ? { keep: 1, second: 0 }
    : { keep: Math.round(ranked * KEEP_SHARE), second: Math.round(ranked * SECOND_SHARE) };

/** Lines within the number that is ranked; the second string gives way to those who stay. */
export function linesWithin({ keep, second }: Lines, ranked: number): Lines {
  const stay = clamp(keep, ranked);
  return { keep: stay, second: clamp(second, ranked - stay) };
}
const clamp = (n: number, most: number): number => Math.max(0, Math.min(most, n));

export interface Placed extends Ranked {
  readonly suggestion: Suggestion;
  /** Chance that it belongs on the other side of the line it is nearer to; 0 where no line parts the list. */
  readonly chanceAcross: number;
  /** The chance is so high that the ranking cannot tell on which side it belongs. */
  readonly isGrey: boolean;
}

/** Above this chance of belonging across the line an animal stands in the grey zone. */
const GREY = 0.2;

/**
 * Draws the lines at the numbers wanted. A line lies midway between the last above and the first below it; of two lines
 * the nearer counts.
 * @param ranked best first
 */
export function drawLines(ranked: readonly Ranked[], lines: Lines): Placed[] {
  const cuts = [lines.keep, lines.keep + lines.second].flatMap((n) => {
    const above = ranked[n - 1];
    const below = ranked[n];
    return above && below ? [(above.index + below.index) / 2] : [];
  });
  return ranked.map((r, i) => {
    const chance = cuts.length === 0 ? 0 : acrossLine(Math.min(...cuts.map((cut) => Math.abs(r.index - cut))), r);
    return {
      ...r,
      suggestion: i < lines.keep ? 'keep' : i < lines.keep + lines.second ? 'second' : 'sell',
      chanceAcross: chance,
      isGrey: chance > GREY,
    };
  });
}

/** Chance that one with an error lies on the other side of a line so far away. */
function acrossLine(distance: number, { standardError }: Ranked): number {
  if (standardError === 0) return distance === 0 ? 0.5 : 0;
  return normalShareBelow(-distance, 0, standardError);
}

/**
 * The list with those who are best kept together suggested for keeping, whatever their place; the others follow in
 * order.
 */
export function togetherFirst(placed: readonly Placed[], keptIds: readonly string[], { second }: Lines): Placed[] {
  const kept = new Set(keptIds);
  let left = second;
  return placed.map((row) => {
    const suggestion: Suggestion = kept.has(row.id) ? 'keep' : left-- > 0 ? 'second' : 'sell';
    return { ...row, suggestion };
  });
}
