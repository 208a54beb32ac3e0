import { addDays, type Day, type Window } from '../calendar';
import type { ConditionStage, SpeciesSettings } from '../species';
import type { BirthsExpected } from '../births';
import { expectedBirths } from './births';
import { countingDays } from '../pregnancy';
import { FLUSHING_SCHOOLS, REMATING_SCHOOLS, type RollingPlan, type SeasonPlan, type YearPlan } from './plan';
import type { Days } from '../units';

/** Kinds of step; a plan has some of them, a rolling one each of its own several times. */
export const STEP_KINDS = [
  'male-check',
  'weaned',
  'scoring',
  'flushing',
  'minerals',
  'mating',
  'test',
  'count',
  'dose',
  'nest',
  'births',
  'processing',
  'weaning',
  'sale',
] as const;
export type StepKind = (typeof STEP_KINDS)[number];

/** A thing to do in a plan, as a window; a stretch such as mating is best from its first to its last day. */
export interface PlanStep {
  /** The kind, or the kind with what tells it from its like: `scoring birth`, `dose 0`, `3 births`. */
  readonly key: string;
  readonly kind: StepKind;
  readonly window: Window;
  /** The step it is reckoned from; moving that one moves this. */
  readonly from: string | undefined;
  /** Of a scoring: which aim holds. */
  readonly stage?: ConditionStage;
  /** Of a dose: its place in the plan's list. */
  readonly dose?: number;
  /** Of a rolling plan: which litter, from 1. */
  readonly litter?: number;
  /** Runs over all its days, and is not done on one of them. */
  readonly isStretch: boolean;
}

export interface LaidOut {
  readonly steps: readonly PlanStep[];
  readonly births: readonly BirthsExpected[];
}

type Settings = Pick<SpeciesSettings, 'gestationDays' | 'heatCycleDays' | 'weaningDays' | 'season' | 'tests'>;

/** All steps of a plan in order of opening, and the births to be expected of it. */
export function layOut(plan: YearPlan, settings: Settings): LaidOut {
  const laid = plan.kind === 'season' ? season(plan, settings) : rolling(plan, settings);
  return { ...laid, steps: [...laid.steps].sort((a, b) => a.window.opens - b.window.opens || order(a) - order(b)) };
}

const order = (s: PlanStep): number => STEP_KINDS.indexOf(s.kind);

/** A window with its days put in rising order: a crowded plan may squeeze a best stretch to a day, never turn it round. */
function windowOf(opens: Day, bestFrom: Day, bestTo: Day, closes: Day): Window {
  const from = Math.max(opens, bestFrom) as Day;
  const to = Math.max(from, bestTo) as Day;
  return { opens, bestFrom: from, bestTo: to, closes: Math.max(to, closes) as Day };
}
/** Around a day, some days early and late. */
const around = (on: Day, early: number, best: number, late: number): Window =>
  windowOf(addDays(on, -early), addDays(on, -best), addDays(on, best), addDays(on, late));
const stretch = (from: Day, to: Day): Window => windowOf(from, from, to, to);

export const moved = (w: Window, days: Days): Window => ({
  opens: addDays(w.opens, days),
  bestFrom: addDays(w.bestFrom, days),
  bestTo: addDays(w.bestTo, days),
  closes: addDays(w.closes, days),
});

/** Collects steps, each moved by its own shift and those of the steps it is reckoned from. */
class Steps {
  readonly list: PlanStep[] = [];
  private readonly shiftOf = new Map<string, number>();

  constructor(private readonly shifts: Readonly<Record<string, number>>) {}

  add(
    key: string,
    kind: StepKind,
    from: string | undefined,
    window: Window,
    more: Pick<PlanStep, 'stage' | 'dose' | 'litter'> & { readonly isStretch?: boolean } = {},
  ): void {
    const shift = (this.shifts[key] ?? 0) + (from === undefined ? 0 : (this.shiftOf.get(from) ?? 0));
    this.shiftOf.set(key, shift);
    this.list.push({ key, kind, from, isStretch: false, ...more, window: moved(window, shift) });
  }

  /** The shift of a step, so that what is reckoned from its true place follows. */
  shift(key: string): number {
    return this.shiftOf.get(key) ?? 0;
  }
}

function season(plan: SeasonPlan, settings: Settings): LaidOut {
  const { season: s, gestationDays: g, weaningDays: w, heatCycleDays: cycle } = settings;
  const inOn = plan.matingOn;
  const outOn = addDays(inOn, Math.max(1, plan.cycles * Math.max(1, cycle.mean)) - 1);
  const steps = new Steps(plan.shifts);
  const before = (days: Days): Day => addDays(inOn, -days);
  const births = expectedBirths({
    females: plan.females,
    matingFrom: inOn,
    matingTo: outOn,
    cycleDays: cycle.mean,
    conceptionShare: s.conceptionShare,
    gestationDays: g,
  });
  const firstBirth = addDays(inOn, g.mean);
  const flushingDays = FLUSHING_SCHOOLS[plan.flushing];

  steps.add('mating', 'mating', undefined, stretch(inOn, outOn), { isStretch: true });
  const check = s.maleCheckBefore;
  const checkCloses = before(Math.max(0, check - 21));
  steps.add(
    'male-check',
    'male-check',
    'mating',
    windowOf(before(check + 7), before(check), before(check - 14), checkCloses),
  );
  if (s.weanedBefore > 0) {
    const weaned = windowOf(
      before(s.weanedBefore + 45),
      before(s.weanedBefore + 15),
      before(s.weanedBefore),
      before(Math.max(flushingDays, s.scoringBefore)),
    );
    steps.add('weaned', 'weaned', 'mating', weaned);
    steps.add('scoring weaning', 'scoring', 'weaned', around(before(s.weanedBefore), 20, 7, 10), { stage: 'weaning' });
  }
  steps.add('scoring mating', 'scoring', 'mating', around(before(s.scoringBefore), 10, 4, 7), { stage: 'mating' });
  if (flushingDays > 0)
    steps.add(
      'flushing',
      'flushing',
      'mating',
      stretch(before(flushingDays), addDays(inOn, Math.max(1, cycle.mean) - 1)),
      {
        isStretch: true,
      },
    );
  if (s.mineralsBefore > 0) steps.add('minerals', 'minerals', 'mating', around(before(s.mineralsBefore), 10, 4, 10));
  const { blood } = settings.tests;
  if (blood)
    steps.add(
      'test',
      'test',
      'mating',
      windowOf(
        addDays(inOn, blood.days.opens),
        addDays(outOn, blood.days.opens),
        addDays(outOn, blood.days.opens + 21),
        addDays(firstBirth, -30),
      ),
    );
  const counting = countingDays(settings.tests);
  if (counting)
    steps.add(
      'count',
      'count',
      'mating',
      windowOf(
        addDays(inOn, counting.bestFrom),
        addDays(outOn, counting.bestFrom),
        addDays(inOn, counting.bestTo),
        addDays(outOn, counting.bestTo),
      ),
    );
  steps.add('scoring carrying', 'scoring', 'mating', around(addDays(inOn, Math.round(g.mean / 2)), 10, 5, 10), {
    stage: 'carrying',
  });
  steps.add(
    'births',
    'births',
    'mating',
    windowOf(addDays(inOn, g.from), firstBirth, births.mostBy, addDays(outOn, g.to)),
    {
      isStretch: true,
    },
  );
  steps.add('scoring birth', 'scoring', 'births', around(addDays(firstBirth, -s.birthScoringBefore), 10, 4, 7), {
    stage: 'birth',
  });
  if (s.birthMineralsBefore > 0)
    steps.add('minerals birth', 'minerals', 'births', around(addDays(firstBirth, -s.birthMineralsBefore), 10, 4, 10));
  plan.doses.forEach((dose, i) =>
    steps.add(`dose ${i}`, 'dose', 'births', around(addDays(firstBirth, -dose.daysBeforeBirth), 7, 3, 7), { dose: i }),
  );
  steps.add(
    'processing',
    'processing',
    'births',
    stretch(addDays(firstBirth, s.processingAfter), addDays(births.mostBy, s.processingAfter)),
    { isStretch: true },
  );
  steps.add(
    'weaning',
    'weaning',
    'births',
    windowOf(
      addDays(births.mostBy, w.opens),
      addDays(births.peakWeekFrom, w.bestFrom),
      addDays(births.peakWeekFrom, w.bestTo),
      addDays(firstBirth, w.closes),
    ),
  );
  if (plan.wanted.what === 'sale')
    steps.add('sale', 'sale', 'births', around(addDays(firstBirth, plan.wanted.saleAgeDays ?? 0), 7, 3, 10));
  return { steps: steps.list, births: [births] };
}

function rolling(plan: RollingPlan, settings: Settings): LaidOut {
  const { season: s, gestationDays: g, weaningDays: w } = settings;
  const counting = countingDays(settings.tests);
  const wait = REMATING_SCHOOLS[plan.school];
  const steps = new Steps(plan.shifts);
  const births: BirthsExpected[] = [];
  for (let litter = 1; litter <= plan.litters; litter++) {
    const key = (kind: string): string => `${litter} ${kind}`;
    const on = addDays(plan.matingOn, (litter - 1) * (g.mean + wait));
    const born = addDays(on, g.mean);
    const previous = litter === 1 ? undefined : `${litter - 1} births`;
    const more = { litter };
    steps.add(
      key('scoring'),
      'scoring',
      litter === 1 ? key('mating') : previous,
      around(addDays(on, -s.scoringBefore), 3, 1, 5),
      {
        ...more,
        stage: 'mating',
      },
    );
    steps.add(key('mating'), 'mating', previous, stretch(on, addDays(on, 2)), { ...more, isStretch: true });
    if (counting)
      steps.add(
        key('count'),
        'count',
        key('mating'),
        windowOf(
          addDays(on, counting.bestFrom),
          addDays(on, counting.bestFrom + 1),
          addDays(on, counting.bestTo - 1),
          addDays(on, counting.bestTo),
        ),
        more,
      );
    steps.add(
      key('nest'),
      'nest',
      key('mating'),
      windowOf(addDays(on, g.from - 3), addDays(on, g.from - 1), addDays(on, g.from - 1), addDays(on, g.from)),
      more,
    );
    steps.add(
      key('births'),
      'births',
      key('mating'),
      windowOf(addDays(on, g.from), born, addDays(born, 1), addDays(on, g.to + 2)),
      {
        ...more,
        isStretch: true,
      },
    );
    steps.add(
      key('weaning'),
      'weaning',
      key('births'),
      windowOf(addDays(born, w.opens), addDays(born, w.bestFrom), addDays(born, w.bestTo), addDays(born, w.closes)),
      more,
    );
    births.push(
      expectedBirths({
        females: plan.females,
        matingFrom: addDays(on, steps.shift(key('mating'))),
        matingTo: addDays(on, steps.shift(key('mating')) + 2),
        cycleDays: 0,
        conceptionShare: s.conceptionShare,
        gestationDays: g,
      }),
    );
  }
  return { steps: steps.list, births };
}

/** Steps whose date is the plan's own: moving one moves the day the males go in, and so everything. */
const ROOTS: readonly StepKind[] = ['mating', 'births', 'sale'];

/**
 * The plan with a step moved by so many days. Mating, births and sale carry the whole season with them, as no
 * gestation is longer for being wished so; births and sale carry the wish as well. Any other step moves alone with
 * what is reckoned from it. In a rolling plan a mating or birth carries all litters after it.
 */
export function moveStep(plan: YearPlan, step: Pick<PlanStep, 'key' | 'kind'>, days: Days): YearPlan {
  if (days === 0) return plan;
  if (plan.kind === 'season' && ROOTS.includes(step.kind)) {
    const isWish = step.kind === plan.wanted.what;
    const wanted = isWish ? { ...plan.wanted, on: addDays(plan.wanted.on, days) } : plan.wanted;
    return { ...plan, matingOn: addDays(plan.matingOn, days), wanted };
  }
  if (plan.kind === 'rolling' && step.key === '1 mating') return { ...plan, matingOn: addDays(plan.matingOn, days) };
  // A birth follows its mating: it is the mating that is moved.
  const key = plan.kind === 'rolling' && step.kind === 'births' ? step.key.replace('births', 'mating') : step.key;
  if (plan.kind === 'rolling' && key === '1 mating') return { ...plan, matingOn: addDays(plan.matingOn, days) };
  const shift = (plan.shifts[key] ?? 0) + days;
  const { [key]: _, ...others } = plan.shifts;
  return { ...plan, shifts: shift === 0 ? others : { ...others, [key]: shift } };
}

/** Steps that move when this one does, itself among them. */
export function movesWith(step: PlanStep, steps: readonly PlanStep[], plan: YearPlan): ReadonlySet<string> {
  if (plan.kind === 'season' && ROOTS.includes(step.kind)) return new Set(steps.map((s) => s.key));
  const start = plan.kind === 'rolling' && step.kind === 'births' ? step.key.replace('births', 'mating') : step.key;
  const found = new Set([start]);
  // A step stands after the one it is reckoned from in no fixed order: go round until nothing is added.
  for (let size = -1; size !== found.size;) {
    size = found.size;
    for (const s of steps) if (s.from !== undefined && found.has(s.from)) found.add(s.key);
  }
  return found;
}
