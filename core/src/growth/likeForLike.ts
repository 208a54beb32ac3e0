import { mean } from '../statistics';
import type { AdjustedWeight } from './adjustedWeight';
import type { Grams, Kilograms, Days } from '../units';

/** What a weight's difference from the mean is made of; whole grams, and the parts add up to `totalGrams`. */
export interface Breakdown {
  readonly totalGrams: Grams;
  readonly parts: {
    readonly age: Grams;
    readonly birthType: Grams;
    readonly sex: Grams;
    readonly damAge: Grams;
    /** What is left when everything known is taken out: the animal, like for like. */
    readonly likeForLike: Grams;
  };
  readonly ageDaysAgainstMean: number;
  readonly meanReadKg: Kilograms;
  readonly meanAdjustedKg: Kilograms;
  readonly setSize: number;
}

/**
 * Splits the difference of an animal's reading from its set's mean reading into what age, birth-and-rearing type, sex
 * and dam's age explain and the remainder. Each part is how far the difference from the mean shrinks in that step of
 * `adjustedWeight`; the remainder is the difference of the adjusted weights.
 * @param set  adjusted weights of the animals compared, `own` among them
 * @throws RangeError for an empty set
 */
export function breakdownAgainstMean(own: AdjustedWeight, set: readonly AdjustedWeight[]): Breakdown {
  return breakdownAgainst(own, meanSteps(set));
}

export interface MeanSteps {
  readonly steps: AdjustedWeight['steps'];
  readonly ageDays: Days;
  readonly size: number;
}

/** Mean of a set after each step, worked once for all its animals. @throws RangeError for an empty set */
export function meanSteps(set: readonly AdjustedWeight[]): MeanSteps {
  if (set.length === 0) throw new RangeError('no weights to compare with');
  const at = (pick: (w: AdjustedWeight) => number): number => mean(set.map(pick)) as number;
  return {
    steps: {
      read: at((w) => w.steps.read),
      age: at((w) => w.steps.age),
      birthType: at((w) => w.steps.birthType),
      sex: at((w) => w.steps.sex),
      damAge: at((w) => w.steps.damAge),
    },
    ageDays: at((w) => w.ageDays),
    size: set.length,
  };
}

/** `breakdownAgainstMean` with the means at hand. */
export function breakdownAgainst(own: AdjustedWeight, against: MeanSteps): Breakdown {
  const ahead = (step: keyof AdjustedWeight['steps']): number => own.steps[step] - against.steps[step];
  const grams = (kg: Kilograms): Grams => Math.round(kg * 1000) + 0;
  const totalGrams = grams(ahead('read'));
  const age = grams(ahead('read') - ahead('age'));
  const birthType = grams(ahead('age') - ahead('birthType'));
  const sex = grams(ahead('birthType') - ahead('sex'));
  const damAge = grams(ahead('sex') - ahead('damAge'));
  return {
    totalGrams,
    // The remainder takes the rounding, so that the column adds up to the last gram.
    parts: { age, birthType, sex, damAge, likeForLike: totalGrams - age - birthType - sex - damAge },
    ageDaysAgainstMean: own.ageDays - against.ageDays,
    meanReadKg: against.steps.read,
    meanAdjustedKg: against.steps.damAge,
    setSize: against.size,
  };
}
