import type { CopiesView, HoldingView } from '@yaylak/contract';
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
