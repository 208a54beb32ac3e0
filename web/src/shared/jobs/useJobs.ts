import { useQuery } from '@tanstack/react-query';
import type { JobView } from '@yaylak/contract';
import { useMemo } from 'react';
import { jobsQuery, todayQuery } from '../../api/queries';
import { useOutboxState } from '../../outbox/useOutbox';
import { jobsHere } from './jobHere';

const NONE: readonly JobView[] = [];

/** The jobs as this device knows them, the newest first. */
export function useJobs(): readonly JobView[] {
  const { data = NONE, dataUpdatedAt } = useQuery(jobsQuery);
  const { items } = useOutboxState();
  return useMemo(() => jobsHere(data, dataUpdatedAt, items), [data, dataUpdatedAt, items]);
}

/** Jobs that are not finished, as Today's list and this device know them. */
export function useOpenJobs(): readonly JobView[] {
  const { data: today, dataUpdatedAt } = useQuery(todayQuery);
  const { items } = useOutboxState();
  return useMemo(
    () => jobsHere(today?.openJobs ?? NONE, dataUpdatedAt, items).filter((j) => j.finishedAt === null),
    [today, dataUpdatedAt, items],
  );
}
