import type { WindowDays } from '../calendar';

export const SPECIES = ['sheep', 'goat', 'rabbit', 'cattle'] as const;
export type Species = (typeof SPECIES)[number];

export const SEXES = ['female', 'male', 'castrate', 'unknown'] as const;
export type Sex = (typeof SEXES)[number];

/** One step of the weighing rhythm. Ages in days from birth. */
export type WeighingStep =
  | { readonly kind: 'at-age'; readonly name: string; readonly window: WindowDays }
  | {
      readonly kind: 'every';
      readonly name: string;
      readonly fromDays: number;
      readonly toDays: number;
      readonly everyDays: number;
    };

/** Multiplies a weight to what it would have been for the base animal; 1 is the base class. */
export type FactorTable = Readonly<Record<string, number>>;

/** Shipped factors by class; which key belongs to which animal is said by `factorKeys` in growth. */
export interface GrowthFactors {
  readonly sex: FactorTable;
  /** Whether `birthType` has keys of born-and-reared (`2-1`) or bands of litter size (`5-7`). */
  readonly birthTypeBy: 'born-reared' | 'litter-size';
  readonly birthType: FactorTable;
  readonly damAge: FactorTable;
}

/** What a holding may set for a species. Days from birth unless said otherwise; weights in kilograms. */
export interface SpeciesSettings {
  readonly gestationDays: { readonly mean: number; readonly from: number; readonly to: number };
  readonly femaleFirstMatingDays: number;
  readonly weaningDays: WindowDays;
  /** Ages a weight is set to for comparison. */
  readonly standardAgesDays: readonly number[];
  /** By litter size, first for one; the last serves larger litters. */
  readonly birthWeightKg: readonly number[];
  /** SD of one reading from gut fill and the scale, as a share of body weight. */
  readonly readingSdShare: number;
  readonly matureWeightKg: { readonly female: number; readonly male: number };
  /** The heaviest reading anybody could believe. */
  readonly heaviestKg: number;
  /** The fastest gain ever seen at the best age, kilograms a day: beyond it a reading is to be checked. */
  readonly fastestGainKgPerDay: number;
  readonly growthFactors: GrowthFactors;
  readonly weighing: readonly WeighingStep[];
  /** Tags and tattoos an animal should wear. */
  readonly identifiersAdvised: number;
  /** Template of new numbers, see identity/numberTemplate. */
  readonly numberTemplate: string;
}
