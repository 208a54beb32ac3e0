import { addDays, type Day } from '../calendar';
import { gestationSpread, spreadHalf, type GestationDays } from './expected';

/** Young carried over the usual range by so many days are still believed, and waited for. Rule of thumb. */
export const OVERDUE_DAYS = 15;

/**
 * Chance that a female that carries gives birth on each of the days from `asOf` on, she not having done so yet:
 * gestation's spread with the days gone by taken off and the rest scaled up. Over her whole spread it is the first
 * day's alone: any hour now.
 * @returns `days` shares that add up to 1 at the most
 */
export function birthDayChances(conceivedOn: Day, gestation: GestationDays, asOf: Day, days: number): number[] {
  const spread = gestationSpread(gestation);
  const start = addDays(conceivedOn, gestation.mean - spreadHalf(gestation));
  const rest = spread.reduce((s, share, d) => (start + d < asOf ? s : s + share), 0);
  if (rest <= 0) return Array.from({ length: days }, (_, d) => (d === 0 ? 1 : 0));
  return Array.from({ length: days }, (_, d) => (spread[asOf + d - start] ?? 0) / rest);
}

/** Days a female is past the usual range; 0 within it. */
export const daysOver = (conceivedOn: Day, gestation: Pick<GestationDays, 'to'>, asOf: Day): number =>
  Math.max(0, asOf - addDays(conceivedOn, gestation.to));
