import type { Day } from '../calendar';
import type { Mob } from './mobs';
import { scoreTrend, type ScoreOnDay } from './readings';
import type { Days } from '../units';

/** What is looked at when feed does not help. */
export const CONDITION_CHECKS = ['teeth', 'worms', 'feet', 'age', 'illness'] as const;
export type ConditionCheck = (typeof CONDITION_CHECKS)[number];

/** Feed shows in the score no sooner. Rule of thumb: 60 to 90 days a score in practice. */
export const RESPONSE_DAYS = 60;

export interface CheckMade {
  readonly on: Day;
  readonly what: ConditionCheck;
  /** Whether it was found wanting. */
  readonly isFound: boolean;
}

export interface MobFrom {
  readonly on: Day;
  readonly mob: Mob;
}

export interface NoResponse {
  readonly from: ScoreOnDay;
  readonly to: ScoreOnDay;
  readonly days: Days;
  /** Checks made since the feed should have shown, the last of each. */
  readonly made: readonly CheckMade[];
  readonly stillToCheck: readonly ConditionCheck[];
  /**
   * `check`: not all was looked at. `treat`: something was found that can be seen to. `cull`: all was looked at,
   * nothing was found that would explain it, or only what no feed mends (teeth, age).
   */
  readonly suggestion: 'check' | 'treat' | 'cull';
}

/** What no feed and no remedy gives back. */
const LASTING: readonly ConditionCheck[] = ['teeth', 'age'];

/**
 * An animal that was fed up and did not answer: the last scoring against one at least 60 days before it, in the thin
 * mob all the time between, and surely no gain seen.
 * @param mobs in order of day
 * @returns undefined where it gained, was not fed up, or was not scored twice so far apart
 */
export function noResponse(
  scores: readonly ScoreOnDay[],
  mobs: readonly MobFrom[],
  checks: readonly CheckMade[],
): NoResponse | undefined {
  const to = scores.at(-1);
  const from = to && scores.findLast((s) => to.on - s.on >= RESPONSE_DAYS);
  if (!to || !from || !wasFedUp(mobs, from.on, to.on)) return undefined;
  if (scoreTrend(from, to) === 'gained') return undefined;
  const made = [...new Map(checks.flatMap((c) => (c.on >= to.on ? [[c.what, c] as const] : []))).values()];
  const stillToCheck = CONDITION_CHECKS.filter((what) => !made.some((c) => c.what === what));
  const found = made.filter((c) => c.isFound);
  const suggestion = found.some((c) => !LASTING.includes(c.what))
    ? 'treat'
    : stillToCheck.length > 0 && found.length === 0
      ? 'check'
      : 'cull';
  return { from, to, days: to.on - from.on, made, stillToCheck, suggestion };
}

/** In the thin mob from one day to another: put there by the first, and not out of it before the second. */
function wasFedUp(mobs: readonly MobFrom[], from: Day, to: Day): boolean {
  const before = mobs.findLast((m) => m.on <= from);
  return before?.mob === 'thin' && mobs.every((m) => m.on <= from || m.on >= to || m.mob === 'thin');
}
