import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { Entry, EntryAnswer, EntriesAnswered } from '@yaylak/contract';
import { useCallback } from 'react';
import { ask, AwayError, ProblemError } from '../api/client';
import { holdingQuery } from '../api/queries';
import { newId } from '../words/ids';
import { useOutbox } from './useOutbox';

type WithoutStamp<T> = T extends Entry
  ? Omit<T, 'id' | 'writtenAt' | 'writtenBy' | 'source'> & { readonly id?: string }
  : never;
export type EntryDraft = WithoutStamp<Entry>;

export type RecordOutcome =
  | { readonly kind: 'kept'; readonly entries: readonly Entry[]; readonly answers: readonly EntryAnswer[] }
  | { readonly kind: 'kept-here'; readonly entries: readonly Entry[] }
  | {
      readonly kind: 'refused';
      readonly entries: readonly Entry[];
      readonly messages: readonly string[];
      readonly kept: readonly Entry[];
    };

/** Puts id, time, writer and source on a draft. */
export const stamp = (draft: EntryDraft, writtenBy: string, source: 'hand' | 'race' | 'import'): Entry =>
  ({ ...draft, id: draft.id ?? newId(), writtenAt: new Date().toISOString(), writtenBy, source }) as Entry;

/**
 * Records facts from a form: asks the server at once so that a refusal can be mended where it was typed; when the
 * server is away the entries go into the outbox.
 */
export function useRecord(): (drafts: readonly EntryDraft[]) => Promise<RecordOutcome> {
  const outbox = useOutbox();
  const client = useQueryClient();
  const { data: holding } = useQuery(holdingQuery);
  const writtenBy = holding?.keeper ?? 'Keeper';
  return useCallback(
    async (drafts) => {
      const entries = drafts.map((d) => stamp(d, writtenBy, 'hand'));
      try {
        const { answers } = await ask<EntriesAnswered>('/api/entries', { method: 'POST', body: { entries } });
        await client.invalidateQueries();
        const refused = answers.flatMap((a) => (a.status === 'refused' ? [a.message] : []));
        if (refused.length === 0) return { kind: 'kept', entries, answers };
        const refusedIds = new Set(answers.filter((a) => a.status === 'refused').map((a) => a.id));
        return { kind: 'refused', entries, messages: refused, kept: entries.filter((e) => !refusedIds.has(e.id)) };
      } catch (error) {
        if (error instanceof ProblemError && error.problem.status < 500)
          return { kind: 'refused', entries, messages: [error.message], kept: [] };
        if (!(error instanceof AwayError) && !(error instanceof ProblemError)) throw error;
        await outbox.put(entries.map((entry) => ({ kind: 'entry', entry })));
        return { kind: 'kept-here', entries };
      }
    },
    [client, outbox, writtenBy],
  );
}
