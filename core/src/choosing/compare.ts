import { normalShareBelow } from '../statistics';

/** An index with its standard error. */
export interface Judged {
  readonly index: number;
  readonly standardError: number;
}

export interface Compared {
  /** First less second, in the index's unit. */
  readonly difference: number;
  readonly standardError: number;
  /** Chance that the first is better. */
  readonly chanceFirst: number;
}

/** Two animals side by side; the errors of the two are taken as independent. */
export function compareTwo(first: Judged, second: Judged): Compared {
  const difference = first.index - second.index;
  const standardError = Math.hypot(first.standardError, second.standardError);
  const chanceFirst =
    standardError === 0 ? (Math.sign(difference) + 1) / 2 : normalShareBelow(difference, 0, standardError);
  return { difference, standardError, chanceFirst };
}
