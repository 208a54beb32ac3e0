import { useQueryClient } from '@tanstack/react-query';
import { MAX_BATCH, type Entry, type EntryAnswer, type EntriesAnswered, say } from '@yaylak/contract';
import { useCallback, useRef } from 'react';
import { ask, isForLater, ProblemError } from '../api/client';
import { readAgain } from '../api/readAgain';

import { newId } from '../words/ids';
import { useOutbox } from './useOutbox';
import { useWriter } from '../words/writer';

export const NOT_KEPT = say(
  'The server is away, and this device cannot keep this: its storage is full or shut. Nothing is lost while this stays open; make room and press again.',
);

type WithoutStamp<T> = T extends Entry
  ? Omit<T, 'id' | 'writtenAt' | 'writtenBy' | 'source'> & { readonly id?: string }
  : never;
export type EntryDraft = WithoutStamp<Entry>;

export type RecordOutcome =
  | { readonly kind: 'kept'; readonly entries: readonly Entry[]; readonly answers: readonly EntryAnswer[] }
  | { readonly kind: 'kept-here'; readonly entries: readonly Entry[] }
  | { readonly kind: 'refused'; readonly messages: readonly string[] };

/** Puts id, time, writer and source on a draft. */
export const stamp = (draft: EntryDraft, writtenBy: string, source: 'hand' | 'race' | 'import'): Entry =>
  ({ ...draft, id: draft.id ?? newId(), writtenAt: new Date().toISOString(), writtenBy, source }) as Entry;

/** What is written of one animal at the race, under one time: it is what holds its entries together. */
export function raceEntries(drafts: readonly EntryDraft[], by: string, jobId: string): Entry[] {
  const writtenAt = new Date().toISOString();
  return drafts.map((d) => ({ ...stamp(d, by, 'race'), writtenAt, jobId }));
}

/** Strikes of entries, the last first, so that nothing is struck out from under what stands on it. */
export const strikesOf = (entries: readonly Pick<Entry, 'id' | 'on'>[], reason: string): EntryDraft[] =>
  entries.toReversed().map((e) => ({ type: 'strike', on: e.on, entryId: e.id, reason }));

/**
 * Sends entries, all of them or none: asks the server at once so that a refusal can be mended where it was typed; when the
 * server is away the entries go into the outbox.
 */
export function useSendWhole(): (entries: readonly Entry[]) => Promise<RecordOutcome> {
  const outbox = useOutbox();
  const client = useQueryClient();
  return useCallback(
    async (entries: readonly Entry[]): Promise<RecordOutcome> => {
      if (entries.length > MAX_BATCH)
        return {
          kind: 'refused',
          messages: [
            say('These are {n} {n, plural, one {entry} other {entries}}; up to {most} go in at a time. Choose fewer.', {
              n: entries.length,
              most: MAX_BATCH,
            }),
          ],
        };
      try {
        const { answers } = await ask<EntriesAnswered>('/api/entries?mode=whole', {
          method: 'POST',
          body: { entries },
        });
        const refused = answers.flatMap((a) => (a.status === 'refused' ? [a.message] : []));
        if (refused.length > 0) return { kind: 'refused', messages: [...new Set(refused)] };
        // Not awaited: whoever typed should not wait for every list on the page to be read again.
        void readAgain(client);
        return { kind: 'kept', entries, answers };
      } catch (error) {
        if (!isForLater(error)) {
          if (error instanceof ProblemError) return { kind: 'refused', messages: [error.message] };
          throw error;
        }
        try {
          await outbox.put(entries.map((entry) => ({ kind: 'entry', entry })));
        } catch {
          return { kind: 'refused', messages: [NOT_KEPT] };
        }
        return { kind: 'kept-here', entries };
      }
    },
    [client, outbox],
  );
}

/**
 * Records the facts of a form, all of them or none. The same facts again, before the first have been answered, are a key
 * pressed twice: they are recorded once.
 */
export function useRecord(): (drafts: readonly EntryDraft[]) => Promise<RecordOutcome> {
  const send = useSendWhole();
  const writtenBy = useWriter();
  const underWay = useRef(new Map<string, Promise<RecordOutcome>>());
  return useCallback(
    (drafts) => {
      const said = JSON.stringify(drafts);
      const known = underWay.current.get(said);
      if (known) return known;
      const outcome = send(drafts.map((d) => stamp(d, writtenBy, 'hand'))).finally(() => underWay.current.delete(said));
      underWay.current.set(said, outcome);
      return outcome;
    },
    [send, writtenBy],
  );
}
