import { useQuery } from '@tanstack/react-query';
import { todayQuery } from '../api/queries';
import { useOutboxState } from '../outbox/useOutbox';
import { useOpenJobs } from '../shared/jobs/useJobs';

/** How much waits on Today: open windows, heats, unfinished jobs, what is to be looked at, what the book did not take. */
export function useWaiting(): number {
  const { data: today } = useQuery(todayQuery);
  const { refused } = useOutboxState();
  const openJobs = useOpenJobs();
  if (!today) return 0;
  return (
    today.due.filter((d) => d.isOpen).length +
    today.heats.length +
    openJobs.length +
    today.lookAt.length +
    today.more.lookAt +
    refused.length
  );
}
