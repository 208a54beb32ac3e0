import { BODY_MEASURES, letterKeys, type TestWay } from '@yaylak/core';
import type { Station } from '@yaylak/contract';
import type { Draft, FieldName } from '../draft';
import { whyAt, type AtHand, type Fact, type Problem, type StationRules, type Toggle } from './atHand';
import { care, mark, move, note } from './handwork';
import { finish, FINISH_FIELDS } from './finish';
import { identify } from './identify';
import { litter } from './litter';
import { look } from './look';
import { measure } from './measure';
import { raddle } from './raddle';
import { sample } from './sample';
import { scan, tooSoonAt } from './scan';
import { score, SCORE_FIELDS, scorersAt } from './score';
import { gateOf, sort, suggestedGate } from './sort';
import { treat } from './treat';
import { weigh } from './weigh';

export * from './atHand';

const RULES: Readonly<Record<Station, StationRules>> = {
  identify,
  weigh,
  litter,
  score,
  measure,
  finish,
  raddle,
  scan,
  look,
  treat,
  sample,
  mark,
  care,
  move,
  note,
  sort,
};

export interface LetteredToggle extends Toggle {
  readonly station: Station;
  readonly letter: string;
}

/**
 * What can be put off or on by a letter for the animal at hand, in the job's order.
 * @param taken letters that mean something else in this job
 */
export function togglesAt(at: AtHand, taken: readonly string[] = []): LetteredToggle[] {
  const all = at.job.stations.flatMap((station) =>
    (RULES[station].toggles?.(at) ?? []).map((toggle) => ({ ...toggle, station })),
  );
  const isKept = ({ always }: Toggle): boolean => always !== undefined && !taken.includes(always);
  const others = all.filter((t) => !isKept(t));
  const letters = letterKeys(
    others.map((t) => t.words),
    [...taken, ...all.flatMap((t) => (isKept(t) ? (t.always ?? []) : []))],
  );
  return all.map((t) => ({ ...t, letter: isKept(t) ? (t.always ?? '') : (letters[others.indexOf(t)] ?? '') }));
}

/** What stands in the fields before anybody typed. */
export const proposedAt = (at: AtHand): Partial<Record<FieldName, string>> =>
  Object.assign({}, ...at.job.stations.map((s) => RULES[s].proposed?.(at) ?? {})) as Partial<Record<FieldName, string>>;

/** Fields of the job's stations, in its order; the first has the keyboard. */
export function fieldsAt(at: AtHand): FieldName[] {
  const byStation: Partial<Record<Station, readonly FieldName[]>> = {
    identify: at.job.settings.identify?.kinds ?? ['visual', 'electronic'],
    weigh: ['weight'],
    score: SCORE_FIELDS.slice(0, scorersAt(at).length),
    litter: ['litterKg', 'litterCount'],
    measure: BODY_MEASURES,
    finish: FINISH_FIELDS,
    scan: at.job.settings.scan?.learner === undefined ? ['scan'] : ['scan', 'learnerAge'],
    sample: ['tube'],
    note: ['note'],
  };
  const all = at.job.stations.flatMap((s) => byStation[s] ?? []);
  if (testWays(at).some((way) => tooSoonAt(at, way) !== undefined)) all.push('reason');
  // A weight changes with every animal, a proposed number seldom: the keyboard waits where there is most to type.
  return all.includes('weight') ? ['weight', ...all.filter((f) => f !== 'weight')] : all;
}

/** Ways the job tests the animal at hand for young. */
const testWays = (at: AtHand): TestWay[] => [
  ...(at.job.stations.includes('scan') ? [at.job.settings.scan?.way ?? 'scan'] : []),
  ...(at.job.stations.includes('sample') && at.job.settings.sample?.purpose === 'pregnancy'
    ? (['blood'] as const)
    : []),
];

export type Finished =
  | { readonly kind: 'write'; readonly facts: readonly Fact[] }
  | { readonly kind: 'held'; readonly message: string; readonly asked: readonly string[]; readonly field?: FieldName };

/**
 * Enter on the animal at hand: the first refusal of its stations, else all that is to be asked in one, else what is
 * written down, the passage first.
 */
export function finishAnimal(draft: Draft, at: AtHand): Finished {
  const problems = at.job.stations.flatMap((s) => RULES[s].problems?.(draft, at) ?? []);
  const refusal = problems.find((p): p is Extract<Problem, { kind: 'refuse' }> => p.kind === 'refuse');
  const asks = problems.flatMap((p) => (p.kind === 'ask' ? [p] : []));
  if (refusal) {
    // What will be asked is said at once, so that it need not be asked after the refusal is mended.
    const open = asks.filter((a) => !draft.asked.includes(a.key));
    return {
      kind: 'held',
      message: [...open.map((a) => a.message), refusal.message].join(' '),
      asked: asks.map((a) => a.key),
      ...(refusal.field ? { field: refusal.field } : {}),
    };
  }
  if (asks.some((a) => !draft.asked.includes(a.key)))
    return { kind: 'held', message: asks.map((a) => a.message).join(' '), asked: asks.map((a) => a.key) };
  return { kind: 'write', facts: [passageOf(draft, at), ...at.job.stations.flatMap((s) => RULES[s].facts(draft, at))] };
}

/** Whether Enter could record the animal at hand, with no more than its cautions asked: nothing has to be typed for it. */
export function isReady(draft: Draft, at: AtHand): boolean {
  const finished = finishAnimal(draft, at);
  if (finished.kind === 'write') return true;
  const problems = at.job.stations.flatMap((s) => RULES[s].problems?.(draft, at) ?? []);
  return problems.every((p) => p.kind === 'ask' && !p.key.startsWith(NOTHING_TYPED));
}
/** Keys of what is asked where a field that could be filled is empty: `no-weight`, `no-score`. */
const NOTHING_TYPED = 'no-';

/** Jobs of one thing that cannot be done to every animal: such a one passes, and it is said why. */
export const canPassBy = ({ job: { stations } }: AtHand): boolean =>
  stations.length === 1 && (stations[0] === 'weigh' || stations[0] === 'score');

function passageOf(draft: Draft, at: AtHand): Fact {
  const why =
    canPassBy(at) && fieldsAt(at).every((f) => f === 'why' || (draft.fields[f] ?? '').trim() === '')
      ? whyAt(draft)
      : '';
  if (why !== '') return { type: 'passage', why };
  if (!at.job.stations.includes('sort')) return { type: 'passage' };
  const gate = gateOf(draft, at)?.name;
  const suggested = suggestedGate(draft, at)?.choice.name;
  return { type: 'passage', ...(gate ? { gate } : {}), ...(suggested ? { suggested } : {}) };
}
