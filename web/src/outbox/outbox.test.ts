import type { Entry, EntryAnswer } from '@yaylak/contract';
import { ProblemError } from '../api/client';
import { createOutbox, type Courier } from './outbox';
import { indexedDbStore, type Outgoing } from './store';

const entry = (id: string, jobId?: string): Outgoing => ({
  kind: 'entry',
  entry: {
    id,
    type: 'note',
    animalId: 'a',
    on: '2026-11-23',
    text: id,
    writtenAt: '',
    writtenBy: '',
    source: 'race',
    ...(jobId ? { jobId } : {}),
  } as Entry,
});

/** A server that can be away, refuse and remember. */
function aServer() {
  const kept: string[] = [];
  let isAway = false;
  let refuses: string | undefined;
  const courier: Courier = {
    postEntries: (entries) => {
      if (isAway) return Promise.reject(new TypeError('away'));
      return Promise.resolve(
        entries.map((e): EntryAnswer => {
          if (e.id === refuses) return { id: e.id, status: 'refused', message: 'no such animal' };
          const status = kept.includes(e.id) ? 'already-kept' : 'kept';
          if (status === 'kept') kept.push(e.id);
          return { id: e.id, status };
        }),
      );
    },
    send: (method, path) =>
      isAway ? Promise.reject(new TypeError('away')) : Promise.resolve(kept.push(`${method} ${path}`)),
  };
  return { kept, courier, goAway: (away: boolean) => (isAway = away), refuse: (id: string) => (refuses = id) };
}

let n = 0;
const freshName = (): string => `outbox-test-${n++}`;
const until = async (isTrue: () => boolean): Promise<void> => {
  for (let i = 0; i < 200 && !isTrue(); i++) await new Promise((r) => setTimeout(r, 10));
  expect(isTrue()).toBe(true);
};

it('sends in the order of writing, a job before what belongs to it', async () => {
  const server = aServer();
  const outbox = createOutbox(indexedDbStore(freshName()), server.courier);
  await outbox.put([
    entry('1'),
    { kind: 'job', job: { id: 'j' } as never },
    entry('2', 'j'),
    { kind: 'change', jobId: 'j', facts: {} as never },
    { kind: 'finish', jobId: 'j', finishedAt: '' },
    { kind: 'resume', jobId: 'j' },
    { kind: 'discard', jobId: 'j', discard: { discardedAt: '', discardedBy: '' } },
    { kind: 'picture', id: 'p', picture: '/9j/' },
    entry('3'),
  ]);
  await until(() => outbox.state().waiting === 0);
  expect(server.kept).toEqual([
    '1',
    'POST /api/jobs',
    '2',
    'PUT /api/jobs/j',
    'POST /api/jobs/j/finish',
    'DELETE /api/jobs/j/end',
    'POST /api/jobs/j/discard',
    'PUT /api/photos/p',
    '3',
  ]);
});

it('keeps everything while the server is away, over a reload too, and sends it once it is back', async () => {
  const server = aServer();
  server.goAway(true);
  const name = freshName();
  const first = createOutbox(indexedDbStore(name), server.courier);
  await first.put([entry('1'), entry('2')]);
  await first.flush();
  expect(first.state()).toMatchObject({ waiting: 2, server: 'away' });
  first.stop();
  const second = createOutbox(indexedDbStore(name), server.courier);
  await second.put([entry('3')]);
  server.goAway(false);
  await until(() => second.state().waiting === 0);
  expect(server.kept).toEqual(['1', '2', '3']);
});

it('puts what the server refuses aside to be looked at, and goes on with the rest', async () => {
  const server = aServer();
  server.refuse('2');
  const outbox = createOutbox(indexedDbStore(freshName()), server.courier);
  await outbox.put([entry('1'), entry('2'), entry('3')]);
  await until(() => outbox.state().waiting === 0);
  expect(server.kept).toEqual(['1', '3']);
  expect(outbox.state().refused).toMatchObject([{ message: 'no such animal' }]);
  await outbox.dismiss(outbox.state().refused[0]?.key ?? '');
  expect(outbox.state().items).toEqual([]);
});

it('does not try a refused request for ever', async () => {
  const no = new ProblemError({ type: '', title: 'That is too much in one piece.', status: 413 });
  const outbox = createOutbox(indexedDbStore(freshName()), {
    postEntries: () => Promise.reject(no),
    send: () => Promise.reject(no),
  });
  await outbox.put([entry('1')]);
  await until(() => outbox.state().refused.length === 1);
  expect(outbox.state().waiting).toBe(0);
});

it('keeps the log of a job until the job is forgotten', async () => {
  const server = aServer();
  const name = freshName();
  const outbox = createOutbox(indexedDbStore(name), server.courier);
  await outbox.put([entry('1', 'j'), entry('2')]);
  await until(() => outbox.state().waiting === 0);
  expect(outbox.state().items.map((i) => i.state)).toEqual(['kept']);
  await outbox.forgetJob('j');
  expect(await indexedDbStore(name).load()).toEqual([]);
});

it('keeps waiting what the server did not answer', async () => {
  const asked: string[][] = [];
  const outbox = createOutbox(indexedDbStore(freshName()), {
    postEntries: (entries) => {
      asked.push(entries.map((e) => e.id));
      const known = asked.length === 1 ? entries.slice(0, 1) : entries;
      return Promise.resolve(known.map(({ id }) => ({ id, status: 'kept' as const })));
    },
    send: () => Promise.resolve(),
  });
  await outbox.put([entry('1'), entry('2'), entry('3')]);
  await until(() => outbox.state().waiting === 0);
  expect(asked.slice(0, 2)).toEqual([
    ['1', '2', '3'],
    ['2', '3'],
  ]);
});

it('puts aside the one entry that spoils a whole request, and sends the others', async () => {
  const kept: string[] = [];
  const outbox = createOutbox(indexedDbStore(freshName()), {
    postEntries: (entries) => {
      if (entries.some((e) => e.id === '3'))
        return Promise.reject(new ProblemError({ type: '', title: 'Not that one.', status: 400 }));
      kept.push(...entries.map((e) => e.id));
      return Promise.resolve(entries.map(({ id }) => ({ id, status: 'kept' as const })));
    },
    send: () => Promise.resolve(),
  });
  await outbox.put(['1', '2', '3', '4', '5'].map((id) => entry(id)));
  await until(() => outbox.state().waiting === 0);
  expect(kept).toEqual(['1', '2', '4', '5']);
  expect(outbox.state().refused.map((i) => i.message)).toEqual(['Not that one.']);
});

it.each([401, 403, 408, 421, 429, 503])(
  'waits after an answer of %s, which says nothing of what was sent',
  async (status) => {
    const outbox = createOutbox(indexedDbStore(freshName()), {
      postEntries: () => Promise.reject(new ProblemError({ type: '', title: '', status })),
      send: () => Promise.resolve(),
    });
    await outbox.put([entry('1'), entry('2')]);
    await outbox.flush();
    expect(outbox.state()).toMatchObject({ waiting: 2, refused: [] });
    outbox.stop();
  },
);
