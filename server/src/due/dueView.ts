import {
  EVIDENCE_WAY_WORDS,
  PEN_STAGE_WORDS,
  SHIPPED_TEMPLATES,
  STATIONS,
  stepName,
  usualScoring,
  whoText,
  type DueWho,
  type DueWork,
} from '@yaylak/contract';
import {
  fieldWord,
  mainIdentifier,
  SPECIES_WORDS,
  type AnimalFacts,
  type Day,
  type DueRow,
  type DueTask,
  type DueTogether,
  type PlanStep,
  type TestWay,
} from '@yaylak/core';
import type { HoldingState } from '../book/holdingState';
import { calledAs, windowView } from '../common/views';

type Job = NonNullable<DueWork['job']>;
/** What is told of a row beside whom it is for and when. */
type Told = Pick<DueWork, 'why' | 'writes' | 'at'> & {
  readonly does: string;
  readonly who: DueWho | null;
  readonly job: (Omit<Job, 'gates' | 'name'> & { readonly name: string }) | null;
};

const TEST_VERBS: Readonly<Record<TestWay, string>> = { blood: 'Take blood of', scan: 'Scan', palpation: 'Feel' };
/** The first of two steps of weaning, before whom it is done to. */
const OFF_THE_MILK = 'Off the milk:';

/** Due work in words, with the job that does it. */
export function dueView(due: DueTogether, state: HoldingState, today: Day): DueWork {
  const [first] = due.rows;
  const told = due.rows.map((row) => tell(row, state, today));
  const group = first.groupId === undefined ? undefined : state.groups.get(first.groupId);
  return {
    key: due.key,
    does: [...new Set(told.map((t) => t.does))],
    who: whoOf(due, told),
    why: told.flatMap((t) => t.why),
    group: group ? { id: group.id, name: group.name } : null,
    species: first.species ?? null,
    animalIds: due.animals.map((f) => f.record.id),
    window: windowView(due.window),
    isOpen: first.isOpen,
    job: jobOf(told),
    steps: due.rows.flatMap(({ task }) =>
      task.kind === 'plan-step' ? [{ planId: task.planId, key: task.step.key }] : [],
    ),
    ...(told[0]?.writes ? { writes: told[0].writes } : {}),
    ...(told[0]?.at ? { at: told[0].at } : {}),
  };
}

/** Several lists together are called by the word of the longest. */
function whoOf({ rows, animals }: DueTogether, told: readonly Told[]): DueWho | null {
  const longest = rows.reduce((best, row, i) => (row.animals.length > (rows[best]?.animals.length ?? 0) ? i : best), 0);
  const who = told[longest]?.who ?? null;
  return rows.length > 1 && who && 'count' in who ? { ...who, count: animals.length } : who;
}

/** One job with the stations of all. */
function jobOf(told: readonly Told[]): DueWork['job'] {
  const jobs = told.flatMap((t) => t.job ?? []);
  const [first] = jobs;
  if (!first) return null;
  const productIds = jobs.flatMap((job) => job.settings.treat?.productIds ?? []);
  const settings: Job['settings'] = Object.assign({}, ...jobs.map((job) => job.settings));
  return {
    name: first.name,
    stations: jobs.length === 1 ? first.stations : STATIONS.filter((s) => jobs.some((j) => j.stations.includes(s))),
    settings: settings.treat ? { ...settings, treat: { ...settings.treat, productIds } } : settings,
    gates: [],
  };
}

/** So many of a kind, by the field word of the first. */
function counted([first, ...rest]: readonly AnimalFacts[], today: Day): DueWho | null {
  if (!first) return null;
  const { record } = first;
  const age = today - (record.bornOn ?? today);
  return { count: 1 + rest.length, words: [fieldWord(record, age), fieldWord(record, age, true)] };
}

function tell(row: DueRow, state: HoldingState, today: Day): Told {
  const { task, animals, species, groupId } = row;
  const who = counted(animals, today);
  const named = who ? whoText(who) : '';
  const groupName = groupId === undefined ? undefined : state.groups.get(groupId)?.name;
  switch (task.kind) {
    case 'weigh':
      return {
        does: 'Weigh',
        who,
        why: [task.step],
        job: {
          name: `${named}, ${task.step.toLowerCase()}`,
          stations: ['weigh'],
          settings: { weigh: { method: 'scale' } },
        },
      };
    case 'score':
      return {
        does: 'Score',
        who,
        why: ['usual scoring'],
        job: { name: `${named}, scoring`, stations: ['score'], settings: { score: usualScoring('carrying') } },
      };
    case 'give': {
      const product = state.products.get(task.productId)?.facts.name ?? 'a product';
      const nth = task.nth === undefined ? 'yearly plan' : `dose ${task.nth}`;
      return {
        does: `Give ${product} to`,
        who: { count: animals.length, words: ['animal', 'animals'] },
        why: [`${nth}${task.done > 0 ? `, ${task.done} done` : ''}`],
        job: {
          name: `${product}${groupName === undefined ? '' : `, ${groupName}`}`,
          stations: ['treat'],
          settings: { treat: { productIds: [task.productId] } },
        },
      };
    }
    case 'test': {
      const { way } = task;
      return {
        does: TEST_VERBS[way],
        who,
        why: [`${EVIDENCE_WAY_WORDS[way]} of those served`],
        job: {
          name: `${named}, ${EVIDENCE_WAY_WORDS[way]}`,
          ...(way === 'blood' ? BLOOD : { stations: ['scan'], settings: { scan: { way } } }),
        },
      };
    }
    case 'before-birth':
      return {
        does: `${task.step}:`,
        who,
        why: [`before ${species ? SPECIES_WORDS[species].birth : 'the birth'}`],
        job: null,
        writes: { type: 'carrying-step', step: task.step },
      };
    case 'plan-step':
      return tellStep(task, row, state, today);
    case 'handle': {
      const plan = SHIPPED_TEMPLATES.find((t) => t.id === 'newborn');
      return {
        does: 'Weigh and tag the young of',
        who,
        why: ['first handling'],
        job: plan
          ? {
              name: `${species ? SPECIES_WORDS[species].young.unknown[1] : 'Young'}, first handling`,
              stations: plan.stations.filter((s) => s !== 'sample'),
              settings: plan.settings,
            }
          : null,
      };
    }
    case 'pen':
      return {
        does: `To the ${PEN_STAGE_WORDS[task.stage]}:`,
        who,
        why: ['with their young'],
        job: null,
        writes: { type: 'pen-stage', stage: task.stage },
      };
    case 'wean':
      return {
        does: task.step === 'first' ? OFF_THE_MILK : 'Wean',
        who,
        why: ['of age to be weaned'],
        job: null,
        at: { path: `/rearing?species=${species ?? ''}`, words: 'Wean' },
      };
    case 'wean-litter':
      return {
        does: task.step === 'first' ? OFF_THE_MILK : 'Wean',
        who: litterOf(row, task),
        why: [task.later > 0 ? `${task.later} later` : 'all of the litter'],
        job: null,
        at: { path: `${litterPath(row, task)}&do=wean`, words: 'Wean' },
      };
    case 'weigh-litter':
      return {
        does: task.how === 'together' ? 'Weigh together' : 'Weigh each',
        who: litterOf(row, task),
        why: [`day ${task.ageDays}`],
        job: null,
        at: { path: `${litterPath(row, task)}&do=weigh`, words: 'Weigh' },
      };
    case 'read-marks': {
      const { male, isTeaser, readOn } = task;
      const read = readOn === undefined ? '' : `; read ${daysAgo(today - readOn)}`;
      return {
        does: 'Read the marks of',
        who,
        why: [`${calledAs(male, today)}${isTeaser ? ', a teaser,' : ''} runs with them${read}`],
        job: {
          name: groupName === undefined ? 'Marks read' : `${groupName}, marks read`,
          stations: ['raddle'],
          settings: {},
        },
      };
    }
    case 'change-raddle':
      return {
        does: 'Change the raddle of',
        who: animals[0] ? { called: calledAs(animals[0], today) } : null,
        why: [`${task.colour} for ${today - task.since} days: who comes back shows both colours`],
        job: null,
        at: { path: `/mating/males?species=${species ?? ''}`, words: 'Change' },
      };
  }
}

type TaskOf<K extends DueTask['kind']> = Extract<DueTask, { readonly kind: K }>;
type OfLitter = TaskOf<'wean-litter' | 'weigh-litter'>;

const litterOf = ({ species, animals }: DueRow, { dam }: OfLitter): DueWho => ({
  count: animals.length,
  words: SPECIES_WORDS[species ?? 'rabbit'].young.unknown,
  of: dam ? (mainIdentifier(dam)?.identifier.text ?? 'a dam') : 'those reared by hand',
});
const litterPath = ({ species }: DueRow, { dam }: OfLitter): string =>
  `/rearing?species=${species ?? ''}&litter=${dam?.record.id ?? 'by-hand'}`;
const daysAgo = (days: number): string => (days === 1 ? 'yesterday' : `${days} days ago`);

/** Tubes are filled one after another. */
const BLOOD = {
  stations: ['sample'],
  settings: { sample: { purpose: 'pregnancy', firstTube: 'B-001' } },
} satisfies Omit<Job, 'gates' | 'name'>;

/** A step of a plan: a job at the race where it is one, by its name where it is none. */
function tellStep({ planId, step, done }: TaskOf<'plan-step'>, row: DueRow, state: HoldingState, today: Day): Told {
  const { animals, species } = row;
  const facts = state.plans.get(planId)?.facts;
  if (!facts || !species) return { does: '', who: null, why: [], job: null };
  const name = stepName(step, facts);
  const isScanned = state.settings(species).tests.scan !== undefined;
  const productId = facts.doses?.[step.dose ?? -1]?.productId;
  const work = animals.length === 0 ? undefined : workOf(step, productId, isScanned);
  return {
    does: work ? verbOf(step, name, isScanned) : name,
    who: work ? counted(animals, today) : null,
    why: [`${facts.name}: ${name.charAt(0).toLowerCase()}${name.slice(1)}${done > 0 ? `, ${done} done` : ''}`],
    job: work ? { ...work, name: `${facts.name}: ${name.toLowerCase()}` } : null,
  };
}

/** What the race does for a step; nothing where it is no work at the race. */
function workOf(
  { kind, stage }: PlanStep,
  productId: string | undefined,
  isScanned: boolean,
): Omit<Job, 'gates' | 'name'> | undefined {
  if (kind === 'scoring') return { stations: ['score'], settings: { score: usualScoring(stage ?? 'mating') } };
  if (kind === 'dose' && productId !== undefined)
    return { stations: ['treat'], settings: { treat: { productIds: [productId] } } };
  if (kind === 'test') return BLOOD;
  if (kind === 'count') return { stations: ['scan'], settings: { scan: { way: isScanned ? 'scan' : 'palpation' } } };
  if (kind === 'male-check')
    return { stations: ['score', 'look'], settings: { score: { ...usualScoring('mating'), sprays: [] } } };
  return kind === 'processing' ? SHIPPED_TEMPLATES.find((t) => t.id === 'newborn') : undefined;
}

/** A step as a verb before whom it is done to. */
function verbOf({ kind }: PlanStep, name: string, isScanned: boolean): string {
  if (kind === 'scoring') return 'Score';
  if (kind === 'dose') return `Give ${name} to`;
  if (kind === 'test') return TEST_VERBS.blood;
  if (kind === 'count') return isScanned ? TEST_VERBS.scan : TEST_VERBS.palpation;
  return kind === 'male-check' ? 'Check' : name;
}
