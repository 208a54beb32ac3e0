import { MAX_BATCH, type Entry, say } from '@yaylak/contract';
import { useCallback } from 'react';
import type { OfJob } from './store';
import { useOutbox } from './useOutbox';
import { raceEntries, strikesOf, useRecord, type EntryDraft } from './useRecord';

/** How something done is taken back, as data: it outlives a reload. */
export type WayBack =
  | { readonly kind: 'strike'; readonly entries: readonly Pick<Entry, 'id' | 'on'>[] }
  /** A strike itself cannot be struck: the facts are written down anew. */
  | { readonly kind: 'again'; readonly drafts: readonly EntryDraft[] }
  /** At the race all goes by the outbox, in order: it works without a server. */
  | { readonly kind: 'race'; readonly jobId: string; readonly by: string; readonly drafts: readonly EntryDraft[] }
  | { readonly kind: 'job'; readonly out: OfJob };

/** Goes a way back. @returns entries written on it that may be struck out in their turn. @throws Error with the book's reasons against it */
export function useGoBack(): (way: WayBack) => Promise<readonly Entry[]> {
  const record = useRecord();
  const outbox = useOutbox();
  return useCallback(
    async (way) => {
      if (way.kind === 'job') {
        await outbox.put([way.out]);
        return [];
      }
      if (way.kind === 'race') {
        const entries = raceEntries(way.drafts, way.by, way.jobId);
        await outbox.put(entries.map((entry) => ({ kind: 'entry', entry })));
        return entries.filter((e) => e.type !== 'strike');
      }
      const drafts = way.kind === 'again' ? way.drafts : strikesOf(way.entries, say('taken back'));
      const written: Entry[] = [];
      // Each piece whole, the last facts first; where a later one is refused, the earlier ones stay struck out.
      for (let i = 0; i < drafts.length; i += MAX_BATCH) {
        const outcome = await record(drafts.slice(i, i + MAX_BATCH));
        if (outcome.kind === 'refused') throw new Error(outcome.messages.join(' '));
        written.push(...outcome.entries);
      }
      return way.kind === 'again' ? written : [];
    },
    [record, outbox],
  );
}

/** An entry to be written down anew, as itself and no longer as the one that was struck. */
export function asDraft(entry: Entry): EntryDraft {
  const { id: _id, writtenAt: _at, writtenBy: _by, source: _source, ...fact } = entry;
  return fact as EntryDraft;
}
