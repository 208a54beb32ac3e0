import type { EntriesAnswered, Entry, EntryAnswer } from '@yaylak/contract';
import { v7 } from 'uuid';
import { ask, AwayError, isForLater, OutsideError, ProblemError } from '../api/client';
import type { OfJob, Outgoing, OutboxItem, OutboxStore } from './store';

/** How the last try found the server: it may be there and not let this device in, or want somebody to log in. */
export type ServerSeen = 'there' | 'away' | 'outside' | 'logged-out';

export interface OutboxState {
  readonly items: readonly OutboxItem[];
  readonly waiting: number;
  readonly refused: readonly OutboxItem[];
  readonly server: ServerSeen;
}

/** How items are sent; a test puts its own here. */
export interface Courier {
  postEntries(entries: readonly Entry[]): Promise<readonly EntryAnswer[]>;
  send(method: 'POST' | 'PUT' | 'DELETE', path: string, body?: unknown): Promise<unknown>;
}

export const serverCourier: Courier = {
  postEntries: async (entries) =>
    (await ask<EntriesAnswered>('/api/entries', { method: 'POST', body: { entries } })).answers,
  send: (method, path, body) => ask(path, { method, body }),
};

const BATCH = 200;
const FIRST_WAIT_MS = 500;
const LONGEST_WAIT_MS = 8_000;

export interface Outbox {
  /** Writes down first, sends then. Resolves when this device has it, whether or not the server is there. */
  put(outgoing: readonly Outgoing[]): Promise<void>;
  /** Tries to send at once. */
  flush(): Promise<void>;
  /** Sends a refused item once more: what stood against it may be mended. */
  retry(key: string): Promise<void>;
  /** Drops a refused item after somebody looked at it. */
  dismiss(key: string): Promise<void>;
  /** Forgets the kept log of a job that is over. */
  forgetJob(jobId: string): Promise<void>;
  subscribe(listener: () => void): () => void;
  state(): OutboxState;
  /** Called after the server kept something. */
  onKept(listener: () => void): () => void;
  stop(): void;
}

/** Sends what was written down, in order, with back-off; drops nothing. */
export function createOutbox(store: OutboxStore, courier: Courier = serverCourier): Outbox {
  let items: OutboxItem[] = [];
  let snapshot: OutboxState = { items, waiting: 0, refused: [], server: 'there' };
  let server: ServerSeen = 'there';
  let waitMs = FIRST_WAIT_MS;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let sending: Promise<void> | undefined;
  let isStopped = false;
  const listeners = new Set<() => void>();
  const keptListeners = new Set<() => void>();

  const changed = (): void => {
    snapshot = {
      items,
      waiting: items.filter((i) => i.state === 'waiting').length,
      refused: items.filter((i) => i.state === 'refused'),
      server,
    };
    listeners.forEach((l) => l());
  };

  const ready = store.load().then((loaded) => {
    // What was put while loading stands behind what lay here before.
    items = [...loaded, ...items.filter((i) => !loaded.some((l) => l.key === i.key))];
    changed();
    if (items.some((i) => i.state === 'waiting')) void flush();
  });

  /** Waiting items that can go in one request: a run of entries, or one other thing. */
  const nextBatch = (): OutboxItem[] => {
    const waiting = items.filter((i) => i.state === 'waiting');
    const end = waiting.findIndex((i) => i.out.kind !== 'entry');
    if (end === 0) return waiting.slice(0, 1);
    return waiting.slice(0, Math.min(BATCH, end < 0 ? waiting.length : end));
  };

  const settle = async (settled: readonly OutboxItem[]): Promise<void> => {
    const gone = settled.filter((i) => i.state === 'kept' && !jobOf(i.out));
    const stay = settled.filter((i) => !gone.includes(i));
    if (stay.length > 0) await store.save(stay);
    if (gone.length > 0) await store.remove(gone.map((i) => i.key));
    const byKey = new Map(settled.map((i) => [i.key, i]));
    const goneKeys = new Set(gone.map((i) => i.key));
    items = items.filter((i) => !goneKeys.has(i.key)).map((i) => byKey.get(i.key) ?? i);
    changed();
  };

  const sendBatch = async (batch: readonly OutboxItem[]): Promise<void> => {
    try {
      const answers = await deliver(courier, batch);
      await settle(
        batch.flatMap((item, i): OutboxItem[] => {
          const answer = answers[i];
          // What was not answered is not known to be kept: it waits and is asked again.
          if (!answer) return [];
          return [
            answer.status === 'refused'
              ? { ...item, state: 'refused', message: answer.message }
              : { ...item, state: 'kept', keptAt: Date.now() },
          ];
        }),
      );
      if (answers.length < batch.length) throw new AwayError();
    } catch (error) {
      // A no to the whole request is an answer; trying again would bring the same one. A server in trouble is not.
      if (!(error instanceof ProblemError) || isForLater(error)) throw error;
      if (batch.length === 1)
        return settle(batch.map((item) => ({ ...item, state: 'refused', message: error.message })));
      // One of them stands in the way of all: found by halves, and only that one is put aside.
      const half = Math.ceil(batch.length / 2);
      await sendBatch(batch.slice(0, half));
      await sendBatch(batch.slice(half));
    }
  };

  const run = async (): Promise<void> => {
    await ready;
    const before = server;
    let hasKept = false;
    try {
      for (let batch = nextBatch(); batch.length > 0 && !isStopped; batch = nextBatch()) {
        await sendBatch(batch);
        hasKept = true;
      }
      waitMs = FIRST_WAIT_MS;
      server = 'there';
    } catch (error) {
      server = !(error instanceof OutsideError) ? 'away' : error.isLogIn ? 'logged-out' : 'outside';
      if (!isStopped) timer = setTimeout(() => void flush(), waitMs);
      waitMs = Math.min(LONGEST_WAIT_MS, waitMs * 2);
    }
    if (server !== before) changed();
    if (hasKept) keptListeners.forEach((l) => l());
  };

  const flush = (): Promise<void> => {
    clearTimeout(timer);
    sending ??= exclusively(run).finally(() => {
      sending = undefined;
      // Something may have been put while the last batch was on its way.
      if (server === 'there' && !isStopped && items.some((i) => i.state === 'waiting')) void flush();
    });
    return sending;
  };

  return {
    async put(outgoing) {
      const added = outgoing.map((out): OutboxItem => ({ key: v7(), out, state: 'waiting' }));
      await store.save(added);
      items = [...items, ...added];
      changed();
      void flush();
    },
    flush,
    async retry(key) {
      const refused = items.find((i) => i.key === key && i.state === 'refused');
      if (!refused) return;
      const again: OutboxItem = { key, out: refused.out, state: 'waiting' };
      await store.save([again]);
      items = items.map((i) => (i.key === key ? again : i));
      changed();
      await flush();
    },
    async dismiss(key) {
      await store.remove([key]);
      items = items.filter((i) => i.key !== key);
      changed();
    },
    async forgetJob(jobId) {
      const over = items.filter((i) => i.state === 'kept' && jobOf(i.out) === jobId).map((i) => i.key);
      if (over.length === 0) return;
      await store.remove(over);
      items = items.filter((i) => !over.includes(i.key));
      changed();
    },
    subscribe(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    state: () => snapshot,
    onKept(listener) {
      keptListeners.add(listener);
      return () => keptListeners.delete(listener);
    },
    stop() {
      isStopped = true;
      clearTimeout(timer);
    },
  };
}

/** The job an item belongs to. */
export function jobOf(out: Outgoing): string | undefined {
  if (out.kind === 'entry') return out.entry.jobId;
  if (out.kind === 'picture') return undefined;
  return out.kind === 'job' ? out.job.id : out.jobId;
}

async function deliver(courier: Courier, batch: readonly OutboxItem[]): Promise<readonly EntryAnswer[]> {
  const out = batch[0]?.out;
  if (!out) return [];
  if (out.kind === 'entry')
    return courier.postEntries(batch.flatMap((i) => (i.out.kind === 'entry' ? [i.out.entry] : [])));
  if (out.kind === 'picture') await courier.send('PUT', pictureAddress(out.id), { picture: out.picture });
  else await sendOfJob(courier, out);
  return [{ id: jobOf(out) ?? '', status: 'kept' }];
}

/** Where a picture lies on the server. */
export const pictureAddress = (id: string): string => `/api/photos/${id}`;

function sendOfJob(courier: Courier, out: OfJob): Promise<unknown> {
  switch (out.kind) {
    case 'job':
      return courier.send('POST', '/api/jobs', out.job);
    case 'change':
      return courier.send('PUT', `/api/jobs/${out.jobId}`, out.facts);
    case 'finish':
      return courier.send('POST', `/api/jobs/${out.jobId}/finish`, { finishedAt: out.finishedAt });
    case 'resume':
      return courier.send('DELETE', `/api/jobs/${out.jobId}/end`);
    case 'discard':
      return courier.send('POST', `/api/jobs/${out.jobId}/discard`, out.discard);
  }
}

/** One window of this browser sends at a time; where locks are missing, ids make a double send harmless. */
async function exclusively(work: () => Promise<void>): Promise<void> {
  if (!('locks' in navigator)) return work();
  await navigator.locks.request('yaylak-outbox', work);
}
