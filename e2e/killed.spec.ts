import { expect, test } from '@playwright/test';
import { aServer } from './server';
import type { BookFile, EntriesAnswered } from '@yaylak/contract';
import { v7 } from 'uuid';

const KILLS = 50;

/** Small numbers that look random and are the same each time. */
const wait = (i: number): number => 5 + ((i * 7919) % 60);

test(`${KILLS} kills in a stream of batches lose no acknowledged entry and double none`, async () => {
  test.setTimeout(400_000);
  const server = await aServer(4933, 'empty');
  const stamp = { writtenAt: '2026-01-02T08:00:00.000Z', writtenBy: 'Aylin', source: 'race' };
  const acknowledged = new Set<string>();
  const animalId = v7();
  const post = async (entries: readonly { readonly id: string }[]): Promise<void> => {
    const response = await fetch(`${server.url}/api/entries`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ entries }),
    });
    if (!response.ok) throw new Error(String(response.status));
    const { answers } = (await response.json()) as EntriesAnswered;
    for (const a of answers) {
      if (a.status === 'refused') throw new Error(a.message);
      acknowledged.add(a.id);
    }
  };
  await post([
    {
      id: v7(),
      type: 'arrival',
      animalId,
      on: '2026-01-01',
      how: 'born',
      species: 'sheep',
      sex: 'female',
      bornOn: '2026-01-01',
      ...stamp,
    },
  ] as never);
  let sent = 1;
  for (let i = 0; i < KILLS; i++) {
    const kill = new Promise<void>((resolve) => setTimeout(() => void server.kill().then(resolve), wait(i)));
    let batch: { id: string }[] = [];
    try {
      for (;;) {
        batch = Array.from({ length: 20 }, () => ({
          id: v7(),
          type: 'weight',
          animalId,
          on: '2026-01-02',
          kg: 5,
          method: 'scale',
          ...stamp,
        }));
        sent += batch.length;
        await post(batch);
      }
    } catch {
      // The plug is pulled in the middle of a batch.
    }
    await kill;
    await server.start();
    // What was not acknowledged is sent again, as a device would.
    await post(batch);
  }
  const book = (await (await fetch(`${server.url}/api/book`)).json()) as BookFile;
  const ids = book.entries.map((e) => e.id);
  expect(new Set(ids).size).toBe(ids.length);
  expect([...acknowledged].filter((id) => !ids.includes(id))).toEqual([]);
  expect(ids).toHaveLength(sent);
  await server.remove();
});
