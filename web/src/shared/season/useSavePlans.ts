import { useQueryClient } from '@tanstack/react-query';
import type { PlanFacts, PlanView } from '@yaylak/contract';
import { useCallback } from 'react';
import { ask, AwayError } from '../../api/client';
import { readAgain } from '../../api/readAgain';
import { useUndo } from '../../parts/Undo';
import { say } from '@yaylak/contract';

/** Why a plan was not saved. */
export interface NotSaved {
  readonly message: string;
  /** The server did not answer: what is on the screen can be saved again. */
  readonly isAway: boolean;
}

const AWAY_WORDS = say(
  'The server is away, so this is not saved. It is still on the screen: save it again when the server is back.',
);

export interface PlanChange {
  readonly plan: Pick<PlanView, 'id' | 'version' | 'facts'>;
  readonly facts: PlanFacts;
}

/**
 * Saves changed plans, says what was done and offers the way back.
 * @returns a function that answers with what went wrong
 */
export function useSavePlans(): (changes: readonly PlanChange[], done: string) => Promise<NotSaved | undefined> {
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
            await readAgain(client);
          },
        });
        return undefined;
      } catch (error) {
        const isAway = error instanceof AwayError;
        return { message: isAway ? AWAY_WORDS : (error as Error).message, isAway };
      } finally {
        await readAgain(client, { queryKey: ['season'] });
        void readAgain(client);
      }
    },
    [client, undo],
  );
}

const put = ({ id, version }: PlanChange['plan'], facts: PlanFacts): Promise<PlanView> =>
  ask<PlanView>(`/api/season/plans/${id}`, { method: 'PUT', body: { ...facts, version } });
