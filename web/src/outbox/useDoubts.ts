import type { EntriesAnswered } from '@yaylak/contract';
import type { ReadingDoubt } from '@yaylak/core';
import { useCallback } from 'react';
import { ask } from '../api/client';
import { stamp, type EntryDraft } from './useRecord';
import { useWriter } from '../words/writer';

/**
 * What the book would doubt of entries, asked before they are kept.
 * @returns a doubt for each entry that has one, by its place; none while the server is away
 */
export function useDoubts(): (drafts: readonly EntryDraft[]) => Promise<readonly (ReadingDoubt | undefined)[]> {
  const writtenBy = useWriter();
  return useCallback(
    async (drafts) => {
      try {
        const { answers } = await ask<EntriesAnswered>('/api/entries?mode=check', {
          method: 'POST',
          body: { entries: drafts.map((d) => stamp(d, writtenBy, 'hand')) },
        });
        return answers.map((a) => (a.status === 'kept' ? a.doubt : undefined));
      } catch {
        // Refusals and a server that is away are told when they are sent to be kept.
        return [];
      }
    },
    [writtenBy],
  );
}
