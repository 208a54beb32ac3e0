import { addDays, toCalendarDate, toDay, windowAfter, type Day, type Window } from '../calendar';
import type { ProductLabel } from './product';

export interface Given {
  readonly on: Day;
  readonly productId: string;
}

/** A dose of a course that is still to be given. */
export interface DoseDue {
  readonly productId: string;
  /** The how-manieth of the course, from 2. */
  readonly nth: number;
  readonly window: Window;
}

/** A course's day may slip by a tenth of its spacing, at least a day, before it is over. Rule of thumb. */
const SLIP_SHARE = 0.1;
/** A course left alone this many spacings past its day is taken as broken off; the next dose begins another. */
const BROKEN_OFF_AFTER = 2;

/**
 * The next dose of each course begun: doses no further apart than two spacings belong to one course, which ends with
 * its last time.
 * @param given of one animal, any order
 */
export function dosesDue(
  given: readonly Given[],
  courseOf: (productId: string) => ProductLabel['course'],
  asOf: Day,
): DoseDue[] {
  const byProduct = new Map<string, Day[]>();
  for (const g of given) if (g.on <= asOf) byProduct.set(g.productId, [...(byProduct.get(g.productId) ?? []), g.on]);
  const due: DoseDue[] = [];
  for (const [productId, days] of byProduct) {
    const course = courseOf(productId);
    if (!course || course.times < 2) continue;
    const { nth, last } = courseSoFar(days, course);
    const slip = Math.max(1, Math.round(course.everyDays * SLIP_SHARE));
    const isBrokenOff = asOf - last > course.everyDays * (1 + BROKEN_OFF_AFTER);
    if (nth >= course.times || isBrokenOff) continue;
    const day = addDays(last, course.everyDays);
    due.push({
      productId,
      nth: nth + 1,
      window: windowAfter(day, { opens: -slip, bestFrom: 0, bestTo: slip - 1, closes: slip }),
    });
  }
  return due;
}

/** How many doses of the running course were given, and when the last. */
function courseSoFar(
  days: readonly Day[],
  { times, everyDays }: NonNullable<ProductLabel['course']>,
): { readonly nth: number; readonly last: Day } {
  const sorted = [...new Set(days)].sort((a, b) => a - b);
  let nth = 0;
  let last = sorted[0] as Day;
  for (const on of sorted) {
    nth = nth === 0 || nth >= times || on - last > everyDays * BROKEN_OFF_AFTER ? 1 : nth + 1;
    last = on;
  }
  return { nth, last };
}

/** The stretch of a plan's month a day lies in or comes to next: a bolus or mineral given twice a year has two months. */
export interface PlanTurn {
  readonly window: Window;
  /** The first day whose giving counts for this turn: what was given late for the turn before does not. */
  readonly countsFrom: Day;
}

/** Days before a plan's month from which a giving counts for it. */
const COUNTS_BEFORE_DAYS = 30;

/**
 * The turn of a yearly plan that is open on a day, else the next one.
 * @param months 1 to 12, at least one. @throws RangeError when there is none
 */
export function planTurn(months: readonly number[], asOf: Day): PlanTurn {
  if (months.length === 0) throw new RangeError('a plan needs at least one month');
  const first = toCalendarDate(asOf).set({ day: 1 });
  for (let ahead = 0; ; ahead++) {
    const month = first.add({ months: ahead });
    if (!months.includes(month.month)) continue;
    const opens = toDay(month);
    const days = toDay(month.add({ months: 1 })) - opens;
    return {
      window: windowAfter(opens, { opens: -7, bestFrom: 0, bestTo: Math.floor(days / 2), closes: days - 1 }),
      countsFrom: addDays(opens, -COUNTS_BEFORE_DAYS),
    };
  }
}
