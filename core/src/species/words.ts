import type { ScaleUnit, WeightUnit, Days } from '../units';
import type { Sex, Species } from './species';

/** What people call the animal; `grown` from the age given. */
interface SpeciesWords {
  readonly name: string;
  readonly plural: string;
  readonly grownFromDays: Days;
  /** Older ones are a slip of the year. A rule of thumb, on the wide side. */
  readonly oldestYears: number;
  readonly grown: Readonly<Record<Sex, readonly [one: string, many: string]>>;
  readonly young: Readonly<Record<Sex, readonly [one: string, many: string]>>;
  readonly birth: string;
  /** Too small to be read in kilograms. */
  readonly isInGrams?: boolean;
  /** The female goes to the male, and not he to her. */
  readonly isTakenToMale?: boolean;
  /** How young are told before the birth. */
  readonly toldBy: 'scan' | 'palpation';
}

export const SPECIES_WORDS: Readonly<Record<Species, SpeciesWords>> = {
  sheep: {
    name: 'Sheep',
    plural: 'sheep',
    grownFromDays: 365,
    oldestYears: 25,
    grown: {
      female: ['ewe', 'ewes'],
      male: ['ram', 'rams'],
      castrate: ['wether', 'wethers'],
      unknown: ['sheep', 'sheep'],
    },
    young: {
      female: ['ewe lamb', 'ewe lambs'],
      male: ['ram lamb', 'ram lambs'],
      castrate: ['wether lamb', 'wether lambs'],
      unknown: ['lamb', 'lambs'],
    },
    birth: 'lambing',
    toldBy: 'scan',
  },
  goat: {
    name: 'Goats',
    plural: 'goats',
    grownFromDays: 365,
    oldestYears: 25,
    grown: {
      female: ['doe', 'does'],
      male: ['buck', 'bucks'],
      castrate: ['wether', 'wethers'],
      unknown: ['goat', 'goats'],
    },
    young: {
      female: ['doe kid', 'doe kids'],
      male: ['buck kid', 'buck kids'],
      castrate: ['wether kid', 'wether kids'],
      unknown: ['kid', 'kids'],
    },
    birth: 'kidding',
    toldBy: 'scan',
  },
  rabbit: {
    name: 'Rabbits',
    plural: 'rabbits',
    grownFromDays: 150,
    oldestYears: 15,
    grown: {
      female: ['doe', 'does'],
      male: ['buck', 'bucks'],
      castrate: ['rabbit', 'rabbits'],
      unknown: ['rabbit', 'rabbits'],
    },
    young: {
      female: ['doe kit', 'doe kits'],
      male: ['buck kit', 'buck kits'],
      castrate: ['kit', 'kits'],
      unknown: ['kit', 'kits'],
    },
    birth: 'kindling',
    isInGrams: true,
    isTakenToMale: true,
    toldBy: 'palpation',
  },
  cattle: {
    name: 'Cattle',
    plural: 'cattle',
    grownFromDays: 900,
    oldestYears: 40,
    grown: {
      female: ['cow', 'cows'],
      male: ['bull', 'bulls'],
      castrate: ['steer', 'steers'],
      unknown: ['beast', 'cattle'],
    },
    young: {
      female: ['heifer', 'heifers'],
      male: ['bull calf', 'bull calves'],
      castrate: ['steer', 'steers'],
      unknown: ['calf', 'calves'],
    },
    birth: 'calving',
    toldBy: 'scan',
  },
};

/** The field word for an animal of this age; unknown age counts as grown. */
export function fieldWord(
  animal: { readonly species: Species; readonly sex: Sex },
  ageDays: Days | undefined,
  many = false,
): string {
  const words = SPECIES_WORDS[animal.species];
  const stage = ageDays !== undefined && ageDays < words.grownFromDays ? words.young : words.grown;
  return stage[animal.sex][many ? 1 : 0];
}

/** The unit a species is weighed in on a holding that weighs in kilograms or pounds. */
export const scaleUnit = (species: Species | undefined, unit: WeightUnit): ScaleUnit =>
  species === undefined || !SPECIES_WORDS[species].isInGrams ? unit : unit === 'kg' ? 'g' : 'oz';
