import type { Day } from '../calendar';
import { dailyReadings, type Reading, type WeighingMethod } from '../growth';
import type { Species } from '../species';
import type { ProductLabel } from './product';
import type { Kilograms } from '../units';

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
  | { readonly kind: 'no-dose'; readonly reason: 'above-bands'; readonly heaviestKg: Kilograms };

/**
 * The dose by the user's own label: rate x weight, the label's band, or the same for all; rounded to the step and
 * parted where there is a most per site. Never anything that is not on the label.
 * @param kg undefined where the animal has no weight; a dose for all heads does not need one
 */
export function doseFor(label: ProductLabel, species: Species, kg: Kilograms | undefined): Dose {
  const rule = label.doses.find((d) => d.species === species);
  if (!rule) return { kind: 'no-dose', reason: 'species-not-on-label' };
  if (rule.by === 'head') return dose(label, rule.amount, rule.amount);
  if (kg === undefined) return { kind: 'no-dose', reason: 'no-weight' };
  if (rule.by === 'kg') return dose(label, rule.perKg * kg, roundedTo(label, rule.perKg * kg));
  const bands = [...rule.bands].sort((a, b) => a.upToKg - b.upToKg);
  const band = bands.find((b) => kg <= b.upToKg);
  if (!band) return { kind: 'no-dose', reason: 'above-bands', heaviestKg: bands.at(-1)?.upToKg ?? 0 };
  return dose(label, band.amount, band.amount);
}

const dose = (label: ProductLabel, exact: number, amount: number): Dose => ({
  kind: 'dose',
  exact,
  amount,
  sites: sitesOf(amount, label),
});

/** Steps are counted in whole numbers, so that 0.1 + 0.2 does not make one step more than it is. */
function roundedTo({ step, rounding }: ProductLabel, exact: number): number {
  const steps = exact / step;
  const whole = rounding === 'up' ? Math.ceil(steps - 1e-9) : Math.round(steps);
  return tidy(Math.max(1, whole) * step);
}

/** Parts an amount over as few places as the most per site allows, as evenly as the step lets. */
function sitesOf(amount: number, { maxPerSite, step }: ProductLabel): number[] {
  if (maxPerSite === undefined || amount <= maxPerSite + 1e-9) return [amount];
  const places = Math.ceil(amount / maxPerSite - 1e-9);
  const steps = Math.round(amount / step);
  const low = Math.floor(steps / places);
  const more = steps - low * places;
  const sites = Array.from({ length: places }, (_, i) => tidy((low + (i < more ? 1 : 0)) * step));
  // A most per site that is no whole number of steps cannot be parted evenly in steps: full places, then the rest.
  if (sites.every((s) => s <= maxPerSite + 1e-9)) return sites;
  const full = Math.floor(maxPerSite / step + 1e-9) * step;
  // Less at one place than the syringe can measure: the label is wrong, and there is no end to the places.
  if (full <= 0) return [amount];
  const parted: number[] = [];
  for (let left = amount; left > 1e-9; left -= full) parted.push(tidy(Math.min(full, left)));
  return parted;
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
  return times > FAR_OVER + 1e-9 || times < FAR_UNDER - 1e-9 ? times : undefined;
}

/** Drops what binary fractions leave: a tenth of a millilitre has no sixteenth digit. */
const tidy = (amount: number): number => Number(amount.toFixed(6));
