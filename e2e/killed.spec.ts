import { expect, test } from '@playwright/test';
import { aServer } from './server';
import type { BookFile, EntriesAnswered } from '@yaylak/contract';
import { v7 } from 'uuid';

/** `npm run fuzz` kills more often than the suite has time for. */
const { FUZZ_KILLS } = process.env;
/**
 * Two books at once, one for each core: most of the time goes into starting again. Where starting is timed there is one,
 * as on any holding.
 */
const BOOKS = FUZZ_KILLS === undefined ? 2 : 1;
const KILLS_EACH = Number(FUZZ_KILLS ?? 8) / BOOKS;
const START_MS = 3_000;

const STAMP = { writtenAt: '2026-01-02T08:00:00.000Z', writtenBy: 'Aylin', source: 'race' };

/** Small numbers that look random and are the same each time. */
const waitMs = (i: number): number => 5 + ((i * 7919) % 300);

const aWeight = (animalId: string) => ({
  id: v7(),
  type: 'weight',
  animalId,
  on: '2026-01-02',
  kg: 5,
  method: 'scale',
  ...STAMP,
});

const aBirth = (animalId: string) => ({
  id: v7(),
  type: 'arrival',
  animalId,
  on: '2026-01-01',
  how: 'born',
  species: 'sheep',
  sex: 'female',
  bornOn: '2026-01-01',
  ...STAMP,
});

/** Posts batches into a server of its own and kills it in the middle of them, again and again. */
async function streamUnderKills() {
  const server = await aServer('empty');
  const acknowledged = new Set<string>();
  const sent = new Set<string>();
  const post = async (entries: readonly { readonly id: string }[]): Promise<void> => {
    for (const e of entries) sent.add(e.id);
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
  const animalId = v7();
  const startsMs: number[] = [];
  await post([aBirth(animalId)]);
  for (let i = 0; i < KILLS_EACH; i++) {
    const kill = new Promise<void>((resolve) => setTimeout(() => void server.kill().then(resolve), waitMs(i)));
    let batch: { id: string }[] = [];
    try {
      for (;;) {
        batch = Array.from({ length: 20 }, () => aWeight(animalId));
        await post(batch);
      }
    } catch {
      // The plug is pulled in the middle of a batch.
    }
    await kill;
    const from = performance.now();
    await server.start();
    startsMs.push(performance.now() - from);
    // What was not acknowledged is sent again, as a device would.
    await post(batch);
  }
  const book = (await (await fetch(`${server.url}/api/book`)).json()) as BookFile;
  await server.remove();
  return { acknowledged, sent, startsMs: startsMs.sort((a, b) => b - a), ids: book.entries.map((e) => e.id) };
}

test(`${BOOKS * KILLS_EACH} kills in streams of batches lose no acknowledged entry and double none`, async () => {
  test.setTimeout(1_800_000);
  for (const { acknowledged, sent, startsMs, ids } of await Promise.all(
    Array.from({ length: BOOKS }, streamUnderKills),
  )) {
    expect(new Set(ids).size).toBe(ids.length);
    expect([...acknowledged].filter((id) => !ids.includes(id))).toEqual([]);
    expect(new Set(ids)).toEqual(sent);
    const [slowest = 0, ...others] = startsMs.map(Math.round);
    const middle = others[Math.floor(others.length / 2)];
    console.log(
      `${acknowledged.size} acknowledged, slowest starts ${slowest}, ${others[0]} ms, the middle ${middle} ms`,
    );
    if (FUZZ_KILLS !== undefined) expect(slowest).toBeLessThan(START_MS);
    expect(acknowledged.size).toBeGreaterThan(KILLS_EACH * 20);
  }
});
