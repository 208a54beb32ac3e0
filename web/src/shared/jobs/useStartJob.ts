import { useQuery } from '@tanstack/react-query';
import type { StartJob } from '@yaylak/contract';
import { useCallback, useRef } from 'react';
import { useNavigate } from 'react-router';
import { holdingQuery } from '../../api/queries';
import { useOutbox } from '../../outbox/useOutbox';
import { useUndo } from '../../parts/Undo';
import { keepHand } from './hand';
import { newId } from '../../words/ids';
import { say } from '@yaylak/contract';

export type JobToStart = Pick<StartJob, 'name' | 'stations' | 'gates' | 'animalIds'> & {
  readonly settings?: StartJob['settings'];
  /** Whoever keeps the book where nobody is named. */
  readonly startedBy?: string;
  /** Another day than today, on purpose. */
  readonly forDay?: string | undefined;
};

/** Writes a job down on this device and opens it at the race. @returns what went wrong, in words */
export function useStartJob(): (job: JobToStart) => Promise<string | undefined> {
  const { data: holding } = useQuery(holdingQuery);
  const outbox = useOutbox();
  const navigate = useNavigate();
  const undo = useUndo();
  /** Pressed twice, it is one job: the place stands there until the race is fetched. */
  const isBegun = useRef(false);
  return useCallback(
    async ({ startedBy, settings, animalIds, forDay, ...rest }) => {
      if (!holding) return say('The settings are not here yet. Wait a moment and start again.');
      if (isBegun.current) return undefined;
      const job: StartJob = {
        id: newId(),
        ...rest,
        on: forDay ?? holding.today,
        ...(forDay !== undefined && forDay !== holding.today ? { isForItsDay: true } : {}),
        startedAt: new Date().toISOString(),
        startedBy: holding.writer?.name ?? (startedBy?.trim() || holding.keeper),
        ...(settings ? { settings } : {}),
        animalIds: [...animalIds],
      };
      isBegun.current = true;
      try {
        await outbox.put([{ kind: 'job', job }]);
      } catch {
        isBegun.current = false;
        return say(
          'This device could not save the job: its storage is full or shut. Make room in the browser and try again.',
        );
      }
      const discard = { discardedAt: job.startedAt, discardedBy: job.startedBy, isIfEmpty: true };
      undo.keep({
        done: say('Started the job “{name}”', { name: job.name }),
        undo: { kind: 'job', out: { kind: 'discard', jobId: job.id, discard } },
      });
      keepHand(job.id, { by: job.startedBy, saidOn: holding.today });
      void navigate(`/race/${job.id}`);
      return undefined;
    },
    [holding, outbox, navigate, undo],
  );
}
