import type { AnimalFacts } from '../../book';
import type { Day, Window } from '../../calendar';
import type { TestWay } from '../../species';
import { DUE_LATE_DAYS } from './dueByPlan';
import { dueRows, type DueRow } from './dueRow';

/** What is open of a female that may be in young. */
export interface CarryingDueContext {
  readonly today: Day;
  /** Tests that could still tell something of her. */
  readonly openTests: (facts: AnimalFacts) => readonly {
    readonly way: TestWay;
    readonly isUsed: boolean;
    readonly window: Window;
    readonly early?: unknown;
  }[];
  /** Steps before her birth that were not done. */
  readonly stepsToDo: (facts: AnimalFacts) => readonly { readonly step: string; readonly window: Window }[];
}

const served = (present: readonly AnimalFacts[]): AnimalFacts[] =>
  present.filter((f) => f.record.sex === 'female' && f.services.length > 0);

/** Tests for young of those that were served, by the ways that are used here. */
export function dueTests(present: readonly AnimalFacts[], { today, openTests }: CarryingDueContext): DueRow[] {
  const due = served(present).flatMap((facts) =>
    openTests(facts).flatMap(({ way, isUsed, window, early }) =>
      // Those it can tell of today come through by themselves; the others are a row of their own.
      isUsed ? [{ facts, what: { way, isLater: early !== undefined }, window }] : [],
    ),
  );
  return dueRows(
    due,
    today,
    (what) => ({ key: 'test', task: { kind: 'test', ...what }, joins: 'same-list' }),
    ({ way, isLater }) => `${way} ${isLater}`,
  );
}

/** Steps before the births, as the holding does them. */
export function dueBeforeBirth(present: readonly AnimalFacts[], { today, stepsToDo }: CarryingDueContext): DueRow[] {
  const due = served(present).flatMap((facts) =>
    stepsToDo(facts).flatMap(({ step, window }) =>
      window.closes >= today - DUE_LATE_DAYS ? [{ facts, what: step, window }] : [],
    ),
  );
  return dueRows(due, today, (step) => ({
    key: 'before birth',
    task: { kind: 'before-birth', step },
    joins: 'nothing',
  }));
}
