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
  say,
  fieldWord,
  SPECIES_WORDS,
  told,
  lower,
  uncapital,
} from '@yaylak/contract';
import {
  mainIdentifier,
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

const TEST_VERBS: Readonly<Record<TestWay, string>> = told({ blood: 'Take blood of', scan: 'Scan', palpation: 'Feel' });
/** The first of two steps of weaning, before whom it is done to. */
const offTheMilk = (): string => say('Off the milk:');

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
        does: say('Weigh'),
        who,
        why: [say(task.step)],
        job: {
          name: `${named}, ${lower(say(task.step))}`,
          stations: ['weigh'],
          settings: { weigh: { method: 'scale' } },
        },
      };
    case 'score':
      return {
        does: say('Score'),
        who,
        why: [say('usual scoring')],
        job: {
          name: say('{named}, scoring', { named }),
          stations: ['score'],
          settings: { score: usualScoring('carrying') },
        },
      };
    case 'give': {
      const product = state.products.get(task.productId)?.facts.name ?? say('a product');
      const nth = task.nth === undefined ? say('yearly plan') : say('dose {nth}', { nth: task.nth });
      return {
        does: say('Give {product} to', { product }),
        who: { count: animals.length, words: [say('animal'), say('animals')] },
        why: [`${nth}${task.done > 0 ? say(', {done} done', { done: task.done }) : ''}`],
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
        why: [say('{evidence} of those served', { evidence: EVIDENCE_WAY_WORDS[way] })],
        job: {
          name: `${named}, ${EVIDENCE_WAY_WORDS[way]}`,
          ...(way === 'blood' ? BLOOD : { stations: ['scan'], settings: { scan: { way } } }),
        },
      };
    }
    case 'before-birth':
      return {
        does: `${say(task.step)}:`,
        who,
        why: [say('before {birth}', { birth: species ? SPECIES_WORDS[species].birth : say('the birth') })],
        job: null,
        writes: { type: 'carrying-step', step: task.step },
      };
    case 'plan-step':
      return tellStep(task, row, state, today);
    case 'handle': {
      const plan = SHIPPED_TEMPLATES.find((t) => t.id === 'newborn');
      return {
        does: say('Weigh and tag the young of'),
        who,
        why: [say('first handling')],
        job: plan
          ? {
              name: say('{value}, first handling', {
                value: species ? SPECIES_WORDS[species].young.unknown[1] : say('Young'),
              }),
              stations: plan.stations.filter((s) => s !== 'sample'),
              settings: plan.settings,
            }
          : null,
      };
    }
    case 'pen':
      return {
        does: say('To the {pen}:', { pen: PEN_STAGE_WORDS[task.stage] }),
        who,
        why: [say('with their young')],
        job: null,
        writes: { type: 'pen-stage', stage: task.stage },
      };
    case 'wean':
      return {
        does: task.step === 'first' ? offTheMilk() : say('Wean'),
        who,
        why: [say('of age to be weaned')],
        job: null,
        at: { path: `/rearing?species=${species ?? ''}`, words: say('Wean') },
      };
    case 'wean-litter':
      return {
        does: task.step === 'first' ? offTheMilk() : say('Wean'),
        who: litterOf(row, task),
        why: [task.later > 0 ? say('{n} later', { n: task.later }) : say('all of the litter')],
        job: null,
        at: { path: `${litterPath(row, task)}&do=wean`, words: say('Wean') },
      };
    case 'weigh-litter':
      return {
        does: task.how === 'together' ? say('Weigh together') : say('Weigh each'),
        who: litterOf(row, task),
        why: [say('day {n}', { n: task.ageDays })],
        job: null,
        at: { path: `${litterPath(row, task)}&do=weigh`, words: say('Weigh') },
      };
    case 'read-marks': {
      const { male, isTeaser, readOn } = task;
      const read = readOn === undefined ? '' : say('; read {daysAgo}', { daysAgo: daysAgo(today - readOn) });
      return {
        does: say('Read the marks of'),
        who,
        why: [
          say('{calledAs}{value} runs with them{read}', {
            calledAs: calledAs(male, today),
            value: isTeaser ? say(', a teaser,') : '',
            read,
          }),
        ],
        job: {
          name: groupName === undefined ? say('Marks read') : say('{groupName}, marks read', { groupName }),
          stations: ['raddle'],
          settings: {},
        },
      };
    }
    case 'change-raddle':
      return {
        does: say('Change the raddle of'),
        who: animals[0] ? { called: calledAs(animals[0], today) } : null,
        why: [
          say('{colour} for {n} days: who comes back shows both colours', {
            colour: say(task.colour),
            n: today - task.since,
          }),
        ],
        job: null,
        at: { path: `/mating/males?species=${species ?? ''}`, words: say('Change') },
      };
  }
}

type TaskOf<K extends DueTask['kind']> = Extract<DueTask, { readonly kind: K }>;
type OfLitter = TaskOf<'wean-litter' | 'weigh-litter'>;

const litterOf = ({ species, animals }: DueRow, { dam }: OfLitter): DueWho => ({
  count: animals.length,
  words: SPECIES_WORDS[species ?? 'rabbit'].young.unknown,
  of: dam ? (mainIdentifier(dam)?.identifier.text ?? say('a dam')) : say('those reared by hand'),
});
const litterPath = ({ species }: DueRow, { dam }: OfLitter): string =>
  `/rearing?species=${species ?? ''}&litter=${dam?.record.id ?? 'by-hand'}`;
const daysAgo = (days: number): string => (days === 1 ? 'yesterday' : say('{days} days ago', { days }));

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
    why: [`${facts.name}: ${uncapital(name)}${done > 0 ? say(', {done} done', { done }) : ''}`],
    job: work ? { ...work, name: `${facts.name}: ${lower(name)}` } : null,
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
  if (kind === 'scoring') return say('Score');
  if (kind === 'dose') return say('Give {name} to', { name });
  if (kind === 'test') return TEST_VERBS.blood;
  if (kind === 'count') return isScanned ? TEST_VERBS.scan : TEST_VERBS.palpation;
  return kind === 'male-check' ? say('Check') : name;
}
