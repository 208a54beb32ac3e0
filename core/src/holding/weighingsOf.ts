import type { Birth } from '../births';
import type { AnimalFacts } from '../book';
import { addDays, type Day } from '../calendar';
import { nextWeighing, weighingsAround, type Reading, type WeighingDue } from '../growth';
import { isOneLitter, rearedBy, type Reared } from '../rearing';
import { planKindOf, type YearPlan } from '../season';
import type { SpeciesSettings, WeighedAround } from '../species';
import type { Days } from '../units';
import { femalesOfPlan } from './planned';

/** What of an animal beside its entries decides when it is weighed next. */
export interface WeighingsContext {
  /** Its readings by day, guesses set right. */
  readonly daily: readonly Reading[];
  readonly births: readonly Birth[];
  /** All young that may ever have been with her. */
  readonly youngAbout: readonly Reared[];
  /** Of its species. */
  readonly plans: readonly YearPlan[];
  readonly settings: SpeciesSettings;
  readonly today: Day;
}

/** A planned mating further away than this says nothing of today. */
const PLAN_DAYS: Days = 120;

/**
 * The weighings an animal is due for by the holding's rhythm, those around her mating, service and weaning first. One of
 * these does for the weighing again and again as well, which then is not asked for beside it.
 */
export function weighingsOf(facts: AnimalFacts, context: WeighingsContext): WeighingDue[] {
  const { daily, settings, today } = context;
  const { bornOn, sex } = facts.record;
  const around =
    sex === 'female'
      ? weighingsAround(daily, settings.weighing, (event) => dayOfEvent(facts, event, context), today)
      : [];
  if (bornOn === undefined || around.some(({ window }) => window.opens <= today)) return around;
  const next = nextWeighing(bornOn, daily, settings.weighing, today, facts.arrivedOn);
  return next ? [...around, next] : around;
}

function dayOfEvent(facts: AnimalFacts, event: WeighedAround, context: WeighingsContext): Day | undefined {
  switch (event) {
    case 'mating':
      return matingDay(facts, context);
    case 'service':
      return facts.services.at(-1)?.on;
    case 'weaning':
      return weaningDay(facts, context);
  }
}

/**
 * The day the males go in by the plan nearest to today; without one, of a species that has no season, the day she may be
 * mated again since she gave birth or was found empty, as long as she was not served. None where she may be in young.
 */
function matingDay(facts: AnimalFacts, { births, plans, settings, today }: WeighingsContext): Day | undefined {
  const planned = plans
    .filter(
      (plan) =>
        Math.abs(plan.matingOn - today) <= PLAN_DAYS && femalesOfPlan(plan, [facts], settings, today).length > 0,
    )
    .sort((a, b) => Math.abs(a.matingOn - today) - Math.abs(b.matingOn - today))[0];
  const lastBirth = births.at(-1)?.on;
  const emptied = [...facts.losses, ...facts.pregnancyTests.filter((t) => t.result === 'empty')].map((f) => f.on);
  const since = Math.max(lastBirth ?? -Infinity, ...emptied);
  const served = facts.services.findLast((s) => s.on > since);
  // One that would carry still on that day, if her service held, is not mated then.
  if (planned)
    return served && addDays(served.on, settings.gestationDays.to) > planned.matingOn ? undefined : planned.matingOn;
  const { bornOn } = facts.record;
  if (planKindOf(settings) !== 'rolling' || bornOn === undefined) return undefined;
  const open = Math.max(
    addDays(bornOn, settings.femaleFirstMatingDays),
    lastBirth === undefined ? -Infinity : addDays(lastBirth, settings.waitAfterBirthDays),
    ...emptied,
  ) as Day;
  return served ? undefined : open;
}

/** The day the last of her litter was weaned, or is to be, if she rears any. */
function weaningDay(
  { record: { id } }: AnimalFacts,
  { births, youngAbout, settings, today }: WeighingsContext,
): Day | undefined {
  const birth = births.at(-1);
  if (!birth) return undefined;
  const hers = youngAbout.filter(
    (y) => isOneLitter(y.bornOn, birth.on) && rearedBy({ ...y, weanedOn: undefined }, y.weanedOn ?? today) === id,
  );
  if (hers.length === 0) return undefined;
  const weaned = hers.map((y) => y.weanedOn);
  return weaned.every((on) => on !== undefined)
    ? (Math.max(...weaned) as Day)
    : addDays(birth.on, settings.weaningDays.bestFrom);
}
