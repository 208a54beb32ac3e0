import { addDays, type Day } from '../calendar';
import type { PlanStep, StepKind } from './steps';

/** A stretch of the year a plan wants. */
export interface PlannedStretch {
  readonly kind: 'mating' | 'carrying' | 'births' | 'rearing';
  readonly from: Day;
  readonly to: Day;
}

/**
 * A plan in stretches of the year, litter by litter: mating, carrying from its end to the first birth, births to the
 * last best day, and rearing from then to the last best day for weaning. A stretch that ends before it begins is none.
 */
export function plannedBlocks(steps: readonly PlanStep[]): PlannedStretch[] {
  return steps.flatMap((mating): PlannedStretch[] => {
    if (mating.kind !== 'mating') return [];
    const own = (kind: StepKind) => steps.find((s) => s.kind === kind && s.litter === mating.litter);
    const [births, weaning] = [own('births'), own('weaning')];
    if (!births || !weaning) return [];
    const all: readonly PlannedStretch[] = [
      { kind: 'mating', from: mating.window.opens, to: mating.window.closes },
      { kind: 'carrying', from: addDays(mating.window.closes, 1), to: addDays(births.window.opens, -1) },
      { kind: 'births', from: births.window.opens, to: births.window.bestTo },
      { kind: 'rearing', from: addDays(births.window.bestTo, 1), to: weaning.window.bestTo },
    ];
    return all.filter(({ from, to }) => from <= to);
  });
}
