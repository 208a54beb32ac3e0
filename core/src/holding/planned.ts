import type { Birth } from '../births';
import { groupOn, isPresent, type AnimalFacts } from '../book';
import type { Day } from '../calendar';
import { isFemaleOfAge } from '../mating';
import type { Happened, PlanStep, YearPlan } from '../season';
import { SPECIES_WORDS, type SpeciesSettings } from '../species';
import type { AnimalId, Days } from '../units';

/** What was done, or born, so many days before its window or after it still belongs to it. */
const SLACK_DAYS = 15;

/** What the book tells of those a plan is for. */
export interface PlannedContext {
  readonly birthsOf: (damId: AnimalId) => readonly Birth[];
  readonly youngOf: (damId: AnimalId) => readonly AnimalFacts[];
  readonly animal: (id: string) => AnimalFacts | undefined;
  /** Males of the species that are here and at least so old on a day. */
  readonly malesHere: (on: Day, minDays: Days) => readonly AnimalFacts[];
}

/**
 * Those a plan is for: the females of its group on the day of mating (of today while that is ahead), or all old enough.
 * @param all animals of its species
 */
export function femalesOfPlan(
  { groupId, matingOn }: YearPlan,
  all: readonly AnimalFacts[],
  settings: SpeciesSettings,
  today: Day,
): AnimalFacts[] {
  const on = Math.min(matingOn, today) as Day;
  return all.filter((f) => {
    if (f.record.sex !== 'female' || !isPresent(f, on) || (f.arrivedOn ?? on) > on) return false;
    return groupId === undefined ? isFemaleOfAge(f.record.bornOn, settings, matingOn) : groupOn(f, on) === groupId;
  });
}

/** Whom a step is done to: the males, the young of the season, the dams that gave birth, or the females. */
export function whoForStep(
  { plan, steps }: { readonly plan: YearPlan; readonly steps: readonly PlanStep[] },
  step: PlanStep,
  females: readonly AnimalFacts[],
  { youngOf, malesHere }: PlannedContext,
): readonly AnimalFacts[] {
  if (step.kind === 'male-check') return malesHere(plan.matingOn, SPECIES_WORDS[plan.species].grownFromDays);
  if (step.kind !== 'weaning' && step.kind !== 'processing') return females;
  const births = steps.find((s) => s.kind === 'births' && s.litter === step.litter)?.window;
  const ofSeason = females
    .flatMap((f) => youngOf(f.record.id))
    .filter(
      ({ record: { bornOn } }) =>
        bornOn !== undefined &&
        births !== undefined &&
        bornOn >= births.opens - SLACK_DAYS &&
        bornOn <= births.closes + SLACK_DAYS,
    );
  if (step.kind === 'weaning') return ofSeason;
  const dams = new Set(ofSeason.map((f) => f.record.damId));
  return females.filter((f) => dams.has(f.record.id));
}

/** The day a step was done on an animal, as far as the book tells: born, scored, given, sampled. */
export function stepDoneOn(
  plan: YearPlan,
  step: PlanStep,
  facts: AnimalFacts,
  context: PlannedContext,
): Day | undefined {
  const isIn = ({ on }: { readonly on: Day }): boolean =>
    on >= step.window.opens - SLACK_DAYS && on <= step.window.closes + SLACK_DAYS;
  switch (step.kind) {
    case 'births':
      return context.birthsOf(facts.record.id).find(isIn)?.on;
    case 'scoring':
      return facts.scores.find(isIn)?.on;
    case 'dose': {
      const productId = plan.kind === 'season' ? plan.doses[step.dose ?? -1]?.productId : undefined;
      return facts.treatments.find((g) => g.productId === productId && isIn(g))?.on;
    }
    case 'test':
      return facts.samples.find((g) => (g.purpose === 'pregnancy' || g.purpose === 'blood') && isIn(g))?.on;
    case 'count':
      return facts.pregnancyTests.find((t) => (t.way === 'scan' || t.way === 'palpation') && isIn(t))?.on;
    case 'mating':
      return facts.services.find(isIn)?.on;
    case 'male-check':
      return facts.maleChecks.find(isIn)?.on ?? facts.looks.find(isIn)?.on;
    case 'weaning':
      return facts.weanings.find((w) => w.isDone)?.on;
    case 'processing':
      return handledOn(context.birthsOf(facts.record.id).find(isIn), context);
    // Of these the book keeps no record of its own: they are written down as done by hand.
    case 'weaned':
    case 'flushing':
    case 'minerals':
    case 'nest':
    case 'sale':
      return undefined;
  }
}

/** The day the last of a dam's young of a birth got its first identifier; undefined while one has none. */
function handledOn(birth: Birth | undefined, { animal }: PlannedContext): Day | undefined {
  const days = (birth?.youngIds ?? []).flatMap((id) => {
    const young = animal(id);
    return young && young.departures.length === 0 ? [young.identifiers[0]?.on] : [];
  });
  const known = days.filter((d) => d !== undefined);
  return known.length === 0 || known.length < days.length ? undefined : (Math.max(...known) as Day);
}

/** From the first to the last of the days a step was done on, and on how many head; undefined where on none. */
export function happenedOn(days: readonly (Day | undefined)[]): Happened | undefined {
  const all = days.flatMap((d) => d ?? []).sort((a, b) => a - b);
  const [from] = all;
  const to = all.at(-1);
  return from === undefined || to === undefined ? undefined : { from, to, head: all.length };
}
