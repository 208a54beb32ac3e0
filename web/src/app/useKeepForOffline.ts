import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import {
  animalsQuery,
  birthsQuery,
  groupsQuery,
  holdingQuery,
  identifiersQuery,
  jobsQuery,
  rosterQuery,
  todayQuery,
} from '../api/queries';

/** The race, a birth and the first look must work where there is no server: what they need is read once at each start. */
export function useKeepForOffline(): void {
  const client = useQueryClient();
  // The network is outside React. After the page has drawn, so that nothing waits for it.
  useEffect(() => {
    const timer = setTimeout(() => {
      for (const query of [rosterQuery, identifiersQuery, groupsQuery, holdingQuery, todayQuery, jobsQuery])
        void client.prefetchQuery(query as typeof rosterQuery);
      void client.prefetchQuery(birthsQuery(''));
      void client.prefetchInfiniteQuery(animalsQuery({}));
    }, AFTER_MS);
    return () => clearTimeout(timer);
  }, [client]);
}

const AFTER_MS = 1_500;
