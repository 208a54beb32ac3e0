import { addDays, windowAfter, type Day, type Window } from '../calendar';
import type { SpeciesSettings } from '../species';

/** A rhythm may slip by so much of its spacing early, and as much again late. */
const SLACK_SHARE = 0.15;

/**
 * The next scoring by the usual rhythm, counted from the last one; from the age it begins at when there was none, or
 * from the day it came here where that was later.
 * @returns undefined while it is too young
 */
export function nextScoring(
  bornOn: Day | undefined,
  lastOn: Day | undefined,
  { fromDays, everyDays }: SpeciesSettings['scoring'],
  asOf: Day,
  cameOn?: Day,
): Window | undefined {
  const oldEnough = bornOn === undefined ? undefined : addDays(bornOn, fromDays);
  const start = oldEnough === undefined ? cameOn : (Math.max(oldEnough, cameOn ?? oldEnough) as Day);
  if (start !== undefined && start > addDays(asOf, everyDays)) return undefined;
  const due = lastOn === undefined ? (start ?? asOf) : addDays(lastOn, everyDays);
  const slack = Math.max(1, Math.round(everyDays * SLACK_SHARE));
  return windowAfter(due, { opens: -slack, bestFrom: 0, bestTo: slack, closes: 2 * slack });
}
