declare const unit: unique symbol;

/*
 * What could be swapped in silence bears its kind at the doors of core: an animal's id is not taken where a group's is
 * wanted, grams not for kilograms. The mark is optional, so that a plain figure or text needs no cast on its way in.
 */

/** Animal and group ids are UUIDs made by whoever wrote the record first. */
export type AnimalId = string & { readonly [unit]?: 'animal' };
export type GroupId = string & { readonly [unit]?: 'group' };
/** A weight; the one unit of weight in core. */
export type Kilograms = number & { readonly [unit]?: 'kg' };
/** A weight as small animals are shown and typed. */
export type Grams = number & { readonly [unit]?: 'g' };
/** A count of whole calendar days between two dates. */
export type Days = number & { readonly [unit]?: 'day' };
export type Hours = number & { readonly [unit]?: 'hour' };
export type KilogramsPerDay = number & { readonly [unit]?: 'kg/day' };

export const WEIGHT_UNITS = ['kg', 'lb'] as const;
export type WeightUnit = (typeof WEIGHT_UNITS)[number];

/** International avoirdupois pound, exact (1959 agreement). */
export const KG_PER_LB = 0.45359237;
export const OZ_PER_LB = 16;
export const GRAMS_PER_KG = 1000;

/** A holding's unit, or grams and ounces where a species is too small for kilograms and pounds. */
export type ScaleUnit = WeightUnit | 'g' | 'oz';

/** Kilograms of a figure typed in `from`. */
export const toKg = (value: number, from: ScaleUnit): Kilograms => (value * PER_UNIT[from].times) / PER_UNIT[from].over;

/** The figure to show in `to` for a weight in kilograms; rounding is left to whoever shows it. */
export const fromKg = (kg: Kilograms, to: ScaleUnit): number => (kg * PER_UNIT[to].over) / PER_UNIT[to].times;

/** Grams are divided by a thousand, not multiplied by a thousandth: 742 g are 0.742 kg and not 0.7420000000000001. */
const PER_UNIT: Readonly<Record<ScaleUnit, { readonly times: number; readonly over: number }>> = {
  kg: { times: 1, over: 1 },
  lb: { times: KG_PER_LB, over: 1 },
  g: { times: 1, over: GRAMS_PER_KG },
  oz: { times: KG_PER_LB, over: OZ_PER_LB },
};
