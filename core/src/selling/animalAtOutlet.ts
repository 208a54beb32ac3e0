import type { Day } from '../calendar';
import { addDays } from '../calendar';
import type { FatGroup } from '../species';
import { quantileSorted, seededRandom, sorted } from '../statistics';
import type { Days } from '../units';
import { stepAt, stepChances, type ThoughtClass } from './classes';
import { daysMore, marginIn, type AllowedDays, type DaysMore, type KeepCost, type ValueIn } from './daysMore';
import { fatRate, type FatRate, type Felt } from './fatAhead';
import { withHabit, type Habits } from './graders';
import { isPaidDead, pricesOn, type Outlet, type PriceList } from './outlets';
import { exactValue, expectedValue, type ClassChances } from './value';
import type { WeightAhead } from './weightAhead';

/** What is known of one animal that may be sold. */
export interface ForSale extends AllowedDays, KeepCost {
  readonly today: Day;
  readonly weight: WeightAhead;
  readonly killingOut: number;
  /** As this outlet's grader would see it; undefined where it was not felt. */
  readonly classes: ThoughtClasses | undefined;
}
export interface ThoughtClasses {
  /** Shape does not change over the days looked at. */
  readonly shape: ThoughtClass;
  /** On the day it was felt, the grader's habit put to it. */
  readonly fat: ThoughtClass;
  readonly daysSinceFelt: Days;
  readonly rate: FatRate;
}

/** Shape and fat as an outlet's grader would see them on a day. @returns undefined where one of them is not known */
export function thoughtClasses(
  { shape, felt }: { readonly shape: { readonly step: number } | undefined; readonly felt: readonly Felt[] },
  on: Day,
  group: FatGroup,
  habits: Habits,
): ThoughtClasses | undefined {
  const last = felt.at(-1);
  if (!shape || !last) return undefined;
  return {
    shape: withHabit(shape.step, habits.shape),
    fat: withHabit(last.fat, habits.fat),
    daysSinceFelt: on - last.on,
    rate: fatRate(felt, group),
  };
}

/** The fat it should have in so many days, thirds. */
export const fatIn = ({ fat, daysSinceFelt, rate }: ThoughtClasses, days: Days): ThoughtClass => ({
  mean: fat.mean + rate.perDay * (days + daysSinceFelt),
  sd: fat.sd,
});

/** Class chances in so many days; the shape's are worked out once. */
export function chancesAhead(classes: ThoughtClasses): (days: Days) => ClassChances {
  const shape = stepChances(classes.shape);
  return (days) => ({ shape, fat: stepChances(fatIn(classes, days)) });
}

/** What it would bring at an outlet by day, expected. @returns undefined on a day without a price, or unfelt at a grid */
export function valueAhead(animal: ForSale, outlet: Outlet): ValueIn {
  const { today, weight, killingOut } = animal;
  const chances = animal.classes && outlet.payBy === 'grid' ? chancesAhead(animal.classes) : undefined;
  const isDead = isPaidDead(outlet.payBy);
  const now = pricesOn(outlet.prices, today);
  const isLast = outlet.prices.every((list) => list.from <= today);
  const line = now && isLast && !isDead ? payLine(outlet, now) : undefined;
  return (days) => {
    if (line) return line.minor + line.minorPerKg * weight.kgIn(days);
    const prices = isLast ? now : pricesOn(outlet.prices, addDays(today, days));
    if (!prices) return undefined;
    const thought = { kg: weight.kgIn(days), sd: isDead ? weight.sdIn(days) : 0 };
    return expectedValue({ weight: thought, killingOut, classes: chances?.(days) }, outlet, prices);
  };
}

/** Alive the pay is a straight line of the weight, and how sure that is does not matter: two points tell all of it. */
function payLine(outlet: Outlet, prices: PriceList): { readonly minor: number; readonly minorPerKg: number } {
  const at = (kg: number): number =>
    expectedValue({ weight: { kg, sd: 0 }, killingOut: 1, classes: undefined }, outlet, prices) ?? 0;
  return { minor: at(0), minorPerKg: at(1) - at(0) };
}

/** When to sell it there. */
export const daysMoreAt = (animal: ForSale, outlet: Outlet): DaysMore => daysMore(animal, valueAhead(animal, outlet));

export interface MarginRange {
  readonly low: number;
  readonly high: number;
}
export const DRAWS = 2_000;

/**
 * The 10 and 90 % points of the margin on a day: today's weight, the gain, how fast it lays on fat and both classes are
 * drawn; the chance to live through multiplies.
 */
export function marginRange(animal: ForSale, outlet: Outlet, days: Days, seed: number, draws = DRAWS): MarginRange {
  const prices = pricesOn(outlet.prices, addDays(animal.today, days));
  const now = valueAhead(animal, outlet)(0) ?? 0;
  const { weight, classes, killingOut } = animal;
  if (!prices) return { low: Number.NaN, high: Number.NaN };
  const random = seededRandom(seed);
  const expectedKg = weight.kgIn(days);
  const margins = Array.from({ length: draws }, () => {
    const liveKg =
      expectedKg + random.normal(0, weight.readingSd) + (days + weight.daysSince) * random.normal(0, weight.gainSd);
    const graded = classes && {
      shape: stepAt(random.normal(classes.shape.mean, classes.shape.sd)),
      fat: stepAt(
        random.normal(classes.fat.mean, classes.fat.sd) +
          Math.max(0, random.normal(classes.rate.perDay, classes.rate.sd)) * (days + classes.daysSinceFelt),
      ),
    };
    return marginIn(days, exactValue({ liveKg, killingOut, graded }, outlet, prices) ?? Number.NaN, now, animal);
  });
  const rising = sorted(margins);
  return { low: quantileSorted(rising, 0.1) as number, high: quantileSorted(rising, 0.9) as number };
}
