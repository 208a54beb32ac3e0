import type { Fact } from '../facts';
import type { FactKind } from './kind';

export interface PassageWritten {
  readonly gate?: string | undefined;
}

export interface PassageFact extends Fact {
  readonly jobId: string | undefined;
  readonly gate: string | undefined;
}

/** Through the race in a job. */
export const passage: FactKind<'passages', PassageWritten, PassageFact> = {
  list: 'passages',
  fact: ({ jobId, gate }, base) => ({ jobId, gate, ...base }),
};
