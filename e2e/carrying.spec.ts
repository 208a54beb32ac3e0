import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import {
  dayText,
  type BookFile,
  type CarryingFemaleView,
  type CarryingView,
  type RosterView,
  type TubeOutView,
} from '@yaylak/contract';
import { expectAccessible } from './axe';
import { askHow } from './askHow';
import { expect, test } from './journey';
import { freePort } from './freePort';
import { aServer, type Server } from './server';
import { aStandIn, listensTo, type StandIn } from './standIn';
import { choose } from './choose';

let devicesPort: number;

let server: Server;
let standIn: StandIn;
test.beforeAll(async () => {
  devicesPort = await freePort();
  server = await aServer('demo', listensTo(devicesPort));
  standIn = await aStandIn(devicesPort, server.url);
});
test.afterAll(async () => {
  standIn.stop();
  await server.remove();
});

const ask = async <T>(page: Page, path: string): Promise<T> =>
  (await (await page.request.get(`${server.url}${path}`)).json()) as T;
const goats = (page: Page): Promise<CarryingView> => ask(page, '/api/carrying?species=goat');

test('tubes are planned, filled by the stick, answered by the laboratory and read in; the swapped ones are held', async ({
  page,
  request,
}) => {
  const before = await goats(page);
  const { animals } = await ask<RosterView>(page, '/api/roster');
  const ready = before.testing.find((p) => p.way === 'blood')?.ready ?? [];
  // The least certain of all that blood can tell of go first: what the laboratory says of them moves the curve.
  const bled = before.females
    .filter((f) => f.chance && f.windows.some((w) => w.way === 'blood' && w.tooSoon === null))
    .toSorted((a, b) => (a.chance?.probability ?? 0) - (b.chance?.probability ?? 0))
    .map((f) => f.tag)
    .slice(0, 4);
  expect(bled).toHaveLength(4);
  const electronicOf = (id: string): string =>
    animals.find((a) => a.tag.animalId === id)?.worn.find(([, , kind]) => kind === 'electronic')?.[0] ?? '';

  await page.goto(`${server.url}/carrying?species=goat`);
  const chart = page.getByRole('img', { name: /known or very likely in young/ });
  await expect(chart).toBeVisible();
  const said = await chart.getAttribute('aria-label');
  await page.getByRole('button', { name: `Plan tubes for ${ready.length}`, exact: true }).click();
  await page.getByRole('button', { name: /Start with/ }).click();
  await expect(page.getByRole('button', { name: 'Readers: connected' })).toBeVisible();
  for (const [i, tag] of bled.entries()) {
    await expect(page.getByLabel('Number of the next animal')).toBeVisible();
    await standIn.act(request, 'come', { digits: electronicOf(tag.animalId) });
    await expect(page.getByLabel('Number on the tube')).toBeVisible();
    await page.getByLabel('Number on the tube').focus();
    // Looked at twice: the first Enter asks, the second writes.
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert')).toContainText('Look at the tube: it must say B-0');
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Number of the next animal')).toBeVisible();
    await standIn.act(request, 'leave');
    await expect.poll(async () => (await ask<TubeOutView[]>(page, '/api/carrying/tubes')).length).toBe(4 + i);
  }
  await page.getByRole('button', { name: 'Finish' }).click();
  await page.getByRole('link', { name: 'Tube sheet' }).click();
  await expect(page.getByRole('heading', { name: 'The parcel' })).toBeVisible();
  await expectAccessible(page);
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'As a file (CSV)' }).click();
  const sheet = readFileSync(await (await saving).path(), 'utf8');
  expect(sheet).toContain(bled[0]?.text ?? 'nobody');

  const answer = await request.post(`http://127.0.0.1:${devicesPort}/laboratory?mood=slips`, { data: sheet });
  expect(answer.ok()).toBe(true);
  await page.goto(`${server.url}/carrying?species=goat`);
  await page.getByRole('button', { name: /^Read in results/ }).click();
  const dialog = page.getByRole('dialog', { name: 'Read in results' });
  const chooser = page.waitForEvent('filechooser');
  await dialog.getByRole('button', { name: 'Choose the laboratory’s file' }).click();
  await (
    await chooser
  ).setFiles({ name: 'results.csv', mimeType: 'text/csv', buffer: Buffer.from(await answer.body()) });
  // Two exchanged, one in doubt, one missing with those that were out before, and a stranger's.
  await expect(dialog.getByRole('status')).toContainText('0 fit their tubes, 3 need a look, 1 of no tube of ours');
  await expect(dialog.getByText(/^Looks swapped/)).toHaveCount(2);
  await expect(dialog.getByText('The laboratory is in doubt: fill a new tube.')).toBeVisible();
  await expect(dialog.getByText('not in this file: ask the laboratory')).toHaveCount(4);
  await expect(dialog.getByText(/no tube of this number is out/)).toBeVisible();
  await expect(dialog.getByRole('button', { name: /^Record 0 results/ })).toBeDisabled();
  await expectAccessible(page);
  // Somebody looked at the tubes: they were exchanged indeed.
  await choose(dialog.getByLabel('Line 2', { exact: true }), 'exchange');
  await choose(dialog.getByLabel('Line 3', { exact: true }), 'exchange');
  await dialog.getByRole('button', { name: 'Record 2 results' }).click();
  await expect(dialog).toBeHidden();
  const { entries } = await ask<BookFile>(page, '/api/book');
  const results = entries.filter((e) => e.type === 'pregnancy-test' && e.way === 'blood' && e.source === 'hand');
  expect(new Set(results.map((e) => (e.type === 'strike' ? '' : e.animalId)))).toEqual(
    new Set(bled.slice(0, 2).map((t) => t.animalId)),
  );
  await expect(chart).not.toHaveAttribute('aria-label', said ?? '');
  await page.keyboard.press('Control+z');
  await expect(page.getByText(/Taken back: recorded 2 results/)).toBeVisible();
  await expect(chart).toHaveAttribute('aria-label', said ?? '');
});

test('a test on day 10 is refused with the day it can tell, and taken with a reason as doubtful', async ({ page }) => {
  const { females } = await goats(page);
  const early = females.find((f) => f.state === 'too-soon') as CarryingFemaleView;
  const blood = early.windows.find((w) => w.way === 'blood');
  await page.goto(`${server.url}/carrying?species=goat`);
  await page.getByRole('button', { name: `Record for ${early.tag.text}` }).click();
  const sheet = page.getByRole('dialog', { name: /a test, a look or a loss/ });
  await choose(sheet.getByLabel('By', { exact: true }), 'blood');
  await choose(sheet.getByLabel('Result'), 'empty');
  await expect(sheet.getByRole('status')).toContainText(
    `it can tell from day 30, ${dayText(blood?.tooSoon?.validFrom ?? '')}`,
  );
  await sheet.getByRole('button', { name: 'Save' }).click();
  await expect(sheet.getByRole('alert')).toContainText('Wait until then, or give the reason');
  await sheet.getByLabel(/^Reason for going ahead/).fill('the vet was here');
  await sheet.getByRole('button', { name: 'Save' }).click();
  await expect(sheet).toBeHidden();
  const after = (await goats(page)).females.find((f) => f.tag.animalId === early.tag.animalId);
  expect(after?.chance?.probability).toBe(early.chance?.probability);
  await expect(await askHow(page, `In young, ${early.tag.text}`)).toContainText(
    'Blood test: empty, but too soon to tell',
  );
});

test('scanning goes by keys alone, blind or not, and the young are counted', async ({ page }) => {
  const { testing } = await goats(page);
  const scan = testing.find((p) => p.way === 'scan');
  const ids = new Set(scan?.ready.map((r) => r.animalId));
  expect(ids.size).toBeGreaterThan(1);
  await page.goto(`${server.url}/carrying?species=goat`);
  await page.getByRole('button', { name: `Scan ${ids.size}`, exact: true }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Number of the next animal')).toBeFocused();
  const [first, second] = scan?.ready ?? [];
  const served = (await goats(page)).females.find((f) => f.tag.animalId === second?.animalId)?.chance?.servedOn ?? '';
  const { on } = await goats(page);
  const age = Math.round((Date.parse(on) - Date.parse(served)) / 86_400_000);
  await page.keyboard.type(first?.text ?? '');
  await page.keyboard.press('Enter');
  await page.keyboard.type('0');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Number of the next animal')).toBeFocused();
  await page.keyboard.type(second?.text ?? '');
  await page.keyboard.press('Enter');
  await page.keyboard.type(`2 ${age}`);
  await expect(page.getByText(new RegExp(`${age} days since`))).toBeVisible();
  await expect(page.getByText(/^Fits /)).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('Enter');
  await expect(page.getByText('Scanning % (young per 100 females)')).toBeVisible();
  await expect
    .poll(async () => (await goats(page)).females.find((f) => f.tag.animalId === second?.animalId))
    .toMatchObject({ state: 'in-young', young: 2 });
});

test('a choice over what is cheapest wants a reason, and is remembered', async ({ page }) => {
  await page.goto(`${server.url}/carrying?species=goat`);
  const panel = page
    .locator('section')
    .filter({ has: page.getByRole('heading', { name: /Sell, keep or test again/ }) });
  const suggested = await panel.locator('tr[data-best] td').first().textContent();
  const other = suggested === 'Sell now' ? 'keep' : 'sell';
  await choose(panel.getByLabel('Decide'), other);
  await panel.getByRole('button', { name: 'Record decision' }).click();
  await expect(panel.getByRole('alert')).toContainText('Why: say why');
  await panel.getByLabel('Why', { exact: true }).fill('she is old');
  await panel.getByRole('button', { name: 'Record decision' }).click();
  await expect(
    page
      .getByRole('status')
      .filter({ hasText: other === 'sell' ? 'sell now' : 'keep' })
      .first(),
  ).toBeVisible();
  const { entries } = await ask<BookFile>(page, '/api/book');
  expect(entries.filter((e) => e.type === 'way-on' && e.reason === 'she is old')).toHaveLength(1);
});

test('all that are awaited stand on a list for the wall', async ({ page }) => {
  await page.goto(`${server.url}/births/list`);
  await expect(page.getByRole('columnheader', { name: 'Usual dates' })).toBeVisible();
  expect(await page.getByRole('row').count()).toBeGreaterThan(10);
  await choose(page.getByLabel('Species'), 'rabbit');
  await expect(page.getByRole('heading', { level: 1, name: 'Births to expect: kindling' })).toBeVisible();
  await expectAccessible(page);
});
