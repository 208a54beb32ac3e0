import type { Day } from '../calendar';
import type { GrowthCurve, Reading } from '../growth';
import { gainOverPeriod } from '../growth';
import type { FatGroup, SpeciesSettings } from '../species';
import { mean, standardDeviation } from '../statistics';
import type { Days } from '../units';
import { chancesAhead, daysMoreAt, thoughtClasses, valueAhead, type ForSale } from './animalAtOutlet';
import type { Felt } from './fatAhead';
import { NO_HABITS, type Habits } from './graders';
import type { DaysMore } from './daysMore';
import { pricesOn, type Outlet } from './outlets';
import { inBoxToday, readyFor, wantedDays, type BoxReadiness } from './ready';
import { saleState, type SaleState } from './saleState';
import { breakevenGain, marginalPerKg } from './value';
import { onPlateau, OWN_DAYS, weightAhead, type GroupGain, type WeightAhead } from './weightAhead';

/** One head that may be sold, as the book knows it. */
export interface HeadAsked {
  readonly today: Day;
  readonly bornOn: Day | undefined;
  /** As `dailyReadings` gives them, guesses set right. */
  readonly daily: readonly Reading[];
  readonly curve: GrowthCurve | undefined;
  readonly group: GroupGain | undefined;
  readonly feedDays: Days | undefined;
  readonly clearIn: Days;
  readonly oldEnoughIn: Days;
  readonly shape: { readonly on: Day; readonly step: number } | undefined;
  readonly felt: readonly Felt[];
  /** How early its kind lays on fat. */
  readonly fatGroup: FatGroup;
  readonly killingOut: number;
  /** Heads of the pen: as many of them as an outlet takes would share the trip of a later day. */
  readonly penHeads: number;
}

/** Outlets run by the week: who stays goes no sooner than the next. */
export const WAIT_DAYS: Days = 7;

export interface HeadAtOutlet {
  readonly outlet: Outlet;
  /** As this outlet reckons with it. */
  readonly animal: ForSale;
  /** The gain that pays for its keep there; Infinity where none does, undefined unfelt or without a price today. */
  readonly breakeven: number | undefined;
  /** What it brings there today, whether or not it may go; the trip is not in it. Undefined unfelt, or without a price. */
  readonly nowMinor: number | undefined;
  /** Chance to lie in its box today; by weight and age alone where nothing was felt. */
  readonly chanceNow: number;
  readonly readiness: BoxReadiness;
  readonly days: DaysMore;
}

export interface HeadAtOutlets {
  readonly weight: WeightAhead;
  readonly at: readonly HeadAtOutlet[];
  readonly state: SaleState;
  readonly inDays: Days | undefined;
  /** Where one that closes is ready and brings most. */
  readonly closesAt: HeadAtOutlet | undefined;
  /** Where it brings most on its best day, the trip left out, of those that would take it. */
  readonly best: HeadAtOutlet | undefined;
  /**
   * What its best day a week or more from now brings where it would be taken, its share of that trip off; undefined where
   * it may not wait.
   */
  readonly staysMinor: number | undefined;
}

/**
 * One head at each outlet: what it brings today, whether it is ready there, and when it brings most.
 * @returns undefined of one whose weight ahead is not known
 */
export function headAtOutlets(
  asked: HeadAsked,
  outlets: readonly Outlet[],
  settings: SpeciesSettings,
  habitsOf: (outlet: Outlet) => Habits = () => NO_HABITS,
): HeadAtOutlets | undefined {
  const { selling } = settings;
  const { today, daily, bornOn, group, curve } = asked;
  const pace = { daily, today, bornOn, group };
  const plain = weightAhead({ ...pace, isPlateau: false, curve: undefined }, settings);
  if (!plain) return undefined;
  const animalOf = (weight: WeightAhead, outlet: Outlet): ForSale => ({
    today,
    weight,
    killingOut: asked.killingOut,
    classes: thoughtClasses(asked, today, asked.fatGroup, habitsOf(outlet)),
    clearIn: asked.clearIn,
    oldEnoughIn: asked.oldEnoughIn,
    feedDaysLeft: asked.feedDays === undefined ? undefined : selling.feedDaysMost - asked.feedDays,
    dailyCostMinor: selling.keepMinorADay,
    survival: 1 - selling.diesADay,
    interestAYear: selling.interestAYear,
  });
  const ofPlain = outlets.map((o) => animalOf(plain, o));
  const breakevens = outlets.map((o, i) => breakevenAt(ofPlain[i] as ForSale, o));
  // Where no gain pays it is infinite, and says nothing of a plateau.
  const least = breakevens.reduce((l, b) => (b !== undefined && b < (l ?? Infinity) ? b : l), undefined);
  const isPlateau = onPlateau(daily, least, settings);
  // Most are on no plateau and have no curve: what was worked out of them stands.
  const isPlain = !isPlateau && curve?.kind !== 'curve';
  const weight = isPlain ? plain : (weightAhead({ ...pace, isPlateau, curve }, settings) ?? plain);
  const ageDays = bornOn === undefined ? undefined : today - bornOn;
  const at = outlets.map((outlet, i): HeadAtOutlet => {
    const animal = isPlain ? (ofPlain[i] as ForSale) : animalOf(weight, outlet);
    return {
      outlet,
      animal,
      breakeven: isPlain ? breakevens[i] : breakevenAt(animal, outlet),
      nowMinor: valueAhead(animal, outlet)(0),
      chanceNow: chanceToday(animal, outlet, ageDays),
      readiness: readyFor(animal, outlet, ageDays),
      days: daysMoreAt(animal, outlet),
    };
  });
  const most = (days: DaysMore): number => (days.kind === 'days' ? days.bestMinor : -Infinity);
  const taking = takers(at);
  const best = taking.reduce<HeadAtOutlet | undefined>(
    (b, a) => (most(a.days) > (b ? most(b.days) : -Infinity) ? a : b),
    undefined,
  );
  const { state, inDays, closesAt } = saleState({
    clearIn: asked.clearIn,
    oldEnoughIn: asked.oldEnoughIn,
    isPlateau,
    at,
  });
  return {
    weight,
    at,
    state,
    inDays,
    closesAt,
    best,
    staysMinor: worthOfStaying(taking, asked.penHeads),
  };
}

/** Who would take it, today or later on this feed; where nobody would, all: somebody has to ask. */
function takers(at: readonly HeadAtOutlet[]): readonly HeadAtOutlet[] {
  const would = at.filter(({ readiness: { kind } }) => kind === 'ready' || kind === 'in-days');
  return would.length > 0 ? would : at;
}

function chanceToday({ weight, killingOut, classes }: ForSale, outlet: Outlet, ageDays: Days | undefined): number {
  const { kg, ageDays: age } = outlet.box;
  const box = classes ? outlet.box : { kg, ageDays: age };
  const thought = { mean: weight.kgIn(0), sd: weight.sdIn(0) };
  return inBoxToday({ ...outlet, box }, { weight: thought, killingOut, classes }, ageDays)?.chance ?? 0;
}

/**
 * One that stays misses this week's load, and shares the trip of a later one. Were tomorrow a later day, and its trip for
 * nothing, every load would be put off by a day for ever. It counts on days on which it is still wanted there, and only
 * where there are none on the others.
 */
function worthOfStaying(at: readonly HeadAtOutlet[], penHeads: number): number | undefined {
  let wanted: number | undefined;
  let any: number | undefined;
  for (const { outlet, days, readiness } of at) {
    if (days.kind !== 'days') continue;
    const trip = outlet.tripMinor / Math.min(penHeads, outlet.most ?? Infinity);
    const { from, to } = wantedDays(readiness);
    for (let n = WAIT_DAYS; n < days.margins.length; n++) {
      const margin = days.margins[n];
      if (margin === undefined) continue;
      const left = margin - trip;
      if (left > (any ?? -Infinity)) any = left;
      if (n >= from && n <= to && left > (wanted ?? -Infinity)) wanted = left;
    }
  }
  return wanted ?? any;
}

/** The gain that pays for its keep at an outlet today. @returns undefined where it was not felt, or has no price there */
function breakevenAt(animal: ForSale, outlet: Outlet): number | undefined {
  const prices = pricesOn(outlet.prices, animal.today);
  if (!prices) return undefined;
  const marginal = marginalPerKg(
    {
      weight: { kg: animal.weight.kgIn(0), sd: animal.weight.sdIn(0) },
      killingOut: animal.killingOut,
      classes: animal.classes && chancesAhead(animal.classes)(0),
    },
    outlet,
    prices,
  );
  return marginal === undefined ? undefined : breakevenGain(animal.dailyCostMinor, marginal);
}

/** How a group gains over the last weeks, from the gains of those in it. @returns undefined where nobody has one */
export function groupGain(
  members: readonly (readonly Reading[])[],
  today: Day,
  settings: SpeciesSettings,
): GroupGain | undefined {
  const gains = members.flatMap((daily) => {
    const gain = gainOverPeriod(daily, { from: (today - OWN_DAYS) as Day, to: today }, settings);
    return gain.kind === 'gain' ? [gain.kgPerDay] : [];
  });
  const centre = mean(gains);
  const spread = standardDeviation(gains);
  return centre === undefined
    ? undefined
    : { meanKgPerDay: centre, variance: spread === undefined ? undefined : spread ** 2 };
}
