import type { AnimalView, ResultsView, SaleSheetView, SellingView } from '@yaylak/contract';
import type { Page } from '@playwright/test';
import { expectAccessible } from './axe';
import { expect, test } from './journey';
import { aServer, type Server } from './server';

let full: Server;
let empty: Server;
test.beforeAll(async () => {
  [full, empty] = await Promise.all([aServer(4996), aServer(4997, 'empty')]);
});
test.afterAll(() => Promise.all([full.remove(), empty.remove()]));

const get = async <T>(page: Page, path: string, server = full): Promise<T> =>
  (await (await page.request.get(server.url + path)).json()) as T;

test('a load is planned, checked, leaves, and its kill sheet teaches the next estimate', async ({ page }) => {
  test.setTimeout(180_000);
  const before = await get<SellingView>(page, '/api/selling?species=sheep');
  const worksId = before.outlets.find((o) => o.facts.name === 'River works')?.id ?? '';
  const heads = before.rows.filter((r) => before.split?.columns[r.tag.animalId] === worksId).map((r) => r.tag.text);
  const kept = before.rows.find((r) => r.held?.of === 'reserved')?.tag.text ?? '';
  const worth = ({ rows }: SellingView, text: string): number =>
    rows.find((r) => r.tag.text === text)?.cells.find((c) => c.outletId === worksId)?.nowMinor ?? 0;
  const stays = before.rows.find((r) => !heads.includes(r.tag.text) && worth(before, r.tag.text) > 0)?.tag.text ?? '';

  await page.goto(`${full.url}/selling?species=sheep`);
  await page.getByRole('button', { name: 'Plan a load for River works' }).click();
  await expect(page.getByRole('heading', { name: 'Load for River works' })).toBeVisible();
  await expectAccessible(page);
  const number = page.getByLabel('Number, typed or read');
  await number.fill(kept);
  await number.press('Enter');
  await expect(page.getByRole('alert')).toContainText(`${kept} stays here. Reserved for`);
  for (const text of heads.slice(0, 2)) {
    await number.fill(text);
    await number.press('Enter');
    await expect(page.getByText(`${text} is aboard.`)).toBeVisible();
  }
  await page.reload();
  await expect(page.getByText(`${heads.length} head, 2 aboard.`)).toBeVisible();
  await page.getByRole('link', { name: 'Load list' }).click();
  await expect(page.getByRole('button', { name: 'Print' })).toBeVisible();
  await expect(page.getByRole('row')).toHaveCount(heads.length + 1);
  await page.goBack();
  await expect(number).toBeVisible();
  await page.getByRole('button', { name: 'The load leaves…' }).click();
  await page.getByRole('button', { name: `The load of ${heads.length} has left` }).click();
  await expect(page.getByText(/head have left/).first()).toBeVisible();

  // Back comes a sheet with one tag of an animal that is still here, and one that nobody ever wore.
  const today = before.on;
  const lines = heads.map((text, i) => {
    const tag = i === 0 ? stays : i === 1 ? '99-9999' : text;
    return `${tag};${today};${(24 + (i % 4) * 0.4).toFixed(1)};U+;2;${(118 + i).toFixed(2)};2.20`;
  });
  const sheet = ['Tag;Killed;Cold weight kg;Conformation;Fat;Value;Levy', ...lines].join('\n');
  await page.goto(`${full.url}/selling/results?species=sheep`);
  await expect(page.getByText(`head; nothing came back of ${heads.length} yet`)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('link', { name: 'Read a kill sheet' }).click();
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose a CSV file' }).click();
  await (await chooser).setFiles({ name: 'sheet.csv', mimeType: 'text/csv', buffer: Buffer.from(sheet) });
  await page.getByRole('button', { name: 'Look at what would happen' }).click();
  const good = heads.length - 2;
  await expect(page.getByText(new RegExp(`Of ${heads.length} rows: ${good} new, 0 in`))).toBeVisible();
  const bad = page.getByTestId('bad-rows');
  await expect(bad).toContainText('It has not left to be killed');
  await expect(bad).toContainText('no animal wears “99-9999”');
  await page.getByRole('button', { name: `Take in ${good}` }).click();
  await expect(page.getByRole('heading', { name: `${good} taken in` })).toBeVisible();

  await page.goto(`${full.url}/selling/results?species=sheep`);
  await expect(page.getByText(`head; nothing came back of 2 yet`)).toBeVisible();
  const results = await get<ResultsView>(page, '/api/selling/results?species=sheep');
  expect(results.loads[0]).toMatchObject({ outletId: worksId, compared: good, waiting: 2 });
  expect(results.graders.find((g) => g.outletId === worksId)?.shape.pairs).toBeGreaterThan(22);
  await expect(page.getByText(/River works against Stone bridge/)).toBeVisible();
  // Better shapes than were felt: the same hand is now worth more there.
  const after = await get<SellingView>(page, `/api/selling?species=sheep&groupId=${before.groupId ?? ''}`);
  expect(worth(after, stays)).toBeGreaterThan(worth(before, stays));

  // One of the two that are missing is typed by hand.
  await page.getByRole('button', { name: `Type the result of ${heads[0] ?? ''}` }).click();
  const typed = page.getByRole('dialog', { name: `What came back of ${heads[0] ?? ''}` });
  await typed.getByLabel('Carcass, kg').fill('25.1');
  await typed.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('head; nothing came back of 1 yet')).toBeVisible();

  await page.getByRole('link', { name: 'Sale sheet' }).first().click();
  await expect(page.getByRole('heading', { name: 'Sale sheet for River works' })).toBeVisible();
  await expectAccessible(page);
});

test('a passport of one book is read in by another, and its animal’s page shows the history', async ({ page }) => {
  const results = await get<ResultsView>(page, '/api/selling/results?species=goat');
  const sold = results.loads.flatMap((l) => l.heads).find((h) => h.how === 'sold')?.tag;
  if (!sold) throw new Error('the demo sold a goat');
  await page.goto(`${full.url}/animals/${sold.animalId}`);
  await page.getByRole('link', { name: 'Sale sheet and passport' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Passports' }).click();
  const path = await (await download).path();
  const { rows } = await get<SaleSheetView>(page, `/api/selling/sheet?ids=${sold.animalId}`);

  await page.goto(`${empty.url}/holding/files`);
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose a passport file' }).click();
  await (await chooser).setFiles(path);
  await expect(page.getByText(/1 of 1 can come in/)).toBeVisible();
  await page.getByRole('button', { name: 'Take in 1 animal' }).click();
  await expect(page.getByText('1 taken in, as bought today.')).toBeVisible();

  await page.goto(`${empty.url}/animals/${sold.animalId}`);
  await expect(page.getByText(sold.text).first()).toBeVisible();
  const there = await get<AnimalView>(page, `/api/animals/${sold.animalId}`, empty);
  expect(there.row.dam?.text).toBe(rows[0]?.dam);
  expect(there.timeline.some(({ entry }) => entry.type === 'weight')).toBe(true);
  expect(there.timeline.find(({ entry }) => entry.type === 'arrival')?.entry).toMatchObject({ how: 'bought' });
});
