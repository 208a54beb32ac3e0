import { addDays, type Day, type Window } from '../calendar';
import { gestationSpread, spreadHalf, type GestationDays } from './expected';
import type { Days } from '../units';

/** A day a female that carries may have conceived on. */
export interface Conception {
  readonly on: Day;
  /** Of all the days she may have; they add up to 1. */
  readonly share: number;
  /** Standard deviation of the day itself, in days; 0 of a service seen. */
  readonly sd: number;
}

/** On which day a pregnancy ends: shares that add up to 1, from a first day on. */
export interface BirthSpread {
  readonly start: Day;
  readonly shares: readonly number[];
}

/** A conception less likely than this does not widen the window that is shown. Rule of thumb. */
const WINDOW_FROM = 0.05;

/** The day of birth of one that may have conceived on several days: each spreads as `gestationSpread` says. */
export function birthSpread(conceptions: readonly Conception[], gestation: GestationDays): BirthSpread {
  const parts = conceptions.map(({ on, share, sd }) => ({
    start: addDays(on, gestation.mean - spreadHalf(gestation, sd)),
    shares: gestationSpread(gestation, sd).map((s) => s * share),
  }));
  const start = Math.min(...parts.map((p) => p.start)) as Day;
  const end = Math.max(...parts.map((p) => p.start + p.shares.length));
  const shares = new Array<number>(end - start).fill(0);
  for (const part of parts)
    part.shares.forEach((share, d) => {
      const at = part.start - start + d;
      shares[at] = (shares[at] ?? 0) + share;
    });
  return { start, shares };
}

/** Share of a spread that is still to come, `asOf` included. */
export const stillToCome = ({ start, shares }: BirthSpread, asOf: Day): number =>
  shares.reduce((s, share, d) => (start + d < asOf ? s : s + share), 0);

/**
 * Chance that a female that carries gives birth on each of the days from `asOf` on, she not having done so yet: her
 * spread with the days gone by taken off and the rest scaled up. Past its end there is none: she is over her time.
 * @returns `days` shares that add up to 1 at the most
 */
export function birthDayChances(spread: BirthSpread, asOf: Day, days: Days): number[] {
  const rest = stillToCome(spread, asOf);
  return Array.from({ length: days }, (_, d) => (rest <= 0 ? 0 : (spread.shares[asOf + d - spread.start] ?? 0) / rest));
}

/** When a pregnancy ends: around the likeliest day, from the earliest conception that counts to the latest. */
export function birthWindow(conceptions: readonly Conception[], { from, mean, to }: GestationDays): Window {
  const counted = conceptions.filter((c) => c.share >= WINDOW_FROM);
  const days = (counted.length > 0 ? counted : conceptions).map((c) => c.on);
  const best = conceptions.reduce((a, b) => (b.share > a.share ? b : a)).on;
  return {
    opens: addDays(Math.min(...days) as Day, from),
    bestFrom: addDays(best, Math.round((from + mean) / 2)),
    bestTo: addDays(best, Math.round((mean + to) / 2)),
    closes: addDays(Math.max(...days) as Day, to),
  };
}
