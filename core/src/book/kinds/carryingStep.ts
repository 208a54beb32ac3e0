import type { Fact } from '../facts';
import type { FactKind } from './kind';
import { checkCarries } from './ofFemales';

export interface CarryingStepWritten {
  readonly step: string;
}

export interface CarryingStepFact extends Fact, CarryingStepWritten {}

/** A step before a birth was done. */
export const carryingStep: FactKind<'carryingSteps', CarryingStepWritten, CarryingStepFact> = {
  list: 'carryingSteps',
  fact: ({ step }, base) => ({ step, ...base }),
  check: (_, facts) => checkCarries(facts),
};
