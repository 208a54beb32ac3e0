import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { ChoosingSet, ChoosingView } from '@yaylak/contract';
import { useCallback, useEffect, useState } from 'react';
import { choosingQuery, queryOf } from '../../api/choosing';
import { ask } from '../../api/client';
import { holdingQuery } from '../../api/queries';
import { useUnsaved } from '../../parts/unsaved';
import { createDraftQueue, type DraftChange } from './draftQueue';
import { writerOf } from '../../words/writer';

export interface Choosing {
  readonly view: ChoosingView | undefined;
  readonly error: Error | null;
  readonly onRetry: () => void;
  /** Changes the draft; changes go to the server one after another. */
  readonly change: (change: DraftChange) => void;
  /** What went wrong with a change, in words. */
  readonly problem: string | undefined;
  /** Changes that wait for the server to come back. */
  readonly waiting: number;
}

/** A set with the choice that is being made of it. */
export function useChoosing(set: ChoosingSet): Choosing {
  const { data, error, refetch } = useQuery(choosingQuery(queryOf(set)));
  const client = useQueryClient();
  const [waiting, setWaiting] = useState(0);
  const [problem, setProblem] = useState<string>();
  useUnsaved(waiting > 0);
  // The set is what the page is keyed by: it stays the same.
  const [queue] = useState(() => {
    const { queryKey } = choosingQuery(queryOf(set));
    return createDraftQueue({
      onWaiting: setWaiting,
      onRefused: (message) => {
        setProblem(message);
        void client.invalidateQueries({ queryKey });
      },
      send: async (change) => {
        const version = client.getQueryData(queryKey)?.draft?.version ?? 0;
        const by = writerOf(client.getQueryData(holdingQuery.queryKey));
        const body = { ...queryOf(set), version, by, ...change };
        // What was asked for before the change must not be shown after it.
        await client.cancelQueries({ queryKey });
        client.setQueryData(queryKey, await ask<ChoosingView>('/api/choosing/draft', { method: 'POST', body }));
      },
    });
  });
  useEffect(() => queue.stop, [queue]);
  const change = useCallback(
    (next: DraftChange): void => {
      setProblem(undefined);
      queue.add(next);
    },
    [queue],
  );
  return { view: data, error, onRetry: () => void refetch(), change, problem, waiting };
}
