import type { Fact } from '../facts';
import type { FactKind } from './kind';

export interface WeaningWritten {
  readonly isDone: boolean;
}

/** Weaned, or the first step of it. */
export interface WeaningFact extends Fact, WeaningWritten {}

export const weaning: FactKind<'weanings', WeaningWritten, WeaningFact> = {
  list: 'weanings',
  fact: ({ isDone }, base) => ({ isDone, ...base }),
  check: ({ isDone }, { record, weanings }) =>
    weanings.some((w) => w.isDone) && isDone
      ? { code: 'already-weaned', field: 'animalId', value: record.id }
      : undefined,
};
