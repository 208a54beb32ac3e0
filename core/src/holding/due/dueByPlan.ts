import { isPresent, type AnimalFacts } from '../../book';
import type { Day } from '../../calendar';
import { isByLitter } from '../../rearing';
import type { PlanStep, StepKind, YearPlan } from '../../season';
import type { SpeciesSettings } from '../../species';
import { DUE_AHEAD_DAYS, opened, type DueRow } from './dueRow';

/** What nobody did is asked after for so long past its close. */
export const DUE_LATE_DAYS = 14;
/** Steps of a plan that go by each female's own service once it is known. */
const TOLD_BY_SERVICES: readonly StepKind[] = ['test', 'count', 'nest'];
/** Steps that are a job at the race, with what they may be put together with; a dose only where its product is known. */
const AT_THE_RACE: Readonly<Partial<Record<StepKind, DueRow['joins']>>> = {
  scoring: 'measures',
  'male-check': 'measures',
  dose: 'same-list',
  test: 'same-list',
  count: 'same-list',
};

/** A plan as it is laid out, with what the book tells of it. */
export interface PlanDue {
  readonly id: string;
  readonly plan: YearPlan;
  readonly steps: readonly PlanStep[];
  /** Those it is for that are here. */
  readonly females: readonly AnimalFacts[];
  readonly settings: SpeciesSettings;
  readonly isServed: (facts: AnimalFacts) => boolean;
  /** Whom a step is done to. */
  readonly whoFor: (step: PlanStep) => readonly AnimalFacts[];
  readonly doneOn: (step: PlanStep, facts: AnimalFacts) => Day | undefined;
}

/** Steps of a plan that are open, open soon, or were missed of late, on those they were not done to yet. */
export function dueByPlan(laid: PlanDue, today: Day): DueRow[] {
  const near = laid.steps.filter(
    (s) =>
      s.window.opens <= today + DUE_AHEAD_DAYS &&
      s.window.closes >= today - DUE_LATE_DAYS &&
      !(s.key in laid.plan.done) &&
      // Births are no work that is started: they come.
      s.kind !== 'births' &&
      (s.kind !== 'weaning' || !isByLitter(laid.settings)),
  );
  if (near.length === 0) return [];
  // Once they are served, each has her own windows, and the plan's are no news.
  const isServed = laid.females.some((f) => laid.isServed(f));
  const own = isServed ? near.filter((s) => !TOLD_BY_SERVICES.includes(s.kind)) : near;
  return own.flatMap((step) => stepRow(laid, step, today));
}

function stepRow(laid: PlanDue, step: PlanStep, today: Day): DueRow[] {
  const all = laid.whoFor(step).filter((f) => isPresent(f, today));
  // Who of the young is weaned goes by each, as under Rearing.
  if (step.kind === 'weaning' && all.length > 0) return [];
  const animals = all.filter((f) => laid.doneOn(step, f) === undefined);
  if (all.length > 0 && animals.length === 0) return [];
  const joins = isAtRace(laid.plan, step) && animals.length > 0 ? (AT_THE_RACE[step.kind] ?? 'nothing') : 'nothing';
  return [
    {
      key: `${laid.id} ${step.key}`,
      task: { kind: 'plan-step', planId: laid.id, step, done: all.length - animals.length },
      animals,
      species: laid.plan.species,
      groupId: laid.plan.groupId,
      joins,
      ...opened(step.window, today),
    },
  ];
}

const isAtRace = (plan: YearPlan, { kind, dose }: PlanStep): boolean =>
  kind !== 'dose' || (plan.kind === 'season' && plan.doses[dose ?? -1]?.productId !== undefined);
