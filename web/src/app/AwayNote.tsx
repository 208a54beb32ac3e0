import { notifyManager, useQueryClient, type Query, type QueryClient } from '@tanstack/react-query';
import { useEffect, useSyncExternalStore } from 'react';
import { AwayError } from '../api/client';
import { deviceMoment } from '../api/deviceClock';
import { NotePanel } from '../parts/Panel';
import { fullDate } from '../words/dates';
import { say } from '@yaylak/contract';

const AGAIN_MS = 10_000;

/** A query on the screen whose last try found no server, and which shows what was read before. */
const isKept = (query: Query): boolean =>
  query.isActive() && query.state.data !== undefined && query.state.error instanceof AwayError;

/** When the oldest figure on the screen was read that could not be read anew, in ms; none where all is fresh. */
function oldestKept(client: QueryClient): number | undefined {
  const read = client
    .getQueryCache()
    .getAll()
    .filter(isKept)
    .map((query) => query.state.dataUpdatedAt);
  return read.length > 0 ? Math.min(...read) : undefined;
}

/** Says that the server is away and from when the figures are that are shown meanwhile. */
export function AwayNote() {
  const client = useQueryClient();
  // The cache of what was read is outside React.
  const readAt = useSyncExternalStore(
    (listener) => client.getQueryCache().subscribe(notifyManager.batchCalls(listener)),
    () => oldestKept(client),
  );
  const isAway = readAt !== undefined;
  // The server is outside React: it is asked again by itself, so that nobody works on with old figures.
  useEffect(() => {
    if (!isAway) return undefined;
    const timer = setInterval(() => void client.refetchQueries({ predicate: isKept }), AGAIN_MS);
    return () => clearInterval(timer);
  }, [client, isAway]);
  if (readAt === undefined) return null;
  return (
    <NotePanel $tone="weld" role="status" style={{ margin: '16px 16px 0' }}>
      <p>
        {say('The server is away. What you see is what this device keeps, read {when}.', { when: whenText(readAt) })}
      </p>
    </NotePanel>
  );
}

/** `today at 14:05`, `on 22 Nov 2026 at 14:05`, by the device's own clock. */
function whenText(ms: number): string {
  const [day = '', hour = ''] = deviceMoment(new Date(ms)).split('T');
  return say('{value} at {part}', {
    value: day === deviceMoment().slice(0, 10) ? say('today') : say('on {date}', { date: fullDate(day) }),
    part: hour.slice(0, 5),
  });
}
