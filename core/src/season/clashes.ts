import { addDays, dayOf, yearOf, type Day, type WeekStart } from '../calendar';
import type { Species, SpeciesSettings } from '../species';
import type { BirthsExpected } from '../births';
import { wishOn, type YearPlan } from './plan';
import { layOut, type PlanStep, type StepKind } from './steps';
import { workByWeek } from './work';
import type { Days } from '../units';

/** What the holding has, and when it has not. */
export interface Resources {
  /** Days of work there are in a week; not looked at where it is not said. */
  readonly workDaysPerWeek?: number;
  /** The day the weeks begin on that work is counted by; Monday where it is not said. */
  readonly weekStart?: WeekStart;
  readonly birthPens: Partial<Readonly<Record<Species, number>>>;
  readonly away: readonly { readonly from: Day; readonly to: Day; readonly why: string }[];
  /** Each year, `MM-DD`; may run over the new year. */
  readonly lean: readonly { readonly from: string; readonly to: string; readonly why: string }[];
}

/** A plan with what the book knows of those it is for. */
export interface PlanInBook {
  readonly id: string;
  readonly plan: YearPlan;
  readonly females: readonly { readonly bornOn: Day | undefined; readonly lastBirthOn: Day | undefined }[];
  /** Males here that are old enough by the mating. */
  readonly males: { readonly grown: number; readonly young: number };
}

/** Something that does not fit, of a plan and the step it shows at. */
export type Clash = { readonly planId: string; readonly step: string } & (
  | { readonly code: 'off-wish'; readonly what: 'births' | 'sale'; readonly wantedOn: Day; readonly isOn: Day }
  | { readonly code: 'not-rested'; readonly count: number; readonly readyOn: Day }
  | { readonly code: 'too-young'; readonly count: number; readonly readyOn: Day }
  | { readonly code: 'few-males'; readonly females: number; readonly enoughFor: number }
  | {
      readonly code: 'out-of-place';
      readonly side: 'too-late' | 'too-early';
      readonly other: string;
      readonly days: Days;
    }
  | { readonly code: 'away'; readonly from: Day; readonly to: Day; readonly why: string }
  | { readonly code: 'lean'; readonly from: Day; readonly to: Day; readonly why: string }
  | { readonly code: 'pens'; readonly wanted: number; readonly pens: number }
  | { readonly code: 'two-births'; readonly otherPlanId: string; readonly weekFrom: Day }
  | { readonly code: 'too-much-work'; readonly weekFrom: Day; readonly days: Days; readonly has: number }
);

type SettingsOf = (species: Species) => SpeciesSettings;

/**
 * All that does not fit in the plans of a holding, plan by plan in the order of their steps. What is done, or over by
 * `asOf`, is not complained of any more.
 */
export function planClashes(
  plans: readonly PlanInBook[],
  resources: Resources,
  settingsOf: SettingsOf,
  asOf: Day,
): Clash[] {
  const laid = plans.flatMap((p): Laid[] => {
    const { steps, births } = layOut(p.plan, settingsOf(p.plan.species));
    const ahead = steps.filter((s) => s.window.closes >= asOf && !(s.key in p.plan.done));
    // Over with its last births, a plan is history.
    return ahead.some((s) => s.kind === 'births') ? [{ ...p, steps: ahead, births }] : [];
  });
  return [
    ...laid.flatMap((p) => {
      const settings = settingsOf(p.plan.species);
      return [
        ...wishClash(p, settings),
        ...femaleClashes(p, settings),
        ...placeClashes(p),
        ...stretchClashes(p, resources),
        ...penClash(p, resources),
      ];
    }),
    ...birthsTogether(laid),
    ...workClashes(laid, resources),
  ];
}

interface Laid extends PlanInBook {
  readonly steps: readonly PlanStep[];
  readonly births: readonly BirthsExpected[];
}

function wishClash({ id, plan }: Laid, settings: SpeciesSettings): Clash[] {
  if (plan.kind !== 'season') return [];
  const isOn = wishOn(plan, settings);
  const { what, on } = plan.wanted;
  return isOn === on ? [] : [{ planId: id, step: what, code: 'off-wish', what, wantedOn: on, isOn }];
}

function femaleClashes({ id, plan, females, males, steps }: Laid, settings: SpeciesSettings): Clash[] {
  const mating = steps.find((s) => s.kind === 'mating');
  if (!mating) return [];
  const on = mating.window.opens;
  const at = { planId: id, step: mating.key };
  const clashes: Clash[] = [];
  const wait = plan.kind === 'rolling' ? 0 : settings.waitAfterBirthDays;
  const late = (days: readonly (Day | undefined)[]): readonly Day[] =>
    days.flatMap((d) => (d !== undefined && d > on ? [d] : []));
  const resting = late(females.map((f) => f.lastBirthOn && addDays(f.lastBirthOn, wait)));
  if (resting.length > 0)
    clashes.push({ ...at, code: 'not-rested', count: resting.length, readyOn: Math.max(...resting) as Day });
  const young = late(females.map((f) => f.bornOn && addDays(f.bornOn, settings.femaleFirstMatingDays)));
  if (young.length > 0)
    clashes.push({ ...at, code: 'too-young', count: young.length, readyOn: Math.max(...young) as Day });
  const { grown, young: youngMales } = settings.femalesPerMale;
  const enoughFor = males.grown * grown + males.young * youngMales;
  if (enoughFor < plan.females) clashes.push({ ...at, code: 'few-males', females: plan.females, enoughFor });
  return clashes;
}

/** A step by its key less its number, the one it has to come before, and the days that must lie between. */
const BEFORE: readonly (readonly [step: string, other: string, days: Days])[] = [
  ['weaned', 'flushing', 0],
  ['weaned', 'mating', 21],
  // Semen takes seven weeks to be made: a male found wanting later cannot mend in time.
  ['male-check', 'mating', 28],
  ['scoring mating', 'mating', 21],
  ['flushing', 'mating', 10],
  ['minerals', 'mating', 0],
  ['scoring birth', 'births', 21],
  ['minerals birth', 'births', 14],
  ['dose', 'births', 7],
];
/** Steps that can only be done in a window counted from the one before: young are counted at an age, or not at all. */
const OWN_WINDOW: readonly StepKind[] = ['test', 'count', 'nest', 'processing', 'weaning'];

function placeClashes({ id, plan, steps }: Laid): Clash[] {
  return steps.flatMap((step): Clash[] => {
    const at = { planId: id, step: step.key, code: 'out-of-place' } as const;
    const starts = step.isStretch ? step.window.opens : step.window.bestTo;
    for (const [name, otherKey, between] of BEFORE) {
      const other = name === step.key.replace(/ \d+$/, '') && steps.find((s) => s.key === otherKey);
      const over = other ? starts + between - other.window.opens : 0;
      if (other && over > 0) return [{ ...at, side: 'too-late', other: other.key, days: over }];
    }
    if (!OWN_WINDOW.includes(step.kind) || step.from === undefined) return [];
    const { opens, bestFrom, bestTo, closes } = step.window;
    const shift = plan.shifts[step.key] ?? 0;
    const early = -shift - (bestFrom - opens);
    const late = shift - (closes - bestTo);
    if (early > 0) return [{ ...at, side: 'too-early', other: step.from, days: early }];
    return late > 0 ? [{ ...at, side: 'too-late', other: step.from, days: late }] : [];
  });
}

/** Steps that want hands on the day itself. */
const NEEDS_HANDS: readonly StepKind[] = [
  'male-check',
  'scoring',
  'test',
  'count',
  'dose',
  'births',
  'processing',
  'nest',
];
/** Births want feed from six weeks before until the milk is past its peak; flushing all through. */
const FEED_BEFORE_BIRTH = 42;
const FEED_AFTER_BIRTH = 42;

function stretchClashes({ id, plan, steps }: Laid, { away, lean }: Resources): Clash[] {
  const clashes: Clash[] = [];
  for (const step of steps) {
    const { bestFrom, bestTo, opens, closes } = step.window;
    if (NEEDS_HANDS.includes(step.kind))
      for (const a of away) {
        // A stretch is hurt by any day away within it; a thing of one day only when all its best days are taken.
        const isHurt = step.isStretch ? a.from <= bestTo && a.to >= bestFrom : a.from <= bestFrom && a.to >= bestTo;
        if (isHurt) clashes.push({ planId: id, step: step.key, code: 'away', ...a });
      }
    if (plan.kind === 'rolling' || (step.kind !== 'flushing' && step.kind !== 'births')) continue;
    const wants =
      step.kind === 'births'
        ? [addDays(opens, -FEED_BEFORE_BIRTH), addDays(closes, FEED_AFTER_BIRTH)]
        : [opens, closes];
    const [from, to] = wants as [Day, Day];
    const found = lean.flatMap((l) => stretchesOf(l, from, to)).find((l) => l.from <= to && l.to >= from);
    if (found) clashes.push({ planId: id, step: step.key, code: 'lean', ...found });
  }
  return clashes;
}

/** A yearly stretch in the years between two days. */
function stretchesOf(
  { from, to, why }: Resources['lean'][number],
  first: Day,
  last: Day,
): { readonly from: Day; readonly to: Day; readonly why: string }[] {
  const years = [];
  for (let year = yearOf(first) - 1; year <= yearOf(last); year++) years.push(year);
  return years.map((year) => ({
    from: inYear(from, year),
    to: inYear(to, to < from ? year + 1 : year),
    why,
  }));
}

/** A date of each year; 29 February is the 28th where there is none. */
const inYear = (monthDay: string, year: number): Day => {
  const isLeap = (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;
  return dayOf(`${year}-${monthDay === '02-29' && !isLeap ? '02-28' : monthDay}`);
};

function penClash({ id, plan, births, steps }: Laid, { birthPens }: Resources): Clash[] {
  const pens = birthPens[plan.species];
  if (pens === undefined) return [];
  return births.flatMap((b, i): Clash[] => {
    const wanted = Math.ceil(b.peakThreeDays - 0.05);
    const step = steps.find((s) => s.kind === 'births' && (s.litter ?? 1) === i + 1);
    return step && wanted > pens ? [{ planId: id, step: step.key, code: 'pens', wanted, pens }] : [];
  });
}

/** Two plans whose busiest weeks of births overlap, of different species; told at the later made. */
function birthsTogether(plans: readonly Laid[]): Clash[] {
  const clashes: Clash[] = [];
  plans.forEach((a, i) => {
    for (const b of plans.slice(i + 1)) {
      if (a.plan.species === b.plan.species || a.plan.kind === 'rolling' || b.plan.kind === 'rolling') continue;
      const [one] = a.births;
      const [two] = b.births;
      if (!one || !two || Math.abs(one.peakWeekFrom - two.peakWeekFrom) >= 7) continue;
      const weekFrom = Math.max(one.peakWeekFrom, two.peakWeekFrom) as Day;
      clashes.push({ planId: b.id, step: 'births', code: 'two-births', otherPlanId: a.id, weekFrom });
    }
  });
  return clashes;
}

function workClashes(plans: readonly Laid[], { workDaysPerWeek, weekStart }: Resources): Clash[] {
  if (workDaysPerWeek === undefined) return [];
  return [...workByWeek(plans, weekStart)].flatMap(([weekFrom, week]): Clash[] => {
    const most = [...week.parts].sort((a, b) => b.days - a.days)[0];
    if (week.days <= workDaysPerWeek || !most) return [];
    return [
      { planId: most.planId, step: most.step, code: 'too-much-work', weekFrom, days: week.days, has: workDaysPerWeek },
    ];
  });
}
