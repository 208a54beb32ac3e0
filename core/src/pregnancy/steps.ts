import { addDays, type Day, type Window } from '../calendar';
import type { CarryingStep } from '../species';

/** When a step before a birth is done: best within half its slack, for the first day the birth is usual. */
export function carryingStepWindow({ daysBefore, slackDays }: CarryingStep, birthOn: Day): Window {
  const on = addDays(birthOn, -daysBefore);
  const best = Math.floor(slackDays / 2);
  return {
    opens: addDays(on, -slackDays),
    bestFrom: addDays(on, -best),
    bestTo: addDays(on, best),
    closes: addDays(on, slackDays),
  };
}
