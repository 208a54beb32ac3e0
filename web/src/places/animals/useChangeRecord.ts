import { useQueryClient } from '@tanstack/react-query';
import type { AnimalRow, ChangeAnimal } from '@yaylak/contract';
import { useCallback } from 'react';
import { ask, ProblemError } from '../../api/client';
import { readAgain } from '../../api/readAgain';
import { useUndo } from '../../parts/Undo';
import { say } from '@yaylak/contract';

export type RecordChange = Omit<ChangeAnimal, 'version'>;

/**
 * Changes an animal's record on the version it is shown in, says so and offers the way back.
 * @returns a function that answers with what stands against it, or undefined when it is saved
 */
export function useChangeRecord(): (row: AnimalRow, change: RecordChange) => Promise<string | undefined> {
  const client = useQueryClient();
  const undo = useUndo();
  return useCallback(
    async (row, change) => {
      const path = `/api/animals/${row.tag.animalId}`;
      const patch = async (body: ChangeAnimal): Promise<AnimalRow> => {
        const saved = await ask<AnimalRow>(path, { method: 'PATCH', body });
        void readAgain(client);
        return saved;
      };
      try {
        const saved = await patch({ version: row.version, ...change });
        undo.offer({
          done: say('Changed the record of {text}', { text: row.tag.text }),
          undo: async () => void (await patch({ version: saved.version, ...recordOf(row) })),
        });
        return undefined;
      } catch (error) {
        const isStale = error instanceof ProblemError && error.problem.status === 409;
        if (isStale) void readAgain(client);
        const words = (error as Error).message;
        return isStale
          ? say('{words} What you typed is still here; saved again it goes over theirs.', { words })
          : words;
      }
    },
    [client, undo],
  );
}

const recordOf = (row: AnimalRow): RecordChange => ({
  sex: row.sex,
  bornOn: row.bornOn,
  ...(row.birthKnownTo ? { birthKnownTo: row.birthKnownTo } : {}),
  damId: row.dam?.animalId ?? null,
  donorId: row.donor?.animalId ?? null,
  sireId: row.sire?.animalId ?? null,
  birthType: row.birthType,
  rearingType: row.rearingType,
});
