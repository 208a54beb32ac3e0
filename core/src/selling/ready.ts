import { normalPiece, normalShareBelow } from '../statistics';
import type { Days } from '../units';
import { fatIn, type ForSale, type ThoughtClasses } from './animalAtOutlet';
import { chanceWithin, type ThoughtClass } from './classes';
import { MOST_AHEAD, type DayRun } from './daysMore';
import { isPaidDead, type Outlet, type BoxRange, type WantedBox } from './outlets';
import { STEPS } from './grid';

export type BoxFactor = 'weight' | 'shape' | 'fat';

/** Days within which one that is ready now and will not be any more counts as closing. */
export const SOON_DAYS: Days = 21;

/** What ends it: something grows out of the box, the age wanted, or the holding's limit of days on feed. */
export type ReadyEnd =
  { readonly of: BoxFactor; readonly side: 'under' | 'over' } | { readonly of: 'age' } | { readonly of: 'feed-limit' };

export type BoxReadiness =
  | {
      readonly kind: 'ready';
      readonly chance: number;
      readonly isNarrow: Narrow | undefined;
      /** The last day of those it is ready on without a break, and what ends it; undefined beyond three weeks. */
      readonly closes: { readonly days: Days; readonly by: ReadyEnd } | undefined;
    }
  | { readonly kind: 'in-days'; readonly days: Days; readonly chance: number; readonly isNarrow: Narrow | undefined }
  | {
      readonly kind: 'never';
      /** What fails most on the day it comes nearest, and to which side. */
      readonly factor: BoxFactor;
      readonly side: 'under' | 'over';
      readonly chance: number;
      readonly onDay: Days;
    }
  | { readonly kind: 'not-felt' }
  | { readonly kind: 'no-day'; readonly reason: 'withheld' | 'age' | 'feed-limit' };
/** The box is narrower than this eye and scale are sure: one in its middle would be in it by this chance only. */
export interface Narrow {
  readonly bestChance: number;
}

/**
 * When an animal lies in an outlet's box: today, in so many days, or never on this feed.
 * @param ageDays today; undefined where the birth is not known, and then an age is not asked for
 */
export function readyFor(animal: ForSale, outlet: Outlet, ageDays: Days | undefined): BoxReadiness {
  const { box, leastChance } = outlet;
  const wantsClass = box.shape !== undefined || box.fat !== undefined;
  if (wantsClass && !animal.classes) return { kind: 'not-felt' };
  const last = Math.min(MOST_AHEAD, animal.feedDaysLeft ?? MOST_AHEAD);
  const isOfAge = (n: Days): boolean => ageDays === undefined || isIn(ageDays + n, box.ageDays);
  const first = Math.max(0, animal.clearIn);
  if (first > last) return { kind: 'no-day', reason: last >= 0 ? 'withheld' : 'feed-limit' };
  const deadFactor = isPaidDead(outlet.payBy) ? animal.killingOut : 1;
  const weightIn = (n: Days): ThoughtClass => ({
    mean: animal.weight.kgIn(n) * deadFactor,
    sd: animal.weight.sdIn(n) * deadFactor,
  });
  const narrow = narrowBox(box, leastChance, weightIn(0).sd, animal.classes);
  const at = (n: Days): Factors => factorsOn(box, weightIn(n), animal.classes, n);
  const isReady = (f: Factors): boolean => (narrow ? f.isInside : f.chance >= leastChance);
  const closesIn = (): { readonly days: Days; readonly by: ReadyEnd } | undefined => {
    for (let n = 1; n <= SOON_DAYS; n++) {
      if (n > last) return { days: n - 1, by: { of: 'feed-limit' } };
      if (!isOfAge(n)) return { days: n - 1, by: { of: 'age' } };
      const factors = at(n);
      if (!isReady(factors)) {
        const { name, side } = worstOf(factors);
        return { days: n - 1, by: { of: name, side } };
      }
    }
    return undefined;
  };
  let nearest: { n: Days; factors: Factors } | undefined;
  for (let n = first; n <= last; n++) {
    if (!isOfAge(n)) continue;
    const factors = at(n);
    if (isReady(factors) && n === 0)
      return { kind: 'ready', chance: factors.chance, isNarrow: narrow, closes: closesIn() };
    if (isReady(factors)) return { kind: 'in-days', days: n, chance: factors.chance, isNarrow: narrow };
    if (!nearest || factors.chance > nearest.factors.chance) nearest = { n, factors };
  }
  if (!nearest) return { kind: 'no-day', reason: 'age' };
  const { n, factors } = nearest;
  const worst = worstOf(factors);
  return { kind: 'never', factor: worst.name, side: worst.side, chance: factors.chance, onDay: n };
}

/** The days on which it lies in the box, as far as is known: all of them where it never does, for somebody has to ask. */
export function wantedDays(readiness: BoxReadiness): DayRun {
  return {
    from: readiness.kind === 'in-days' ? readiness.days : 0,
    to: (readiness.kind === 'ready' ? readiness.closes?.days : undefined) ?? Infinity,
  };
}

/** The part of a best stretch in which it is wanted; where there is none, the day of those it is wanted on that is nearest. */
export function wantedRun(run: DayRun, readiness: BoxReadiness): DayRun {
  const wanted = wantedDays(readiness);
  const from = Math.min(Math.max(run.from, wanted.from), wanted.to);
  return { from, to: Math.max(from, Math.min(run.to, wanted.to)) };
}

export interface BoxToday {
  readonly isReady: boolean;
  readonly chance: number;
  readonly isNarrow: Narrow | undefined;
  /** What speaks most against it. */
  readonly worst: { readonly factor: BoxFactor; readonly side: 'under' | 'over' };
}

/**
 * Whether an animal just weighed and felt lies in an outlet's box: what `readyFor` says of today, without what is
 * withheld.
 * @param weight live kilograms and the SD of the reading
 * @returns undefined where the outlet wants a class and none is known, or where it is not of the age wanted
 */
export function inBoxToday(
  { box, leastChance, payBy }: Pick<Outlet, 'box' | 'leastChance' | 'payBy'>,
  animal: { readonly weight: ThoughtClass; readonly killingOut: number; readonly classes: ThoughtClasses | undefined },
  ageDays: Days | undefined,
): BoxToday | undefined {
  const { classes } = animal;
  if ((box.shape !== undefined || box.fat !== undefined) && !classes) return undefined;
  if (ageDays !== undefined && !isIn(ageDays, box.ageDays)) return undefined;
  const k = isPaidDead(payBy) ? animal.killingOut : 1;
  const weight = { mean: animal.weight.mean * k, sd: animal.weight.sd * k };
  const narrow = narrowBox(box, leastChance, weight.sd, classes);
  const factors = factorsOn(box, weight, classes, 0);
  const worst = worstOf(factors);
  return {
    isReady: narrow ? factors.isInside : factors.chance >= leastChance,
    chance: factors.chance,
    isNarrow: narrow,
    worst: { factor: worst.name, side: worst.side },
  };
}

const worstOf = ({ each }: Factors): Factor => each.reduce((w, f) => (f.chance < w.chance ? f : w));

/** Where even one in the middle of the box would be in it too seldom: by how much at best. */
function narrowBox(
  box: WantedBox,
  leastChance: number,
  weightSd: number,
  classes: ThoughtClasses | undefined,
): Narrow | undefined {
  const bestChance = middleChance(box, weightSd, classes);
  return bestChance < leastChance ? { bestChance } : undefined;
}

const isIn = (value: number, range: BoxRange | undefined): boolean =>
  value >= (range?.from ?? -Infinity) && value <= (range?.to ?? Infinity);

interface Factor {
  readonly name: BoxFactor;
  readonly chance: number;
  readonly side: 'under' | 'over';
}
interface Factors {
  readonly chance: number;
  readonly each: readonly Factor[];
  /** Expected weight and classes lie in the box. */
  readonly isInside: boolean;
}

function factorsOn(box: WantedBox, weight: ThoughtClass, classes: ThoughtClasses | undefined, n: Days): Factors {
  const fat = classes && fatIn(classes, n);
  const each = [weightFactor(weight, box.kg)];
  if (classes) each.push(classFactor('shape', classes.shape, box.shape));
  if (fat) each.push(classFactor('fat', fat, box.fat));
  let chance = 1;
  for (const factor of each) chance *= factor.chance;
  return {
    chance,
    each,
    isInside:
      isIn(weight.mean, box.kg) &&
      (!classes || isIn(Math.round(classes.shape.mean), box.shape)) &&
      (!fat || isIn(Math.round(fat.mean), box.fat)),
  };
}

/** The edges of the box are in it: each tail is what lies beyond its edge. */
function weightFactor({ mean, sd }: ThoughtClass, range: BoxRange | undefined): Factor {
  const under = range?.from === undefined ? 0 : 1 - normalShareBelow(-range.from, -mean, sd);
  const over = range?.to === undefined ? 0 : 1 - normalShareBelow(range.to, mean, sd);
  return { name: 'weight', chance: Math.max(0, 1 - under - over), side: under >= over ? 'under' : 'over' };
}

function classFactor(name: BoxFactor, thought: ThoughtClass, range: BoxRange | undefined): Factor {
  const under = range?.from === undefined || range.from <= 1 ? 0 : chanceWithin(thought, 1, range.from - 1);
  const over = range?.to === undefined || range.to >= STEPS ? 0 : chanceWithin(thought, range.to + 1, STEPS);
  return { name, chance: Math.max(0, 1 - under - over), side: under >= over ? 'under' : 'over' };
}

/** The chance of an animal in the very middle of the box, as sure as this eye and scale are. */
function middleChance(box: WantedBox, weightSd: number, classes: ThoughtClasses | undefined): number {
  const middle = (range: BoxRange | undefined, low: number, high: number): number =>
    ((range?.from ?? low) + (range?.to ?? high)) / 2;
  const ofClass = (range: BoxRange | undefined, sd: number | undefined): number =>
    range === undefined || sd === undefined
      ? 1
      : chanceWithin({ mean: middle(range, 1, STEPS), sd }, range.from, range.to);
  const { from, to } = box.kg ?? {};
  const half = from === undefined || to === undefined ? Infinity : (to - from) / 2;
  const ofWeight = Number.isFinite(half) ? normalPiece(-half, half, 0, weightSd).chance : 1;
  return ofWeight * ofClass(box.shape, classes?.shape.sd) * ofClass(box.fat, classes?.fat.sd);
}
