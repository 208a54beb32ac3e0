import type { AnimalPage, CopiesView, HoldingView } from '@yaylak/contract';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expectAccessible } from './axe';
import { expect, test } from './journey';
import { aServer, type Server } from './server';

let server: Server;
let stick: string;
test.beforeAll(async () => {
  server = await aServer();
  stick = mkdtempSync(join(tmpdir(), 'yaylak-stick-'));
});
test.afterAll(async () => {
  await server.remove();
  rmSync(stick, { recursive: true, force: true });
});

test('the book is copied by a press while others write, to the stick that was named; pulled out, Today says so', async ({
  page,
}) => {
  await page.goto(`${server.url}/holding/copies`);
  await page.getByLabel('Folder').fill(stick);
  await page.getByRole('button', { name: 'Save' }).click();
  const isThere = page.getByText(/^There, with the copy of /);
  await expect(isThere).toBeVisible();
  await page.getByRole('button', { name: 'Copy the book now' }).click();
  await expect(page.getByText('The book is copied.')).toBeVisible();
  const view = (await (await page.request.get(`${server.url}/api/copies`)).json()) as CopiesView;
  expect(view.copies).toHaveLength(2);
  const { about } = (await (await page.request.get(`${server.url}/api/holding`)).json()) as HoldingView;
  expect(view.copies.map((c) => [c.isInSecond, c.reason])).toEqual([
    [true, 'asked'],
    [true, 'asked'],
  ]);
  expect(view.copies[0]?.animals).toBe(about.animals);
  // In the stick a folder of this book alone.
  const [own = ''] = readdirSync(stick);
  const there = readdirSync(join(stick, own));
  expect(there.filter((f) => f.endsWith('.sqlite'))).toEqual(view.copies.map((c) => c.name).reverse());
  expect(readdirSync(join(stick, own, 'photos')).length).toBeGreaterThan(0);
  await expectAccessible(page);

  renameSync(stick, `${stick}-away`);
  await page.goto(server.url);
  await expect(page.getByText(new RegExp(`${stick} is not there\\. Plug it in`))).toBeVisible();
  await page.getByRole('link', { name: 'Look at the copies' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'is not there' })).toBeVisible();
  renameSync(`${stick}-away`, stick);
  await page.reload();
  await expect(isThere).toBeVisible();
});

test('a copy is put back by a press, told first what would be lost; put back in its turn, everything is there again', async ({
  page,
  request,
}) => {
  const entriesNow = async (): Promise<number> =>
    ((await (await request.get(`${server.url}/api/holding`)).json()) as HoldingView).about.entries;
  const copies = async (): Promise<CopiesView> =>
    (await (await request.get(`${server.url}/api/copies`)).json()) as CopiesView;
  await page.goto(`${server.url}/holding/copies`);
  await page.getByRole('button', { name: 'Copy the book now' }).click();
  await expect(page.getByText('The book is copied.')).toBeVisible();
  const before = await entriesNow();
  const { rows } = (await (await request.get(`${server.url}/api/animals?species=sheep`)).json()) as AnimalPage;
  await page.goto(`${server.url}/animals/${rows[0]?.tag.animalId}`);
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await page.getByRole('textbox', { name: 'Note' }).fill('written since the copy');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect.poll(entriesNow).toBe(before + 1);

  await page.goto(`${server.url}/holding/copies`);
  await page
    .getByRole('button', { name: /^Put back the copy of/ })
    .first()
    .click();
  const sheet = page.getByRole('dialog');
  await expect(sheet).toContainText('One entry was written since and would be lost.');
  await expect(sheet).toContainText('written since the copy');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Put it back', exact: true }).click();
  await expect(page.getByText(/^The book is as it was at /)).toBeVisible();
  await expect(page.getByRole('row', { name: /before one was put back/ })).toBeVisible();
  expect(await entriesNow()).toBe(before);
  expect((await copies()).copies[0]).toMatchObject({ reason: 'put-back', entries: before + 1 });

  await page
    .getByRole('button', { name: /^Put back the copy of/ })
    .first()
    .click();
  await expect(sheet).toContainText('One entry that the book no longer has would come back.');
  await page.getByRole('button', { name: 'Put it back', exact: true }).click();
  await expect(sheet).toBeHidden();
  expect(await entriesNow()).toBe(before + 1);
});

test('the stick is encrypted by a passphrase, and the book comes out of it by the words alone', async ({ page }) => {
  await page.goto(`${server.url}/holding/copies`);
  await page.getByLabel('Folder').fill(stick);
  await page.getByRole('button', { name: 'Save' }).click();
  await page.getByRole('button', { name: 'Encrypt what goes there' }).click();
  await page.getByLabel('Passphrase').fill('three brown ewes');
  await page.getByLabel('The same once more').fill('three brown ewes');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Encrypt', exact: true }).click();
  const words = page.getByRole('dialog').getByRole('listitem');
  // Slow on purpose: seconds here, and many of them where others are at work.
  await expect(words).toHaveCount(24, { timeout: 180_000 });
  await expectAccessible(page);
  const said = (await words.allInnerTexts()).join(' ');
  await page.getByText('The words are on paper').click();
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByText(/^What goes there is encrypted/)).toBeVisible();
  await expect(page.getByText(/Leave the stick in until this line is gone/)).toBeHidden();
  const there = readdirSync(stick, { recursive: true, encoding: 'utf8' });
  expect(there.filter((f) => /\.(sqlite|jpg)$/.test(f))).toEqual([]);

  // What the page says is done, on whatever computer.
  const again = join(mkdtempSync(join(tmpdir(), 'yaylak-again-')), 'book');
  const unlock = (secret: string) =>
    spawnSync(process.execPath, [join(import.meta.dirname, '../scripts/unlock.mjs'), stick, again], {
      input: `${secret}\n`,
      encoding: 'utf8',
    });
  expect(unlock('three brown ewer').stderr).toContain('neither the passphrase nor the 24 words');
  expect(unlock(said).stdout).toContain(`is the book in ${again}`);
  const [newest] = ((await (await page.request.get(`${server.url}/api/copies`)).json()) as CopiesView).copies;
  const other = await aServer('empty', { DATA_DIR: again });
  const got = (await (await page.request.get(`${other.url}/api/holding`)).json()) as HoldingView;
  expect(got.about).toMatchObject({ animals: newest?.animals, entries: newest?.entries });
  expect(readdirSync(join(again, 'photos')).length).toBeGreaterThan(0);
  await other.remove();
  rmSync(again, { recursive: true, force: true });
});
