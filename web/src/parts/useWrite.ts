import { useCallback } from 'react';
import { useRecord, type EntryDraft, type RecordOutcome } from '../outbox/useRecord';
import { useUndo } from './Undo';
import { say } from '@yaylak/contract';

type Kept = Exclude<RecordOutcome, { kind: 'refused' }>;

/**
 * Writes the facts of a form whole or not at all, says what was done and offers to take it back.
 * @returns a function that answers with the book's reasons against them; with none they are kept
 */
export function useWrite(): (
  drafts: readonly EntryDraft[],
  done: string | ((kept: Kept) => string),
) => Promise<readonly string[]> {
  const record = useRecord();
  const undo = useUndo();
  return useCallback(
    async (drafts, done) => {
      const outcome = await record(drafts);
      if (outcome.kind === 'refused') return outcome.messages;
      const words = typeof done === 'string' ? done : done(outcome);
      const isKeptHere = outcome.kind === 'kept-here';
      undo.offer({
        done: isKeptHere
          ? say('{replace}. It is kept on this device until the server is back', { replace: words.replace(/\.$/, '') })
          : words,
        undo: { kind: 'strike', entries: outcome.entries.map(({ id, on }) => ({ id, on })) },
      });
      return [];
    },
    [record, undo],
  );
}
