import type { QueryClient } from '@tanstack/react-query';
import {
  animalsQuery,
  birthListQuery,
  birthsQuery,
  carryingQuery,
  conditionQuery,
  groupsQuery,
  holdingQuery,
  identifiersQuery,
  jobsQuery,
  matingQuery,
  rearingQuery,
  remediesQuery,
  rosterQuery,
  seasonQuery,
  tagsQuery,
  todayQuery,
  tubesOutQuery,
  yearBandQuery,
} from '../api/queries';
import { choosingQuery, choosingSetsQuery, queryOf } from '../api/choosing';
import { outletsQuery, sellingQuery } from '../api/selling';

/** What was read of these is kept on the device, over a reload, for when there is no server. */
export const KEPT_OFFLINE: ReadonlySet<string> = new Set([
  'holding',
  'today',
  'year-band',
  'groups',
  'identifiers',
  'roster',
  'jobs',
  'job',
  'animals',
  'animal',
  'remedies',
  'tags',
  'season',
  'births',
  'birth-list',
  'dam',
  'carrying',
  'carrying-female',
  'tubes-out',
  'rearing',
  'litters',
  'life',
  'mating',
  'condition',
  'choosing-sets',
  'choosing',
  'selling',
  'outlets',
  'sale-results',
  'sale-ahead',
]);

/**
 * Reads what each place shows first, one after the other so that the server has a breath between: what the race, births
 * and Today need comes first. What cannot be read now is read at the next start.
 */
export async function readForOffline(client: QueryClient): Promise<void> {
  const first = [rosterQuery, identifiersQuery, groupsQuery, holdingQuery, todayQuery, jobsQuery, yearBandQuery];
  await Promise.all(first.map((query) => client.prefetchQuery(query as typeof rosterQuery)));
  await client.prefetchQuery(birthsQuery(''));
  await client.prefetchInfiniteQuery(animalsQuery({}));
  const later = [
    remediesQuery,
    tagsQuery,
    seasonQuery,
    tubesOutQuery,
    choosingSetsQuery,
    birthListQuery(''),
    outletsQuery,
  ];
  for (const query of later) await client.prefetchQuery(query as typeof remediesQuery);
  const crops = client.getQueryData(choosingSetsQuery.queryKey)?.filter((set) => set.from !== null);
  for (const set of crops ?? []) await client.prefetchQuery(choosingQuery(queryOf(set)));
  for (const { species } of client.getQueryData(todayQuery.queryKey)?.head ?? []) {
    await client.prefetchQuery(carryingQuery({ species }));
    await client.prefetchQuery(rearingQuery(species));
    await client.prefetchQuery(matingQuery({ species }));
    await client.prefetchQuery(sellingQuery({ species }));
    await client.prefetchQuery(conditionQuery({ species }));
  }
}
