import { notifyManager, useQueryClient, type Query, type QueryClient } from '@tanstack/react-query';
import { useEffect, useSyncExternalStore } from 'react';
import { AwayError, OutsideError } from '../api/client';
import { deviceMoment } from '../api/deviceClock';
import { OutsideLink } from '../parts/OutsideLink';
import { NotePanel, Row, Stack } from '../parts/Panel';
import { fullDate } from '../words/dates';
import { say } from '@yaylak/contract';

const AGAIN_MS = 10_000;

/** A query on the screen that could not be read anew, and which shows what was read before. */
function isKept(query: Query): boolean {
  const { data, error } = query.state;
  return query.isActive() && data !== undefined && error instanceof AwayError;
}

/** What stands on the screen from before, and why it is not read anew. */
interface Kept {
  /** When the oldest figure of it was read, in ms. */
  readonly readAt: number;
  /** The server is there, and lets nobody in from here: for want of a log-in, or of being let in at all. */
  readonly outside: 'log-in' | 'join' | null;
}

const outsideOf = (error: Error | null): Kept['outside'] =>
  error instanceof OutsideError ? (error.isLogIn ? 'log-in' : 'join') : null;

/** Nothing where all is fresh; as text, since the same is the same. */
function keptOnScreen(client: QueryClient): string | undefined {
  const kept = client.getQueryCache().getAll().filter(isKept);
  if (kept.length === 0) return undefined;
  const found: Kept = {
    readAt: Math.min(...kept.map((query) => query.state.dataUpdatedAt)),
    outside: kept.map(({ state: { error } }) => outsideOf(error)).find((one) => one !== null) ?? null,
  };
  return JSON.stringify(found);
}

/** Says that the server is away, or keeps this device out, and from when the figures are that are shown meanwhile. */
export function AwayNote() {
  const client = useQueryClient();
  // The cache of what was read is outside React.
  const kept = useSyncExternalStore(
    (listener) => client.getQueryCache().subscribe(notifyManager.batchCalls(listener)),
    () => keptOnScreen(client),
  );
  const isAway = kept !== undefined;
  // The server is outside React: it is asked again by itself, so that nobody works on with old figures.
  useEffect(() => {
    if (!isAway) return undefined;
    const timer = setInterval(() => void client.refetchQueries({ predicate: isKept }), AGAIN_MS);
    return () => clearInterval(timer);
  }, [client, isAway]);
  if (kept === undefined) return null;
  const { readAt, outside } = JSON.parse(kept) as Kept;
  const when = whenText(readAt);
  return (
    <NotePanel $tone="weld" role="status" style={{ margin: '16px 16px 0' }}>
      {outside ? (
        <Stack>
          <p>
            {outside === 'log-in'
              ? say(
                  'Nobody is logged in here. What you see is what this device keeps, read {when}; what is written waits here until somebody logs in.',
                  { when },
                )
              : say(
                  'This device is not let in to the book. What you see is what it keeps, read {when}; what is written waits here until it is let in.',
                  { when },
                )}
          </p>
          <Row>
            <OutsideLink isLogIn={outside === 'log-in'} />
          </Row>
        </Stack>
      ) : (
        <p>{say('The server is away. What you see is what this device keeps, read {when}.', { when })}</p>
      )}
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
