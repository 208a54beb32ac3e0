import { useQueryClient } from '@tanstack/react-query';
import type { PlanFacts, PlanView } from '@yaylak/contract';
import { useCallback } from 'react';
import { ask } from '../api/client';
import { useUndo } from '../parts/Undo';

export interface PlanChange {
  readonly plan: Pick<PlanView, 'id' | 'version' | 'facts'>;
  readonly facts: PlanFacts;
}

/**
 * Saves changed plans, says what was done and offers the way back.
 * @returns a function that answers with what went wrong, in words
 */
export function useSavePlans(): (changes: readonly PlanChange[], done: string) => Promise<string | undefined> {
  const client = useQueryClient();
  const undo = useUndo();
  return useCallback(
    async (changes, done) => {
      const saved: PlanChange[] = [];
      try {
        for (const { plan, facts } of changes) {
          const now = await put(plan, facts);
          saved.push({ plan: now, facts: plan.facts });
        }
        undo.offer({
          done,
          undo: async () => {
            for (const { plan, facts } of saved) await put(plan, facts);
            await client.invalidateQueries();
          },
        });
        return undefined;
      } catch (error) {
        return (error as Error).message;
      } finally {
        await client.invalidateQueries({ queryKey: ['season'] });
        void client.invalidateQueries();
      }
    },
    [client, undo],
  );
}

const put = ({ id, version }: PlanChange['plan'], facts: PlanFacts): Promise<PlanView> =>
  ask<PlanView>(`/api/season/plans/${id}`, { method: 'PUT', body: { ...facts, version } });
