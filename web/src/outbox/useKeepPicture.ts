import { useCallback } from 'react';
import { ask, isForLater, ProblemError } from '../api/client';
import { pictureAddress } from './outbox';
import { useOutbox } from './useOutbox';
import { NOT_KEPT } from './useRecord';

/**
 * Keeps a picture before the photo that speaks of it: on the server, or in the outbox while that is away.
 * @returns a function that answers with what speaks against it
 */
export function useKeepPicture(): (id: string, picture: string) => Promise<readonly string[]> {
  const outbox = useOutbox();
  return useCallback(
    async (id, picture) => {
      try {
        await ask(pictureAddress(id), { method: 'PUT', body: { picture } });
      } catch (error) {
        if (!isForLater(error)) {
          if (error instanceof ProblemError) return [error.message];
          throw error;
        }
        try {
          await outbox.put([{ kind: 'picture', id, picture }]);
        } catch {
          return [NOT_KEPT];
        }
      }
      return [];
    },
    [outbox],
  );
}
