import { groupOn, type AnimalFacts } from '../../book';
import { addDays, sharedWindow, type Day, type Window } from '../../calendar';
import { dosesDue, planTurn, tooSmall, type DoseRule, type ProductLabel } from '../../remedies';
import { DUE_AHEAD_DAYS, opened, type DueRow } from './dueRow';

/** A product of the holding's list, and when in the year it is given to which groups. */
export interface ProductGiven {
  readonly id: string;
  readonly isClosed: boolean;
  readonly course: ProductLabel['course'];
  readonly doses: readonly Pick<DoseRule, 'species' | 'fromDays' | 'fromKg'>[];
  readonly planMonths: readonly number[];
  readonly planGroupIds: readonly string[];
}

/**
 * Doses of courses begun and of yearly plans, those that close first first.
 * @param aheadDays so far ahead one that has not opened is told
 */
export function dueOfRemedies(
  present: readonly AnimalFacts[],
  products: ReadonlyMap<string, ProductGiven>,
  today: Day,
  aheadDays = DUE_AHEAD_DAYS,
): DueRow[] {
  const last = addDays(today, aheadDays);
  return [...ofCourses(present, products, today, last), ...ofPlans(present, products, today, last)].sort(
    (a, b) => a.window.closes - b.window.closes || (a.key < b.key ? -1 : 1),
  );
}

function ofCourses(
  present: readonly AnimalFacts[],
  products: ReadonlyMap<string, ProductGiven>,
  today: Day,
  last: Day,
): DueRow[] {
  const batches = new Map<string, { productId: string; nth: number; animals: AnimalFacts[]; windows: Window[] }>();
  for (const facts of present)
    for (const { productId, nth, window } of dosesDue(facts.treatments, (id) => products.get(id)?.course, today)) {
      if (window.opens > last) continue;
      const key = `${productId} ${nth} ${groupOn(facts, today) ?? '-'} ${window.bestFrom}`;
      const batch = batches.get(key) ?? { productId, nth, animals: [], windows: [] };
      batches.set(key, batch);
      batch.animals.push(facts);
      batch.windows.push(window);
    }
  return [...batches].map(([key, { productId, nth, animals, windows }]) =>
    row(key, { kind: 'give', productId, nth, done: 0 }, animals, sharedWindow(windows) as Window, today),
  );
}

/** Whether a label is for an animal: of its species, and not under its least age or weight. */
function isFor(
  doses: ProductGiven['doses'],
  { record: { species, bornOn }, weights }: AnimalFacts,
  today: Day,
): boolean {
  const rule = doses.find((d) => d.species === species);
  const ageDays = bornOn === undefined ? undefined : today - bornOn;
  return rule !== undefined && tooSmall(rule, { kg: weights.at(-1)?.kg, ageDays }) === undefined;
}

/** A yearly plan asks for those of its groups that had none since its turn counts. */
function ofPlans(
  present: readonly AnimalFacts[],
  products: ReadonlyMap<string, ProductGiven>,
  today: Day,
  last: Day,
): DueRow[] {
  return [...products.values()].flatMap(({ id, isClosed, doses, planMonths, planGroupIds }) => {
    if (isClosed || planMonths.length === 0) return [];
    const { window, countsFrom } = planTurn(planMonths, today);
    if (window.opens > last) return [];
    return planGroupIds.flatMap((groupId) => {
      const own = present.filter((f) => groupOn(f, today) === groupId && isFor(doses, f, today));
      const missing = own.filter(
        (f) => !f.treatments.some((t) => t.productId === id && t.on >= countsFrom && t.on <= today),
      );
      if (missing.length === 0) return [];
      const done = own.length - missing.length;
      return [
        row(`${id} plan ${groupId}`, { kind: 'give', productId: id, nth: undefined, done }, missing, window, today),
      ];
    });
  });
}

const row = (
  key: string,
  task: DueRow['task'],
  animals: readonly AnimalFacts[],
  window: Window,
  today: Day,
): DueRow => ({
  key,
  task,
  animals,
  species: animals[0]?.record.species,
  groupId: animals[0] && groupOn(animals[0], today),
  joins: 'same-list',
  ...opened(window, today),
});
