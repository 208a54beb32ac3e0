import { isScore, type ScoreReading } from '../../condition';
import type { Fact } from '../facts';
import type { FactKind } from './kind';

export interface ScoreWritten {
  readonly score: number;
  readonly scoredBy: string;
}

/** A condition score given by hand. */
export interface ScoreFact extends Fact, ScoreReading {}

export const score: FactKind<'scores', ScoreWritten, ScoreFact> = {
  list: 'scores',
  fact: ({ score: given, scoredBy }, base) => ({ score: given, by: scoredBy, ...base }),
  touches: ['scorers'],
  check: ({ score: given }) =>
    isScore(given) ? undefined : { code: 'not-a-score', field: 'score', value: String(given) },
};
