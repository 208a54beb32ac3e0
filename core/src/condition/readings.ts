import type { Day } from '../calendar';
import { halfWidth80, mean } from '../statistics';
import { SCORE_SD } from './scale';

/** A score as it was given. */
export interface ScoreReading {
  readonly on: Day;
  readonly score: number;
  readonly by: string;
}

/** What is thought of a day's condition. */
export interface ScoreOnDay {
  readonly on: Day;
  readonly score: number;
  /** Measurement SD, in scores. */
  readonly sd: number;
  readonly by: readonly string[];
  /** A scorer's bias was taken off. */
  readonly isCorrected: boolean;
}

/**
 * An animal's scores by day: those of one day are averaged, each first set right by its scorer's bias where one is
 * given (scores the scorer reads high).
 */
export function dailyScores(
  readings: readonly ScoreReading[],
  biasOf: ReadonlyMap<string, number> = new Map(),
): ScoreOnDay[] {
  const byDay = new Map<Day, ScoreReading[]>();
  for (const r of readings) byDay.set(r.on, [...(byDay.get(r.on) ?? []), r]);
  return [...byDay]
    .sort(([a], [b]) => a - b)
    .map(([on, all]) => ({
      on,
      score: mean(all.map((r) => r.score - (biasOf.get(r.by) ?? 0))) ?? 0,
      sd: SCORE_SD / Math.sqrt(all.length),
      by: [...new Set(all.map((r) => r.by))],
      isCorrected: all.some((r) => (biasOf.get(r.by) ?? 0) !== 0),
    }));
}

export type ScoreTrend = 'gained' | 'lost' | 'held' | 'cannot-tell';

/** A change of less than this is none. */
const NO_CHANGE = 0.5;

/**
 * What two scorings say: gained or lost where the 80 % interval of the change leaves out zero, held where it lies
 * within half a score either way, else it cannot be told.
 */
export function scoreTrend(before: ScoreOnDay, now: ScoreOnDay): ScoreTrend {
  const change = now.score - before.score;
  const half = halfWidth80(Math.hypot(before.sd, now.sd));
  if (Math.abs(change) > half) return change > 0 ? 'gained' : 'lost';
  return Math.abs(change) + half < NO_CHANGE ? 'held' : 'cannot-tell';
}
