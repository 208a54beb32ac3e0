import type { Day } from '../calendar';
import type { SpeciesSettings } from '../species';
import { factorClasses, type FactorClasses, type FactorGroup, type FactorsInUse, type FactorTraits } from './factors';
import { readingSd, type Reading } from './readings';
import type { Kilograms, Days } from '../units';

export type WeightAtAge =
  | { readonly kind: 'weight'; readonly kg: Kilograms }
  | { readonly kind: 'no-answer'; readonly reason: 'age-zero' | 'no-birth-weight' }
  | { readonly kind: 'no-answer'; readonly reason: 'age-too-far'; readonly fromDays: Days; readonly toDays: Days };

/**
 * Weight set to an age by the usual linear rule: birth + (weight - birth) / age x standard age.
 * @param ageDays age at the reading; only from half to one and a half of `standardDays` gives an answer
 */
export function weightAtAge(input: {
  readonly kg: Kilograms;
  readonly ageDays: Days;
  readonly birthKg: Kilograms | undefined;
  readonly standardDays: Days;
}): WeightAtAge {
  const { kg, ageDays, birthKg, standardDays } = input;
  if (ageDays <= 0) return { kind: 'no-answer', reason: 'age-zero' };
  if (birthKg === undefined) return { kind: 'no-answer', reason: 'no-birth-weight' };
  const fromDays = standardDays / 2;
  const toDays = standardDays * 1.5;
  if (ageDays < fromDays || ageDays > toDays) return { kind: 'no-answer', reason: 'age-too-far', fromDays, toDays };
  return { kind: 'weight', kg: birthKg + ((kg - birthKg) / ageDays) * standardDays };
}

/** What growth has to know of an animal. */
export interface GrowingAnimal extends FactorTraits {
  readonly id: string;
  readonly bornOn: Day;
  /** As `dailyReadings` gives them, birth weight included. */
  readonly daily: readonly Reading[];
}

export interface AdjustedWeight {
  readonly kind: 'adjusted';
  readonly standardDays: Days;
  readonly reading: Reading;
  readonly ageDays: Days;
  readonly birthKg: Kilograms;
  readonly birthWeight: 'weighed' | 'default';
  readonly classes: FactorClasses;
  readonly factors: Readonly<Record<FactorGroup, number>>;
  /** Kilograms after each step: as read, at the age, then times each factor in this order. */
  readonly steps: {
    readonly read: number;
    readonly age: number;
    readonly birthType: number;
    readonly sex: number;
    readonly damAge: number;
  };
  readonly kg: Kilograms;
  /** Kilograms, from gut fill and scale at the reading. */
  readonly standardError: number;
}

export type AdjustedWeightAnswer =
  | AdjustedWeight
  | {
      readonly kind: 'no-answer';
      readonly reason: 'no-reading-near-age';
      readonly fromDays: Days;
      readonly toDays: Days;
    };

/** Birth weight of an animal: its reading within a day of birth, or the species' default for its litter size. */
export function birthWeightOf(
  animal: Pick<GrowingAnimal, 'bornOn' | 'daily' | 'birthType'>,
  settings: Pick<SpeciesSettings, 'birthWeightKg'>,
): { readonly kg: Kilograms; readonly from: 'weighed' | 'default' } {
  const weighed = animal.daily.find((r) => r.on - animal.bornOn <= 1 && r.on >= animal.bornOn);
  if (weighed) return { kg: weighed.kg, from: 'weighed' };
  const table = settings.birthWeightKg;
  const kg = table[Math.min(table.length, Math.max(1, animal.birthType ?? 1)) - 1] ?? 0;
  return { kg, from: 'default' };
}

/** The reading nearest a standard age, from half to one and a half of it; the earlier of two as near. */
export function readingNear(animal: Pick<GrowingAnimal, 'bornOn' | 'daily'>, standardDays: Days): Reading | undefined {
  let nearest: Reading | undefined;
  for (const r of animal.daily) {
    const age = r.on - animal.bornOn;
    if (age < standardDays / 2 || age > standardDays * 1.5) continue;
    if (!nearest || Math.abs(age - standardDays) < Math.abs(nearest.on - animal.bornOn - standardDays)) nearest = r;
  }
  return nearest;
}

/**
 * An animal's weight set to a standard age and to the base animal of the factor table: the reading nearest that age
 * (half to one and a half of it), by `weightAtAge`, times the factors of birth-and-rearing type, sex and dam's age.
 * An unknown class is taken as the base and shows as undefined in `classes`.
 */
export function adjustedWeight(
  animal: GrowingAnimal,
  standardDays: Days,
  settings: SpeciesSettings,
  inUse: FactorsInUse,
): AdjustedWeightAnswer {
  const birth = birthWeightOf(animal, settings);
  const nearest = readingNear(animal, standardDays);
  if (!nearest)
    return { kind: 'no-answer', reason: 'no-reading-near-age', fromDays: standardDays / 2, toDays: standardDays * 1.5 };
  const ageDays = nearest.on - animal.bornOn;
  const set = weightAtAge({ kg: nearest.kg, ageDays, birthKg: birth.kg, standardDays });
  if (set.kind !== 'weight') throw new Error('the reading was chosen inside the age limits');
  const classes = factorClasses(animal, settings.growthFactors);
  const factor = (group: FactorGroup): number => {
    const key = classes[group];
    return key === undefined ? 1 : (inUse[group][key]?.factor ?? 1);
  };
  const factors = { birthType: factor('birthType'), sex: factor('sex'), damAge: factor('damAge') };
  const type = set.kg * factors.birthType;
  const sex = type * factors.sex;
  const kg = sex * factors.damAge;
  return {
    kind: 'adjusted',
    standardDays,
    reading: nearest,
    ageDays,
    birthKg: birth.kg,
    birthWeight: birth.from,
    classes,
    factors,
    steps: { read: nearest.kg, age: set.kg, birthType: type, sex, damAge: kg },
    kg,
    standardError:
      readingSd(nearest.kg, settings) * (standardDays / ageDays) * factors.birthType * factors.sex * factors.damAge,
  };
}
