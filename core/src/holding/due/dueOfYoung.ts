import type { AnimalFacts } from '../../book';
import { addDays, type Day, type Window } from '../../calendar';
import type { Birth, PenStage } from '../../births';
import type { WeaningPlan } from '../../rearing';
import type { Species } from '../../species';
import { dueRows, type DueRow } from './dueRow';

/** A birth of late, and what is to do of it. */
export interface BirthToDo {
  readonly facts: AnimalFacts;
  readonly birth: Birth;
  /** Of young that wear nothing yet; undefined where all do. */
  readonly handling: Window | undefined;
  /** The pen she goes on to. */
  readonly next: { readonly stage: PenStage; readonly window: Window } | undefined;
}

/** First handling of young, and dams that go on to the next pen with them. */
export function dueAfterBirth(births: readonly BirthToDo[], today: Day): DueRow[] {
  const toHandle = births.flatMap(({ facts, handling }) =>
    handling ? [{ facts, what: 'handle', window: handling }] : [],
  );
  const toMove = births.flatMap(({ facts, next }) => (next ? [{ facts, what: next.stage, window: next.window }] : []));
  return [
    // Each calls her young one by one: a job of its own.
    ...dueRows(toHandle, today, () => ({ key: 'handle', task: { kind: 'handle' }, joins: 'nothing' })),
    ...dueRows(toMove, today, (stage) => ({ key: 'pen', task: { kind: 'pen', stage }, joins: 'nothing' })),
  ];
}

/** A litter as it is reared, with who of it is to be weaned. */
export interface LitterToDo {
  readonly species: Species;
  readonly dam: AnimalFacts | undefined;
  readonly bornOn: Day;
  readonly young: readonly AnimalFacts[];
  /** How it is to be weighed today; undefined where it is not. */
  readonly weigh: 'together' | 'each' | undefined;
  readonly plans: readonly (WeaningPlan & { readonly facts: AnimalFacts })[];
}

/** Young to be weaned, of species that are weaned as a group. Put together with a weighing it would name others. */
export const dueWeanings = (litters: readonly LitterToDo[], today: Day): DueRow[] =>
  dueRows(
    litters.flatMap(({ plans }) =>
      plans.flatMap(({ facts, isReady, step, window }) => (isReady ? [{ facts, what: step, window }] : [])),
    ),
    today,
    (step) => ({ key: 'wean', task: { kind: 'wean', step }, joins: 'nothing' }),
  );

/** Litters that are weighed by the day, and who of them is to be weaned. */
export function dueOfLitters(litters: readonly LitterToDo[], isWeanedByLitter: boolean, today: Day): DueRow[] {
  return litters.flatMap(({ species, dam, bornOn, young, weigh, plans }): DueRow[] => {
    const ready = isWeanedByLitter ? plans.filter((p) => p.isReady) : [];
    const own = `${dam?.record.id ?? species} ${bornOn}`;
    const base = { species, groupId: undefined, isOpen: true, joins: 'nothing' } as const;
    const rows: DueRow[] = [];
    if (weigh !== undefined)
      rows.push({
        ...base,
        key: `litter ${own}`,
        task: { kind: 'weigh-litter', how: weigh, ageDays: today - bornOn, dam },
        animals: young,
        window: { opens: today, bestFrom: today, bestTo: today, closes: addDays(today, 1) },
      });
    const [first] = ready;
    if (first)
      rows.push({
        ...base,
        key: `wean ${own}`,
        task: { kind: 'wean-litter', step: first.step, later: young.length - ready.length, dam },
        animals: ready.map((p) => p.facts),
        window: first.window,
      });
    return rows;
  });
}
