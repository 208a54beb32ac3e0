import { useQuery, useQueryClient } from '@tanstack/react-query';
import { loadCheckText, type LoadFacts, type PlannedLoadView, say } from '@yaylak/contract';
import { resolveIdentifier } from '@yaylak/core';
import { useState } from 'react';
import { ProblemError } from '../../api/client';
import { identifiersQuery } from '../../api/queries';
import { changeLoad, dropLoad, loadQuery, loadsQuery } from '../../api/selling';
import { fullDate } from '../../words/dates';

/** What was done last, or what stands in its way. */
export interface Said {
  readonly tone: 'moss' | 'weld' | 'madder';
  readonly words: string;
}

/** A change of who goes: made anew on what another device has saved meanwhile, so it names heads and no whole list. */
type LoadChange = (facts: LoadFacts) => LoadFacts;

/** What can be done to a load that is planned, and what came of it. Each answers whether it was taken. */
export function useLoad(load: PlannedLoadView) {
  const { data: identifiers } = useQuery(identifiersQuery);
  const client = useQueryClient();
  const [said, setSaid] = useState<Said>();
  const refuse = (words: string): boolean => {
    setSaid({ tone: 'madder', words });
    return false;
  };

  /** @param takenId whom it is about: what is to be known of it is said at once, at the gate */
  const save = async (change: LoadChange, words: string, takenId?: string): Promise<boolean> => {
    try {
      const saved = await onceMore(load, change);
      client.setQueryData(loadQuery(load.id).queryKey, saved);
      void client.invalidateQueries({ queryKey: loadsQuery.queryKey, exact: true });
      const known = saved.heads.find((h) => h.tag.animalId === takenId)?.checks ?? [];
      setSaid({ tone: known.length > 0 ? 'weld' : 'moss', words: [words, ...known.map(loadCheckText)].join(' ') });
      return true;
    } catch (error) {
      void client.invalidateQueries({ queryKey: loadQuery(load.id).queryKey });
      return refuse((error as Error).message);
    }
  };

  return {
    said,
    refuse,
    /** One of the load goes aboard; another is put on the load, as far as it may go. */
    take: async (number: string): Promise<boolean> => {
      const found = resolveIdentifier(identifiers ?? [], number);
      if (found.kind === 'none')
        return refuse(say('No animal is tagged “{number}”. Look at the tag again.', { number }));
      if (found.kind !== 'one')
        return refuse(say('Several animals are tagged “{number}”. Take the electronic number.', { number }));
      const { animalId } = found;
      const head = load.heads.find((h) => h.tag.animalId === animalId);
      const stop = head?.checks.find((c) => c.isStop);
      if (head && stop)
        return refuse(say('{text} stays here. {loadCheck}', { text: head.tag.text, loadCheck: loadCheckText(stop) }));
      return head
        ? save(
            (f) => ({ ...f, aboard: withId(f.aboard, animalId) }),
            say('{text} is aboard.', { text: head.tag.text }),
            animalId,
          )
        : save(
            (f) => ({ ...f, animalIds: withId(f.animalIds, animalId) }),
            say('{trim} is on the load.', { trim: number.trim() }),
            animalId,
          );
    },
    takeOff: (animalId: string, text: string): Promise<boolean> =>
      save(
        (f) => ({
          ...f,
          animalIds: f.animalIds.filter((id) => id !== animalId),
          aboard: (f.aboard ?? []).filter((id) => id !== animalId),
        }),
        say('{text} is off the load.', { text }),
      ),
    goOn: (on: string): Promise<boolean> =>
      save((f) => ({ ...f, on }), say('It goes on {date}.', { date: fullDate(on) })),
    giveUp: async (): Promise<boolean> => {
      try {
        await dropLoad(load);
        void client.invalidateQueries({ queryKey: loadsQuery.queryKey, exact: true });
        return true;
      } catch (error) {
        return refuse((error as Error).message);
      }
    },
  };
}
export type LoadAtHand = ReturnType<typeof useLoad>;

const withId = (ids: readonly string[] = [], id: string): string[] => [...ids.filter((one) => one !== id), id];

/** Two may stand at one ramp: what the other saved first is taken over, and the change made to that. */
async function onceMore(load: PlannedLoadView, change: LoadChange): Promise<PlannedLoadView> {
  try {
    return await changeLoad(load, change(load.facts));
  } catch (error) {
    if (!(error instanceof ProblemError) || error.problem.type !== '/problems/changed-meanwhile') throw error;
    const current = error.problem.current as PlannedLoadView;
    return changeLoad(current, change(current.facts));
  }
}
