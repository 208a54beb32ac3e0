import type { QueryClient, QueryFilters } from '@tanstack/react-query';

/**
 * Has everything read again that the book's change may have made old: at once what is on the screen, the rest when it
 * is next looked at. What was being read for the first time or beside the screen while the change was written may
 * hold the book of before it, and would count as fresh: it is read once more when it has come.
 */
export function readAgain(client: QueryClient, filters: QueryFilters = {}): Promise<void> {
  const underWay = client
    .getQueryCache()
    .findAll({ ...filters, fetchStatus: 'fetching' })
    .filter((q) => q.state.data === undefined || !q.isActive());
  const read = client.invalidateQueries(filters);
  for (const query of underWay) {
    const once = (): void =>
      void client.invalidateQueries({ predicate: (q) => q === query, refetchType: 'all' }, { cancelRefetch: false });
    query.promise?.then(once, once);
  }
  return read;
}
