import { addDays, windowAfter, type Day, type Window } from '../calendar';
import type { WeighingStep } from '../species';
import type { Reading } from './readings';

export interface WeighingDue {
  readonly step: string;
  readonly window: Window;
}

/** An every-so-often weighing may be early by a fifth of its rhythm and late by as much again after its best stretch. */
const SLACK_SHARE = 0.2;

/**
 * The next weighing of an animal by its schedule: the first step at an age whose window is not over and in which it
 * has not been weighed, or the running rhythm counted from its last weighing (from the step's start when never, and not
 * from before it came: nobody here could have weighed it).
 * @param daily as `dailyReadings` gives them
 * @param arrivedOn the day it came; undefined for one that was always here
 * @returns undefined when no step of the schedule lies ahead
 */
export function nextWeighing(
  bornOn: Day,
  daily: readonly Reading[],
  schedule: readonly WeighingStep[],
  asOf: Day,
  arrivedOn?: Day,
): WeighingDue | undefined {
  for (const step of schedule) {
    if (step.kind === 'at-age') {
      const window = windowAfter(bornOn, step.window);
      if (window.closes < asOf || daily.some((r) => r.on >= window.opens && r.on <= window.closes)) continue;
      return { step: step.name, window };
    }
    const from = addDays(bornOn, step.fromDays);
    if (addDays(bornOn, step.toDays) < asOf) continue;
    const slack = Math.max(1, Math.round(step.everyDays * SLACK_SHARE));
    const last = daily.at(-1);
    // Weighed in the step or shortly before it: the rhythm runs from there.
    const due = last && last.on > from - step.everyDays ? last.on + step.everyDays : Math.max(from, arrivedOn ?? from);
    return {
      step: step.name,
      window: windowAfter(due as Day, { opens: -slack, bestFrom: 0, bestTo: slack, closes: slack * 2 }),
    };
  }
  return undefined;
}
