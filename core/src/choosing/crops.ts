import type { Day } from '../calendar';
import { CONTEMPORARY_DAYS } from '../growth';
import type { Days } from '../units';

/** Young of one spell of births. */
export interface Crop<T> {
  readonly from: Day;
  readonly to: Day;
  /** By day of birth. */
  readonly members: readonly T[];
}

/**
 * Births of a species as crops: parted where more than 35 days lie between two, and a part that then spans more than
 * `widestDays` once more at its widest gap, the first of equals, until none does. Oldest first.
 */
export function cropsOf<T extends { readonly bornOn: Day }>(young: readonly T[], widestDays: Days): Crop<T>[] {
  const inOrder = [...young].sort((a, b) => a.bornOn - b.bornOn);
  const parts: T[][] = [];
  for (const one of inOrder) {
    const part = parts.at(-1);
    const last = part?.at(-1);
    if (part && last && one.bornOn - last.bornOn <= CONTEMPORARY_DAYS) part.push(one);
    else parts.push([one]);
  }
  return parts.flatMap((part) => narrowed(part, widestDays)).map(cropOf);
}

const bornOf = <T extends { readonly bornOn: Day }>(part: readonly T[], at: number): Day => (part.at(at) as T).bornOn;

const cropOf = <T extends { readonly bornOn: Day }>(members: readonly T[]): Crop<T> => ({
  from: bornOf(members, 0),
  to: bornOf(members, -1),
  members,
});

/** A part as it is, or in pieces none of which spans too far. */
function narrowed<T extends { readonly bornOn: Day }>(part: readonly T[], widestDays: Days): (readonly T[])[] {
  const done: (readonly T[])[] = [];
  const open: (readonly T[])[] = [part];
  for (let next = open.pop(); next; next = open.pop()) {
    if (bornOf(next, -1) - bornOf(next, 0) <= widestDays) {
      done.push(next);
      continue;
    }
    let at = 1;
    for (let i = 2; i < next.length; i++) if (gapBefore(next, i) > gapBefore(next, at)) at = i;
    // The later piece first on the pile, so that the earlier is looked at next and all come out in order.
    open.push(next.slice(at), next.slice(0, at));
  }
  return done;
}

const gapBefore = <T extends { readonly bornOn: Day }>(part: readonly T[], i: number): Days =>
  bornOf(part, i) - bornOf(part, i - 1);

/** Under this age nobody is judged: by eye, by the numbers or for sale. */
export const JUDGED_FROM_DAYS = 42;
/** A weight from this age on says something of the young and not only of its birth. */
const OWN_WEIGHT_FROM_DAYS = 21;

/**
 * Whether a young can be ranked: its parents' mean is known, or it has a reading of its own from 21 days of age on; and
 * never under 42 days.
 */
export function isRanked(young: {
  readonly ageDays: Days;
  readonly hasParentsMean: boolean;
  /** Age at its latest reading; undefined without one. */
  readonly weighedAtDays: Days | undefined;
}): boolean {
  if (young.ageDays < JUDGED_FROM_DAYS) return false;
  return young.hasParentsMean || (young.weighedAtDays ?? -1) >= OWN_WEIGHT_FROM_DAYS;
}
