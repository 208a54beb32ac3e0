import { useQueryClient } from '@tanstack/react-query';
import type { ChoosingSet, ChoosingView } from '@yaylak/contract';
import { useCallback } from 'react';
import { choosingQuery, queryOf } from '../../api/choosing';
import { ask, withQuery } from '../../api/client';

/** Throws the draft of a set away; what somebody changed meanwhile is read again and stays. */
export function useDropDraft(set: ChoosingSet, view: ChoosingView): () => Promise<void> {
  const client = useQueryClient();
  const version = view.draft?.version ?? 0;
  return useCallback(async () => {
    const query = queryOf(set);
    const { queryKey } = choosingQuery(query);
    try {
      const path = withQuery('/api/choosing/draft', { ...query, version });
      client.setQueryData(queryKey, await ask<ChoosingView>(path, { method: 'DELETE' }));
    } catch {
      await client.invalidateQueries({ queryKey });
    }
  }, [client, set, version]);
}
