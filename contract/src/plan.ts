import { dayOf, isoOf, type PlanInBook, type Resources, type SeasonPlan, type YearPlan } from '@yaylak/core';
import type { PlanFacts, PlanView, ResourcesSetting } from './season';

// Apart from the classes that check them: the interface lays plans out while they are dragged.

/** A plan as core reckons with it. @throws RangeError when a field its kind needs is missing */
export function planOf(facts: PlanFacts): YearPlan {
  const { kind, name, species, groupId, females, matingOn, shifts, done } = facts;
  const base = {
    name,
    species,
    ...(groupId === undefined ? {} : { groupId }),
    females,
    matingOn: dayOf(matingOn),
    shifts,
    done: Object.fromEntries(Object.entries(done).map(([key, on]) => [key, dayOf(on)])),
  };
  const missing = missingOf(facts);
  if (missing.length > 0) throw new RangeError(`a ${kind} plan without ${missing.join(', ')}`);
  if (kind === 'rolling') return { kind, ...base, school: facts.school ?? 'middle', litters: facts.litters ?? 1 };
  const wanted = facts.wanted as NonNullable<PlanFacts['wanted']>;
  return {
    kind,
    ...base,
    wanted: { ...wanted, on: dayOf(wanted.on) },
    flushing: facts.flushing ?? 'none',
    cycles: facts.cycles ?? 1,
    doses: facts.doses ?? [],
  };
}

/** Fields a plan of its kind cannot be without. */
export const missingOf = (facts: PlanFacts): string[] =>
  (facts.kind === 'season'
    ? (['wanted', 'flushing', 'cycles', 'doses'] as const)
    : (['school', 'litters'] as const)
  ).filter((field) => facts[field] === undefined);

/** A plan as it is kept. */
export function factsOf(plan: YearPlan): PlanFacts {
  const { matingOn, done, shifts, ...rest } = plan;
  const base = {
    matingOn: isoOf(matingOn),
    shifts: { ...shifts },
    done: Object.fromEntries(Object.entries(done).map(([key, on]) => [key, isoOf(on)])),
  };
  if (rest.kind === 'rolling') return { ...rest, ...base };
  const { wanted, doses, ...season } = rest as Omit<SeasonPlan, 'matingOn' | 'done' | 'shifts'>;
  return { ...season, ...base, wanted: { ...wanted, on: isoOf(wanted.on) }, doses: doses.map((d) => ({ ...d })) };
}

const dayOrNot = (iso: string | null) => (iso === null ? undefined : dayOf(iso));

/** A plan with its females and males, for the clashes. */
export const planInBook = (view: Pick<PlanView, 'id' | 'facts' | 'femalesInBook' | 'males'>): PlanInBook => ({
  id: view.id,
  plan: planOf(view.facts),
  females: view.femalesInBook.map((f) => ({ bornOn: dayOrNot(f.bornOn), lastBirthOn: dayOrNot(f.lastBirthOn) })),
  males: view.males,
});

export const resourcesOf = ({ workDaysPerWeek, birthPens, away, lean }: ResourcesSetting): Resources => ({
  ...(workDaysPerWeek === undefined ? {} : { workDaysPerWeek }),
  birthPens: Object.fromEntries(birthPens.map((p) => [p.species, p.pens])),
  away: away.map((a) => ({ from: dayOf(a.from), to: dayOf(a.to), why: a.why })),
  lean,
});
