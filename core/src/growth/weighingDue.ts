import { addDays, windowAfter, type Day, type Window } from '../calendar';
import type { WeighedAround, WeighingStep } from '../species';
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
    if (step.kind === 'around') continue;
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

/**
 * The weighings of a female around her mating, service and weaning whose window is not over and in which she has not
 * been weighed.
 * @param dayOf the day of each; undefined where there is none to speak of
 */
export function weighingsAround(
  daily: readonly Reading[],
  schedule: readonly WeighingStep[],
  dayOf: (event: WeighedAround) => Day | undefined,
  asOf: Day,
): WeighingDue[] {
  return schedule.flatMap((step) => {
    const on = step.kind === 'around' ? dayOf(step.event) : undefined;
    if (step.kind !== 'around' || on === undefined) return [];
    const window = windowAfter(on, step.window);
    const isDone = daily.some((r) => r.on >= window.opens && r.on <= window.closes);
    return isDone || window.closes < asOf ? [] : [{ step: step.name, window }];
  });
}
