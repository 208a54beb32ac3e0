import { halfWidth80 } from '../statistics';
import type { ScoreOnDay } from './readings';

/** A score put on or lost faster than this share of the fastest time is more likely a slip. Rule of thumb. */
const DOUBT_SHARE = 0.5;

/**
 * Whether a score lies further from the one before than a body can change in the days between, beyond what the hand
 * may err.
 * @param daysPerScore the fastest a score is put on
 */
export function isDoubtfulScore(before: ScoreOnDay, now: ScoreOnDay, daysPerScore: number): boolean {
  const possible = (now.on - before.on) / (daysPerScore * DOUBT_SHARE);
  return Math.abs(now.score - before.score) > possible + halfWidth80(Math.hypot(before.sd, now.sd));
}
