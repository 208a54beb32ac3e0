import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { ChangeHolding, HoldingView } from '@yaylak/contract';
import { useCallback } from 'react';
import { ask } from '../api/client';
import { holdingQuery } from '../api/queries';
import { readAgain } from '../api/readAgain';
import { useUndo } from './Undo';
import { say } from '@yaylak/contract';

/** Saves a change of the settings and offers the way back. @returns what went wrong, in words */
export type SaveHolding = (change: Omit<ChangeHolding, 'version'>) => Promise<string | undefined>;

export function useSaveHolding(): SaveHolding {
  const { data: before } = useQuery(holdingQuery);
  const client = useQueryClient();
  const undo = useUndo();
  return useCallback(
    async (change) => {
      if (!before) return say('The settings are not here yet. Wait a moment and save again.');
      const patch = async (body: ChangeHolding): Promise<HoldingView> => {
        const saved = await ask<HoldingView>('/api/holding', { method: 'PATCH', body });
        void readAgain(client);
        return saved;
      };
      try {
        const saved = await patch({ version: before.version, ...change });
        undo.offer({
          done: say('Saved the settings'),
          undo: async () => {
            const { name, keeper, unit, dateOrder, weekStart, currency, pointsWeights, overrides } = before;
            const { keeps, scorers, resources, calendar, decisionMarks, choosing } = before;
            const lists = {
              standards: [...before.standards],
              blankTags: [...before.blankTags],
              scorers,
              resources,
              calendar,
              decisionMarks,
              choosing,
            };
            const version = saved.version;
            await patch({
              version,
              name,
              keeper,
              unit,
              dateOrder,
              weekStart,
              currency,
              // What is taken back was so before.
              keepsFigures: true,
              pointsWeights,
              species: overrides,
              keeps: [...keeps],
              ...lists,
            });
          },
        });
        return undefined;
      } catch (error) {
        return (error as Error).message;
      }
    },
    [before, client, undo],
  );
}
