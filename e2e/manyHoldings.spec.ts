import { spawn, type ChildProcess } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { HoldingView, RosterView } from '@yaylak/contract';
import { expectAccessible } from './axe';
import { freePort, giveBack } from './freePort';
import { expect, test } from './journey';
import { aServer, type Server } from './server';

const SAMPLE = join(import.meta.dirname, '../docs/many-holdings');
/** Debian has it where only an administrator looks. */
const NGINX = ['/usr/sbin/nginx', 'nginx'].find((path) => path === 'nginx' || existsSync(path)) ?? 'nginx';

let upper: Server;
let lower: Server;
let folder: string;
let port: number;
let proxy: ChildProcess;
test.beforeAll(async () => {
  [upper, lower, port] = [await aServer(), await aServer('empty'), await freePort()];
  folder = mkdtempSync(join(tmpdir(), 'yaylak-many-'));
  // Started by an administrator it reads as somebody else.
  chmodSync(folder, 0o755);
  // The files as they stand, with this test's own ports and folder in them.
  for (const name of ['nginx.conf', 'index.html'])
    writeFileSync(
      join(folder, name),
      readFileSync(join(SAMPLE, name), 'utf8')
        .replaceAll('127.0.0.1:4870', new URL(upper.url).host)
        .replaceAll('127.0.0.1:4880', new URL(lower.url).host)
        .replaceAll('8080', String(port))
        .replaceAll('/home/me/many-holdings', folder)
        .replaceAll('/tmp/yaylak-nginx.pid', join(folder, 'pid')),
    );
  proxy = spawn(NGINX, ['-c', join(folder, 'nginx.conf'), '-p', folder, '-g', 'daemon off;'], { stdio: 'inherit' });
});
test.afterAll(async () => {
  proxy.kill();
  giveBack(port);
  await upper.remove();
  await lower.remove();
  rmSync(folder, { recursive: true, force: true });
});

test('two holdings behind one door: listed, opened and copied, and neither sees the other’s', async ({ page }) => {
  const list = `http://localhost:${port}`;
  await expect
    .poll(() =>
      page
        .goto(list)
        .then((answer) => answer?.status())
        .catch(() => 0),
    )
    .toBe(200);
  await expectAccessible(page);
  await page.getByRole('link', { name: 'Upper holding', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/\d/);
  await expect(page.getByText('Ardıçlı holding')).toBeVisible();
  const at = new URL(page.url());
  expect(at.host).toBe(`upper.localhost:${port}`);

  // What is written on the page of one is in its book, and in no other.
  const { animals } = (await (await page.request.get(`${upper.url}/api/roster`)).json()) as RosterView;
  await page.goto(`${at.origin}/animals/${animals[0]?.tag.animalId}`);
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await page.getByRole('textbox', { name: 'Note' }).fill('written behind the door');
  const entriesOf = async (server: Server): Promise<number> =>
    ((await (await page.request.get(`${server.url}/api/holding`)).json()) as HoldingView).about.entries;
  const before = await entriesOf(upper);
  await page.getByRole('button', { name: 'Save' }).click();
  await expect.poll(() => entriesOf(upper)).toBe(before + 1);
  expect(await entriesOf(lower)).toBe(0);

  await page.goto(list);
  await page.getByRole('link', { name: 'Lower holding', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Begin' }).or(page.getByRole('button', { name: 'Begin' }))).toBeVisible();
  await expect(page.getByText('Ardıçlı holding')).toBeHidden();

  await page.goto(list);
  await page.getByRole('link', { name: 'Copies of the upper holding’s book' }).click();
  await page.getByRole('button', { name: 'Copy the book now' }).click();
  await expect(page.getByText('The book is copied.')).toBeVisible();
  // A name of somebody else's is none of ours.
  const foreign = await page.request.get(`${list}/api/roster`, { headers: { host: 'evil.example' } });
  expect(foreign.ok()).toBe(false);
});
