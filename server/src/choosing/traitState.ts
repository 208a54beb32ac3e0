import type { TraitState } from '@yaylak/contract';
import { LEAST_RECORDS, type BreedingAnswer, type BreedingTraitName } from '@yaylak/core';

/** What there is of a trait's breeding values, or why there are none. */
export function traitState(trait: BreedingTraitName, answer: BreedingAnswer | undefined): TraitState {
  const none = { trait, records: 0, needed: LEAST_RECORDS, geneticSd: null, baseLevel: null, isExact: true };
  if (!answer) return { ...none, state: 'too-few' };
  switch (answer.kind) {
    case 'values': {
      const records = [...answer.of.values()].reduce((sum, v) => sum + v.records, 0);
      const { geneticVariance, baseLevel, isExact } = answer;
      return { ...none, state: 'values', records, geneticSd: Math.sqrt(geneticVariance), baseLevel, isExact };
    }
    case 'too-few':
      return { ...none, state: 'too-few', records: answer.records };
    case 'no-spread':
    case 'loop':
      return { ...none, state: answer.kind };
  }
}
