import type { Day } from '../calendar';
import { dailyReadings, type Reading, type WeighingMethod } from '../growth';
import type { Species } from '../species';
import type { DoseRule, DoseUnit, ProductLabel } from './product';
import type { Days, Kilograms } from '../units';

/** Ways of weighing a dose is worked from without a caution. */
const SURE_METHODS: readonly WeighingMethod[] = ['scale', 'crate'];
/** Days a weight serves for a dose: a young animal outgrows it sooner. Rules of thumb. */
export const DOSE_WEIGHT_DAYS = { grown: 30, young: 10 } as const;

export interface DoseWeight {
  readonly kg: Kilograms;
  readonly method: WeighingMethod;
  readonly daysOld: number;
  readonly cautions: readonly DoseCaution[];
}

/** What binary fractions leave of a step. */
const TINY = 1e-9;

/** Why a dose is to be looked at before it is given. */
export type DoseCaution = 'old-weight' | 'tape' | 'estimate' | 'litter';

/**
 * The weight a dose is worked from: the last from a scale or crate while it still serves, else the last of any kind
 * with its cautions.
 * @param readings any number a day, in any order, none after `asOf`
 */
export function doseWeight(readings: readonly Reading[], asOf: Day, isYoung: boolean): DoseWeight | undefined {
  const limit = DOSE_WEIGHT_DAYS[isYoung ? 'young' : 'grown'];
  const daily = dailyReadings(readings).filter((r) => r.on <= asOf);
  const sure = daily.findLast((r) => SURE_METHODS.includes(r.method));
  const chosen = sure && asOf - sure.on <= limit ? sure : daily.at(-1);
  if (!chosen) return undefined;
  const daysOld = asOf - chosen.on;
  const cautions: DoseCaution[] = [];
  if (daysOld > limit) cautions.push('old-weight');
  if (chosen.method === 'tape' || chosen.method === 'estimate' || chosen.method === 'litter')
    cautions.push(chosen.method);
  return { kg: chosen.kg, method: chosen.method, daysOld, cautions };
}

export type Dose =
  | {
      readonly kind: 'dose';
      /** In the label's dose unit, rounded to its step. */
      readonly amount: number;
      /** Before rounding. */
      readonly exact: number;
      /** What goes in at each place; one figure where the label has no most per site. */
      readonly sites: readonly number[];
    }
  | { readonly kind: 'no-dose'; readonly reason: 'species-not-on-label' | 'no-weight' }
  | { readonly kind: 'no-dose'; readonly reason: 'above-bands'; readonly heaviestKg: Kilograms }
  | ({ readonly kind: 'no-dose' } & TooSmall);

/** Under the least age or weight of the label: a bolus is not for a lamb two days old. */
export type TooSmall =
  | { readonly reason: 'too-young'; readonly fromDays: Days; readonly ageDays: Days }
  | { readonly reason: 'too-light'; readonly fromKg: Kilograms; readonly kg: Kilograms };

/** Who is dosed. */
export interface Dosed {
  readonly species: Species;
  /** Undefined where the animal has no weight; a dose for all heads does not need one. */
  readonly kg: Kilograms | undefined;
  /** Undefined where its birth is not known. */
  readonly ageDays?: Days | undefined;
}

/** Whether an animal is under what the label of a product is for; of what is not known nothing is said. */
export function tooSmall(
  { fromDays, fromKg }: Pick<DoseRule, 'fromDays' | 'fromKg'>,
  { kg, ageDays }: Pick<Dosed, 'kg' | 'ageDays'>,
): TooSmall | undefined {
  if (fromDays !== undefined && ageDays !== undefined && ageDays < fromDays)
    return { reason: 'too-young', fromDays, ageDays };
  return fromKg !== undefined && kg !== undefined && kg < fromKg ? { reason: 'too-light', fromKg, kg } : undefined;
}

/**
 * The dose by the user's own label: rate x weight, the label's band, or the same for all; rounded to the step and
 * parted where there is a most per site. Never anything that is not on the label.
 */
export function doseFor(label: ProductLabel, who: Dosed): Dose {
  const { species, kg } = who;
  const rule = label.doses.find((d) => d.species === species);
  if (!rule) return { kind: 'no-dose', reason: 'species-not-on-label' };
  const small = tooSmall(rule, who);
  if (small) return { kind: 'no-dose', ...small };
  if (rule.by === 'head') return dose(label, rule.amount);
  if (kg === undefined) return { kind: 'no-dose', reason: 'no-weight' };
  if (rule.by === 'kg') return dose(label, rule.perKg * kg);
  const bands = [...rule.bands].sort((a, b) => a.upToKg - b.upToKg);
  const band = bands.find((b) => kg <= b.upToKg);
  if (!band) return { kind: 'no-dose', reason: 'above-bands', heaviestKg: bands.at(-1)?.upToKg ?? 0 };
  return dose(label, band.amount);
}

function dose(label: ProductLabel, exact: number): Dose {
  const amount = roundedTo(label, exact);
  return { kind: 'dose', exact, amount, sites: sitesOf(amount, label) };
}

/** Steps are counted in whole numbers, a half up and never under one, so that 0.1 + 0.2 makes no step more than it is. */
function roundedTo({ step, rounding }: ProductLabel, exact: number): number {
  const steps = exact / step;
  const whole = rounding === 'up' ? Math.ceil(steps - TINY) : Math.floor(steps + 0.5 + TINY);
  return tidy(Math.max(1, whole) * step);
}

/** Parts an amount over the fewest places in which whole steps fit under the most, as evenly as the step lets. */
function sitesOf(amount: number, { maxPerSite, step }: ProductLabel): number[] {
  if (maxPerSite === undefined || amount <= maxPerSite + TINY) return [amount];
  const stepsAPlace = Math.floor(maxPerSite / step + TINY);
  // Less at one place than the syringe can measure: the label is wrong, and there is no end to the places.
  if (stepsAPlace < 1) return [amount];
  const steps = Math.round(amount / step);
  const places = Math.ceil(steps / stepsAPlace);
  const least = Math.floor(steps / places);
  const more = steps - least * places;
  return Array.from({ length: places }, (_, i) => tidy((least + (i < more ? 1 : 0)) * step));
}

/** An amount further from the label's dose than this is asked about. Rules of thumb. */
const FAR_OVER = 1.2;
const FAR_UNDER = 0.8;

/**
 * Whether an amount is far from what the label says, before rounding: over 1.2 times or under 0.8 times of it.
 * @returns how many times the label's dose it is; undefined near it, or where the label has none
 */
export function timesLabel(dose: Dose, amount: number): number | undefined {
  if (dose.kind !== 'dose' || !(dose.exact > 0)) return undefined;
  const times = amount / dose.exact;
  return times > FAR_OVER + TINY || times < FAR_UNDER - TINY ? times : undefined;
}

/** Whether somebody chose an amount far from the label's: the step of the syringe alone does not make it so. */
export const isOwnAmount = (dose: Dose, amount: number): boolean =>
  timesLabel(dose, amount) !== undefined && !(dose.kind === 'dose' && Math.abs(dose.amount - amount) < TINY);

/** A grown animal of each species, to see what a label comes to. Rules of thumb. */
const GROWN_KG: Readonly<Record<Species, Kilograms>> = { sheep: 65, goat: 55, rabbit: 4, cattle: 600 };
/** More than this is seldom given at once to a head: in ml or g a kilogram of a grown one, in pieces a head. */
const SELDOM = { aKilogram: 5, pieces: 10 } as const;

/** What a label's rule gives a grown animal, or one at the top of a band, where that is so much that the label was likely typed wrong. */
export function unusualDose(
  rule: DoseRule,
  unit: DoseUnit,
): { readonly amount: number; readonly kg: Kilograms } | undefined {
  const grown = GROWN_KG[rule.species];
  const given =
    rule.by === 'band'
      ? rule.bands.map(({ upToKg, amount }) => ({ kg: upToKg, amount }))
      : [{ kg: grown, amount: rule.by === 'kg' ? tidy(rule.perKg * grown) : rule.amount }];
  return given.find(
    ({ kg, amount }) => amount > (unit === 'ml' || unit === 'g' ? SELDOM.aKilogram * kg : SELDOM.pieces),
  );
}

/** Drops what binary fractions leave: a tenth of a millilitre has no sixteenth digit. */
const tidy = (amount: number): number => Number(amount.toFixed(6));
