import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { CopiesView, EntryAnswer, HoldingView, RosterView } from '@yaylak/contract';
import { expect, test, type APIRequestContext } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { aServer, type Server } from './server';

const ROOT = join(import.meta.dirname, '..');
/** It begins two seconds after the server, and follows once a second. */
const PROMISED_MS = 5_000;

let server: Server;
let place: string;
test.beforeEach(async () => {
  place = mkdtempSync(join(tmpdir(), 'yaylak-following-'));
  server = await aServer('demo', { FOLLOW_TO: join(place, 'book') });
});
test.afterEach(async () => {
  await server.remove();
  rmSync(place, { recursive: true, force: true });
});

const get = async <T>(request: APIRequestContext, path: string, url = server.url): Promise<T> =>
  (await (await request.get(`${url}/api/${path}`)).json()) as T;
const entriesIn = async (request: APIRequestContext, url = server.url): Promise<number> =>
  (await get<HoldingView>(request, 'holding', url)).about.entries;
/** @returns how many were acknowledged */
async function write(request: APIRequestContext, many: number): Promise<number> {
  const { animals, on } = await get<RosterView>(request, 'roster');
  let kept = 0;
  for (let i = 0; i < many; i++) {
    const shared = { on, writtenBy: 'Aylin', writtenAt: new Date().toISOString(), source: 'hand' };
    const note = { id: randomUUID(), type: 'note', animalId: animals[0]?.tag.animalId, text: `seen ${i}` };
    const answer = await request.post(`${server.url}/api/entries`, { data: { entries: [{ ...shared, ...note }] } });
    const { answers } = (await answer.json()) as { answers: EntryAnswer[] };
    kept += answers.filter((a) => a.status === 'kept').length;
  }
  return kept;
}
/** What the README says is done. @returns the folder the book is in */
function restored(): string {
  const folder = join(mkdtempSync(join(tmpdir(), 'yaylak-again-')), 'book');
  execFileSync(process.execPath, [join(ROOT, 'scripts/restore.mjs'), folder], {
    env: { ...process.env, FOLLOW_TO: join(place, 'book') },
    stdio: 'ignore',
  });
  return folder;
}
/** Entries of a book in a folder, read by a Yaylak of its own. */
async function entriesAgain(request: APIRequestContext, folder: string): Promise<number> {
  const other = await aServer('empty', { DATA_DIR: folder });
  const found = await entriesIn(request, other.url);
  await other.remove();
  rmSync(folder, { recursive: true, force: true });
  return found;
}

test('killed without a word, the book is got back from the copy that followed, with all that was acknowledged', async ({
  request,
}) => {
  const before = await entriesIn(request);
  expect(await write(request, 40)).toBe(40);
  await new Promise((done) => setTimeout(done, PROMISED_MS));
  await server.kill();
  expect(await entriesAgain(request, restored())).toBe(before + 40);
});

test('killed in the middle of writing, what is got back is whole, and short of the last moment at most', async ({
  request,
}) => {
  const before = await entriesIn(request);
  expect(await write(request, 20)).toBe(20);
  await new Promise((done) => setTimeout(done, PROMISED_MS));
  const kept = await write(request, 20);
  await server.kill();
  const found = await entriesAgain(request, restored());
  expect(found).toBeGreaterThanOrEqual(before + 20);
  expect(found).toBeLessThanOrEqual(before + 20 + kept);
  // Started again it goes on where it was.
  await server.start();
  expect(await write(request, 5)).toBe(5);
  await new Promise((done) => setTimeout(done, PROMISED_MS));
  const now = await entriesIn(request);
  expect(now).toBe(before + 20 + kept + 5);
  await server.kill();
  expect(await entriesAgain(request, restored())).toBe(now);
});

test('a copy that is put back is followed as the book it is then', async ({ request }) => {
  const { copies } = (await (
    await request.post(`${server.url}/api/copies`, { data: { id: randomUUID() } })
  ).json()) as CopiesView;
  const before = await entriesIn(request);
  await write(request, 3);
  const id = randomUUID();
  await request.post(`${server.url}/api/copies/${copies[0]?.name}/put-back`, { data: { id } });
  await expect
    .poll(() =>
      get<CopiesView>(request, 'copies').then(
        (v) => v.putBack?.id,
        () => undefined,
      ),
    )
    .toBe(id);
  expect(await entriesIn(request)).toBe(before);
  await write(request, 1);
  await new Promise((done) => setTimeout(done, PROMISED_MS));
  await server.kill();
  expect(await entriesAgain(request, restored())).toBe(before + 1);
});
