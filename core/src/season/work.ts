import { addDays, type Day, weekOf, type WeekStart } from '../calendar';
import type { Species } from '../species';
import type { BirthsExpected } from '../births';
import type { PlanStep, StepKind } from './steps';

/** Head one person gets through in a day of work, small stock. Rules of thumb. */
const HEADS_A_DAY: Readonly<Record<StepKind, number>> = {
  'male-check': 12,
  weaned: 100,
  scoring: 100,
  flushing: Infinity,
  minerals: 80,
  mating: Infinity,
  test: 40,
  count: 100,
  dose: 100,
  nest: 60,
  births: 10,
  processing: 30,
  weaning: 80,
  sale: 60,
};
/** Males looked at for so many females. */
const FEMALES_A_MALE = 30;
/** A beast takes as long as so many of the small stock. */
const SMALL_STOCK: Readonly<Record<Species, number>> = { sheep: 1, goat: 1, rabbit: 0.5, cattle: 3 };

export interface WeekOfWork {
  /** Days of work of one person. */
  readonly days: number;
  readonly parts: readonly { readonly planId: string; readonly step: string; readonly days: number }[];
}

interface LaidPlan {
  readonly id: string;
  readonly plan: { readonly species: Species; readonly females: number };
  readonly steps: readonly PlanStep[];
  readonly births: readonly BirthsExpected[];
}

/** Work of all plans by the week it falls in: a step in the week of its best start, births and the handling after them as they come. */
export function workByWeek(plans: readonly LaidPlan[], weekStart: WeekStart = 'monday'): ReadonlyMap<Day, WeekOfWork> {
  const weeks = new Map<Day, { days: number; parts: { planId: string; step: string; days: number }[] }>();
  const add = (on: Day, planId: string, step: string, days: number): void => {
    if (days <= 0) return;
    const first = weekOf(on, weekStart);
    const week = weeks.get(first) ?? { days: 0, parts: [] };
    week.days += days;
    const part = week.parts.find((p) => p.planId === planId && p.step === step);
    if (part) part.days += days;
    else week.parts.push({ planId, step, days });
    weeks.set(first, week);
  };
  for (const { id, plan, steps, births } of plans) {
    const perHead = (kind: StepKind): number => SMALL_STOCK[plan.species] / HEADS_A_DAY[kind];
    for (const step of steps) {
      const of = births[(step.litter ?? 1) - 1];
      if (step.kind === 'births' || step.kind === 'processing') {
        const birthsFrom = steps.find((s) => s.kind === 'births' && s.litter === step.litter)?.window.bestFrom;
        const later = step.window.bestFrom - (birthsFrom ?? step.window.bestFrom);
        of?.perDay.forEach((n, i) => add(addDays(of.from, i + later), id, step.key, n * perHead(step.kind)));
      } else {
        const heads = step.kind === 'male-check' ? Math.max(1, plan.females / FEMALES_A_MALE) : plan.females;
        add(step.window.bestFrom, id, step.key, heads * perHead(step.kind));
      }
    }
  }
  return new Map([...weeks].sort(([a], [b]) => a - b));
}
