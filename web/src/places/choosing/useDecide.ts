import { useCallback } from 'react';
import type { Decide } from './ChoiceCell';
import { idOf } from './decisions';
import type { Choosing } from './useChoosing';

/** Decides on one animal in the draft; a reason given before stays until it is as suggested. */
export function useDecide({ change }: Choosing): Decide {
  return useCallback(
    (row, decision) => {
      const reason = row.decided?.reason;
      change({ decide: [{ animalId: idOf(row), decision, ...(reason ? { reason } : {}) }] });
    },
    [change],
  );
}
