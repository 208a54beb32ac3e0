declare const unit: unique symbol;

/** A count of whole calendar days between two dates. */
export type Days = number;

/** Animal, group and job ids are UUIDs made by whoever wrote the record first. */
export type AnimalId = string & { readonly [unit]?: 'animal' };
export type GroupId = string & { readonly [unit]?: 'group' };

export type WeightUnit = 'kg' | 'lb';

/** International avoirdupois pound, exact (1959 agreement). */
export const KG_PER_LB = 0.45359237;
export const OZ_PER_LB = 16;
export const GRAMS_PER_KG = 1000;

/** Kilograms of a figure typed in `from`. */
export const toKg = (value: number, from: WeightUnit): number => (from === 'lb' ? value * KG_PER_LB : value);

/** The figure to show in `to` for a weight in kilograms; rounding is left to whoever shows it. */
export const fromKg = (kg: number, to: WeightUnit): number => (to === 'lb' ? kg / KG_PER_LB : kg);
