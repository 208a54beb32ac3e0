import { addYears, type Day } from '../calendar';
import type { SpeciesSettings } from '../species';
import { matingFor, type YearPlan } from './plan';
import { layOut } from './steps';

/** What came of a step: the days it was done on, and on how many head. */
export interface Happened {
  readonly from: Day;
  readonly to: Day;
  readonly head: number;
}

/**
 * The plan a year on: the same wish on the same date (29 February becomes the 28th), with the same schools, doses and
 * moved steps; nothing of it done yet. A rolling plan goes on where its last litter leaves off.
 */
export function nextPlan(plan: YearPlan, settings: SpeciesSettings): YearPlan {
  const name = plan.name.replace(/\b(20\d\d)\b/, (year) => String(Number(year) + 1));
  if (plan.kind === 'season') {
    const wanted = { ...plan.wanted, on: addYears(plan.wanted.on, 1) };
    return { ...plan, name, wanted, matingOn: matingFor(wanted, settings), done: {} };
  }
  const { steps } = layOut({ ...plan, litters: plan.litters + 1 }, settings);
  const after = steps.find((s) => s.key === `${plan.litters + 1} mating`);
  return { ...plan, name, matingOn: after?.window.opens ?? plan.matingOn, shifts: {}, done: {} };
}
