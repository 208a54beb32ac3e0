import type { Day } from '../calendar';
import type { FatGroup } from '../species';
import type { Days } from '../units';

/** Days to lay on one third of a fat class, before anything is known of the animal itself. Rules of thumb. */
export const DAYS_A_THIRD: Readonly<Record<FatGroup, Days>> = { early: 14, middle: 21, late: 30 };
/** The default rate weighs as much as days squared of feeling: two feels some ninety days apart. */
const DEFAULT_WORTH = 8_000;

export interface Felt {
  readonly on: Day;
  /** Thirds. */
  readonly fat: number;
}

export interface FatRate {
  /** Thirds a day, never under 0. */
  readonly perDay: number;
  /** A third of the rate before it is felt twice; less the more days lie between the feels. */
  readonly sd: number;
}

/**
 * How fast it lays on fat: least squares through its first feel, pulled towards the default of its breed group.
 * @param felt in rising order of days
 */
export function fatRate(felt: readonly Felt[], group: FatGroup): FatRate {
  const first = felt[0];
  const usual = 1 / DAYS_A_THIRD[group];
  const since = felt.slice(1).map((f) => ({ days: f.on - (first as Felt).on, more: f.fat - (first as Felt).fat }));
  const squares = since.reduce((s, { days }) => s + days * days, 0);
  const cross = since.reduce((s, { days, more }) => s + days * more, 0);
  const perDay = Math.max(0, (cross + DEFAULT_WORTH * usual) / (squares + DEFAULT_WORTH));
  return { perDay, sd: ((perDay / 3) * DEFAULT_WORTH) / (squares + DEFAULT_WORTH) };
}
