import type { PenStage } from '../../births';
import type { Fact } from '../facts';
import { checkAfterBirth } from './afterbirth';
import type { FactKind } from './kind';

export interface PenStageWritten {
  readonly stage: PenStage;
}

/** A dam moved on with her young. */
export interface PenStageFact extends Fact, PenStageWritten {}

export const penStage: FactKind<'penStages', PenStageWritten, PenStageFact> = {
  list: 'penStages',
  fact: ({ stage }, base) => ({ stage, ...base }),
  check: ({ day }, facts, book) => checkAfterBirth(facts, book, day),
};
