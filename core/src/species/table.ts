import type { Species, SpeciesSettings } from './species';

/** Where a default comes from, shown beside it in the settings. */
export const SOURCE_NOTES: Readonly<Record<keyof SpeciesSettings, string>> = {
  gestationDays: 'Usual range of the species; single animals fall outside it.',
  femaleFirstMatingDays: 'Rule of thumb: age alone does not do, see her weight as well.',
  weaningDays: 'Rule of thumb: earliest, best and latest age on farms that rear on the dam.',
  standardAgesDays: 'The ages at which young of this species are commonly weighed.',
  birthWeightKg: 'Rule of thumb, used only when a birth was not weighed; the answer then says so.',
  readingSdShare: 'Rule of thumb for gut fill and scale together, as a share of body weight.',
  matureWeightKg: 'Rule of thumb for a middling upland animal. Set it to your own.',
  heaviestKg: 'Above this a reading is refused as a slip of the finger.',
  fastestGainKgPerDay: 'A jump or fall far beyond this is kept and marked "check the reading".',
  growthFactors: 'Rules of thumb; replaced step by step by your own records from 60 in a class.',
  weighing: 'One usual rhythm. Other good stock people weigh more, or each young from birth: edit it.',
  identifiersAdvised: 'Two from birth, so that a lost one leaves one; local rules decide what must be worn.',
  numberTemplate: 'Year and running number tells the age at a glance; change it to your own way.',
};

const at = (name: string, opens: number, bestFrom: number, bestTo: number, closes: number) =>
  ({ kind: 'at-age', name, window: { opens, bestFrom, bestTo, closes } }) as const;
const every = (name: string, fromDays: number, toDays: number, everyDays: number) =>
  ({ kind: 'every', name, fromDays, toDays, everyDays }) as const;

/** To the end of any life. */
export const FOR_LIFE_DAYS = 36_500;

/** Defaults of the four species; every figure can be overridden per holding (`withOverrides`). Rules of thumb. */
export const SPECIES_TABLE: Readonly<Record<Species, SpeciesSettings>> = {
  sheep: {
    gestationDays: { mean: 147, from: 142, to: 152 },
    femaleFirstMatingDays: 215,
    weaningDays: { opens: 56, bestFrom: 90, bestTo: 110, closes: 130 },
    standardAgesDays: [56, 90, 112, 147],
    birthWeightKg: [4.6, 3.9, 3.3],
    readingSdShare: 0.025,
    matureWeightKg: { female: 62, male: 90 },
    heaviestKg: 220,
    fastestGainKgPerDay: 0.6,
    growthFactors: {
      sex: { female: 1, male: 0.91, castrate: 0.96 },
      // Keys are born-reared; the base is a twin reared as a twin.
      birthTypeBy: 'born-reared',
      birthType: { '1-1': 0.92, '1-2': 0.98, '2-1': 0.95, '2-2': 1, '3-1': 0.97, '3-2': 1.04, '3-3': 1.09 },
      damAge: { '1': 1.1, '2': 1.04, '3': 1, '4': 1, '5': 1, '6': 1.01, '7+': 1.03 },
    },
    weighing: [
      at('Birth weight', 0, 0, 2, 3),
      at('8 week weight', 49, 53, 60, 70),
      at('16 week weight', 102, 108, 116, 126),
      at('21 week weight', 136, 142, 152, 162),
      every('After weaning, fortnightly', 163, 300, 14),
      every('Grown, twice a year', 301, FOR_LIFE_DAYS, 182),
    ],
    identifiersAdvised: 2,
    numberTemplate: '{YY}-{NNNN}',
  },
  goat: {
    gestationDays: { mean: 150, from: 145, to: 155 },
    femaleFirstMatingDays: 215,
    weaningDays: { opens: 56, bestFrom: 70, bestTo: 90, closes: 120 },
    standardAgesDays: [90],
    birthWeightKg: [3.5, 3.1, 2.7],
    readingSdShare: 0.025,
    matureWeightKg: { female: 55, male: 80 },
    heaviestKg: 180,
    fastestGainKgPerDay: 0.4,
    growthFactors: {
      sex: { female: 1, male: 0.92, castrate: 0.96 },
      birthTypeBy: 'born-reared',
      birthType: { '1-1': 0.93, '1-2': 0.98, '2-1': 0.96, '2-2': 1, '3-1': 0.98, '3-2': 1.04, '3-3': 1.08 },
      damAge: { '1': 1.08, '2': 1.03, '3': 1, '4': 1, '5': 1, '6': 1.01, '7+': 1.03 },
    },
    weighing: [
      at('Birth weight', 0, 0, 2, 3),
      at('8 week weight', 49, 53, 60, 70),
      at('13 week weight', 82, 87, 96, 106),
      every('After weaning, fortnightly', 107, 300, 14),
      every('Grown, twice a year', 301, FOR_LIFE_DAYS, 182),
    ],
    identifiersAdvised: 2,
    numberTemplate: 'G-{YY}-{NN}',
  },
  rabbit: {
    gestationDays: { mean: 31, from: 29, to: 33 },
    femaleFirstMatingDays: 150,
    weaningDays: { opens: 35, bestFrom: 42, bestTo: 42, closes: 56 },
    standardAgesDays: [21, 42, 70],
    birthWeightKg: [0.055],
    readingSdShare: 0.015,
    matureWeightKg: { female: 4.2, male: 4.0 },
    heaviestKg: 14,
    fastestGainKgPerDay: 0.07,
    growthFactors: {
      sex: { female: 1, male: 0.99, castrate: 0.99 },
      // Litter size bands: a kit from a small litter has had more milk.
      birthTypeBy: 'litter-size',
      birthType: { '1-4': 0.9, '5-7': 0.97, '8-9': 1, '10+': 1.05 },
      damAge: { '1': 1.03, '2': 1, '3': 1, '4': 1.02, '5': 1.04, '6': 1.04, '7+': 1.04 },
    },
    weighing: [every('Each kit, weekly', 21, 120, 7), every('Grown, monthly', 121, FOR_LIFE_DAYS, 30)],
    identifiersAdvised: 1,
    numberTemplate: 'K-{YY}-{NN}',
  },
  cattle: {
    gestationDays: { mean: 283, from: 273, to: 293 },
    femaleFirstMatingDays: 425,
    weaningDays: { opens: 120, bestFrom: 180, bestTo: 210, closes: 270 },
    standardAgesDays: [205, 365],
    birthWeightKg: [34, 28],
    readingSdShare: 0.025,
    matureWeightKg: { female: 520, male: 780 },
    heaviestKg: 1600,
    fastestGainKgPerDay: 2.2,
    growthFactors: {
      sex: { female: 1, male: 0.92, castrate: 0.95 },
      birthTypeBy: 'born-reared',
      birthType: { '1-1': 1, '1-2': 1.05, '2-1': 1.05, '2-2': 1.14 },
      damAge: { '1': 1.1, '2': 1.08, '3': 1.04, '4': 1.02, '5': 1, '6': 1, '7+': 1 },
    },
    weighing: [
      at('Birth weight', 0, 0, 2, 4),
      at('Weaning weight', 180, 195, 215, 240),
      every('Growing, monthly', 241, 730, 30),
      every('Grown, twice a year', 731, FOR_LIFE_DAYS, 182),
    ],
    identifiersAdvised: 2,
    numberTemplate: 'C-{YY}{NN}',
  },
};
