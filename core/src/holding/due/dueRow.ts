import { groupOn, type AnimalFacts } from '../../book';
import { sharedWindow, windowStage, type Day, type Window } from '../../calendar';
import type { PenStage } from '../../births';
import type { WeaningPlan } from '../../rearing';
import type { PlanStep } from '../../season';
import type { Species, TestWay } from '../../species';
import type { GroupId, Days } from '../../units';

/** Work that opens within so many days is told. */
export const DUE_AHEAD_DAYS = 7;

/** What is due, by its kind; who it is due for stands in the row. */
export type DueTask =
  | { readonly kind: 'weigh'; readonly step: string }
  | { readonly kind: 'score' }
  /** A dose of a course, or of a yearly plan, where it has no number. */
  | { readonly kind: 'give'; readonly productId: string; readonly nth: number | undefined; readonly done: number }
  | { readonly kind: 'test'; readonly way: TestWay; readonly isLater: boolean }
  | { readonly kind: 'before-birth'; readonly step: string }
  | { readonly kind: 'plan-step'; readonly planId: string; readonly step: PlanStep; readonly done: number }
  /** Young of these dams are weighed and tagged for the first time. */
  | { readonly kind: 'handle' }
  /** Dams go on with their young. */
  | { readonly kind: 'pen'; readonly stage: PenStage }
  | { readonly kind: 'wean'; readonly step: WeaningPlan['step'] }
  | ({ readonly kind: 'wean-litter'; readonly step: WeaningPlan['step']; readonly later: number } & OfLitter)
  | ({ readonly kind: 'weigh-litter'; readonly how: 'together' | 'each'; readonly ageDays: Days } & OfLitter)
  | {
      readonly kind: 'read-marks';
      readonly male: AnimalFacts;
      readonly isTeaser: boolean;
      readonly readOn: Day | undefined;
    }
  | { readonly kind: 'change-raddle'; readonly colour: string; readonly since: Day };

interface OfLitter {
  /** Undefined where they are reared by hand. */
  readonly dam: AnimalFacts | undefined;
}

/** Who is due for one thing, and when. */
export interface DueRow {
  /** Tells it from every other row of a day. */
  readonly key: string;
  readonly task: DueTask;
  /** Whom it is done to; of `handle` and `pen` the dams; none where it is no work on animals. */
  readonly animals: readonly AnimalFacts[];
  readonly species: Species | undefined;
  readonly groupId: GroupId | undefined;
  readonly window: Window;
  readonly isOpen: boolean;
  /**
   * What it may be done in one go with at the race. Measuring harms nobody when one more animal passes; a remedy, a
   * sample or a test joins only a list that is the very same; the rest is no job at the race, or one of its own.
   */
  readonly joins: 'measures' | 'same-list' | 'nothing';
}

/** One animal that is due by something. */
export interface DueAnimal<What> {
  readonly facts: AnimalFacts;
  readonly what: What;
  readonly window: Window;
}

/**
 * Animals due by the same thing as one row of their species, sex and group, its window the one all of them share.
 * @param row what of a row hangs on the thing; `key` begins the row's own
 * @param same what tells two things apart, where they are more than a word
 */
export function dueRows<What>(
  due: readonly DueAnimal<What>[],
  today: Day,
  row: (what: What) => Pick<DueRow, 'key' | 'task' | 'joins'>,
  same: (what: What) => string = String,
): DueRow[] {
  const batches = new Map<
    string,
    { readonly what: What; readonly animals: AnimalFacts[]; readonly windows: Window[] }
  >();
  for (const { facts, what, window } of due) {
    if (window.opens > today + DUE_AHEAD_DAYS) continue;
    const { species, sex } = facts.record;
    const key = `${species} ${sex} ${groupOn(facts, today) ?? '-'} ${same(what)}`;
    const batch = batches.get(key) ?? { what, animals: [], windows: [] };
    batches.set(key, batch);
    batch.animals.push(facts);
    batch.windows.push(window);
  }
  return [...batches].flatMap(([key, { what, animals, windows }]) => {
    const window = sharedWindow(windows);
    const first = animals[0];
    if (!window || !first) return [];
    const own = row(what);
    return [
      {
        ...own,
        key: `${own.key} ${key}`,
        animals,
        species: first.record.species,
        groupId: groupOn(first, today),
        ...opened(window, today),
      },
    ];
  });
}

/** A window, and whether it has opened. */
export const opened = (window: Window, today: Day): Pick<DueRow, 'window' | 'isOpen'> => ({
  window,
  isOpen: windowStage(window, today) !== 'early',
});
