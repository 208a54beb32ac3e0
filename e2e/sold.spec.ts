import type {
  AnimalView,
  ResultsView,
  RosterView,
  SaleSheetView,
  SellingView,
  PlannedLoadView,
} from '@yaylak/contract';
import type { Page } from '@playwright/test';
import { expectAccessible } from './axe';
import { expect, test } from './journey';
import { freePort } from './freePort';
import { aServer, type Server } from './server';
import { aStandIn, listensTo, type StandIn } from './standIn';
import { choose } from './choose';

let full: Server;
let empty: Server;
let standIn: StandIn;
let devicesPort: number;
test.beforeAll(async () => {
  devicesPort = await freePort();
  [full, empty] = await Promise.all([aServer('demo', listensTo(devicesPort)), aServer('empty')]);
  standIn = await aStandIn(devicesPort, full.url);
});
test.afterAll(() => {
  standIn.stop();
  return Promise.all([full.remove(), empty.remove()]);
});

const get = async <T>(page: Page, path: string, server = full): Promise<T> =>
  (await (await page.request.get(server.url + path)).json()) as T;

async function electronicOf(page: Page, text: string): Promise<string> {
  const { animals } = await get<RosterView>(page, '/api/roster');
  const animal = animals.find((a) => a.tag.text === text && a.species === 'sheep');
  return animal?.worn.find(([, , kind]) => kind === 'electronic')?.[0] ?? '';
}

/** Runs those drawn in the open through the finish station, weighed by the crate and felt by hand. */
async function finishAtRace(page: Page, wanted: number): Promise<void> {
  await page.goto(`${full.url}/selling?species=sheep`);
  await choose(page.getByLabel('For', { exact: true }), 'Hill market');
  await page.getByLabel('Wanted').fill(String(wanted));
  await expect(page.getByText(new RegExp(`${wanted} wanted: \\d+ of the \\d+ are likely enough`))).toBeVisible();
  await expectAccessible(page);
  const drawn = (await page.getByRole('list', { name: 'To bring in' }).getByRole('link').allInnerTexts()).map((text) =>
    text.trim(),
  );
  expect(drawn.length).toBeGreaterThanOrEqual(20);
  const { animals } = await get<RosterView>(page, '/api/roster');
  await page.getByRole('button', { name: 'Start it at the race' }).click();
  await page.getByRole('button', { name: `Start with ${drawn.length} animals` }).click();
  await expect(page.getByRole('button', { name: 'Readers: connected' })).toBeVisible();
  for (const [i, text] of drawn.entries()) {
    const animal = animals.find((a) => a.tag.text === text && a.species === 'sheep');
    const digits = animal?.worn.find(([, , kind]) => kind === 'electronic')?.[0] ?? '';
    await standIn.act(page.request, 'come', { digits, kg: (animal?.weights.at(-1)?.[1] ?? 44) + 0.5 });
    await page.waitForFunction(() => /\d/.test(document.querySelector<HTMLInputElement>('#race-weight')?.value ?? ''));
    await page.getByRole('textbox', { name: 'Shape' }).fill(['R', 'R+', 'U-'][i % 3] ?? 'R');
    for (const place of ['tail-head', 'loin', 'ribs'])
      await page.getByRole('textbox', { name: `Fat, ${place}` }).fill(i % 2 === 0 ? '2+' : '3-');
    if (i === 0) await expect(page.getByText(/River works: (ready|not)/)).toBeVisible();
    const alert = page.getByRole('alert');
    await page.keyboard.press('Enter');
    if ((await alert.textContent())?.includes('Enter again')) await page.keyboard.press('Enter');
    await page.waitForFunction(
      (seen) => document.querySelector('[data-testid=seen-count]')?.textContent?.startsWith(seen),
      `${i + 1} of`,
    );
    await standIn.act(page.request, 'leave');
    await page.waitForFunction(
      () => !/ kg|\u00a0kg/.test(document.querySelector('[aria-label^=Readers]')?.textContent ?? ''),
    );
  }
  await expect(page.getByText('all saved')).toBeVisible();
  const { rows } = await get<SellingView>(page, '/api/selling?species=sheep');
  const felt = rows.filter((r) => drawn.includes(r.tag.text));
  expect(felt.every((r) => r.finish !== null && r.weight?.on === r.finish.on)).toBe(true);
}

test('twenty are drawn, felt, split, loaded and sold, and their kill sheet teaches the next estimate', async ({
  page,
}) => {
  await finishAtRace(page, 20);
  const before = await get<SellingView>(page, '/api/selling?species=sheep');
  const worksId = before.outlets.find((o) => o.facts.name === 'River works')?.id ?? '';
  // Two are promised to the butcher already.
  const planned = await get<PlannedLoadView[]>(page, '/api/selling/loads');
  const promised = new Set(planned.flatMap((l) => l.facts.animalIds));
  const heads = before.rows
    .filter((r) => before.split?.columns[r.tag.animalId] === worksId && !promised.has(r.tag.animalId))
    .map((r) => r.tag.text);
  const kept = before.rows.find((r) => r.held?.of === 'reserved')?.tag.text ?? '';
  const treated = before.rows.find((r) => r.held?.of === 'withdrawal')?.tag.text ?? '';
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
  await number.fill(treated);
  await number.press('Enter');
  await expect(page.getByRole('alert')).toContainText(`${treated} stays here.`);
  // One by its number, the other as the stick reads it at the ramp.
  const [typedHead = '', readHead = ''] = heads;
  await number.fill(typedHead);
  await number.press('Enter');
  await expect(page.getByText(`${typedHead} is aboard.`)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Readers: connected' })).toBeVisible();
  await standIn.act(page.request, 'come', { digits: await electronicOf(page, readHead), kg: 50 });
  await expect(page.getByText(`${readHead} is aboard.`)).toBeVisible();
  await standIn.act(page.request, 'leave');
  await page.reload();
  await expect(page.getByText(`${heads.length} head, 2 aboard.`)).toBeVisible();
  await page.getByRole('link', { name: 'Load list' }).click();
  await expect(page.getByRole('button', { name: 'Print' })).toBeVisible();
  await expect(page.getByRole('row')).toHaveCount(heads.length + 1);
  await page.goBack();
  await expect(number).toBeVisible();
  await expect(page.getByRole('button', { name: 'The 2 aboard leave…' })).toBeVisible();
  await page.getByRole('button', { name: `All ${heads.length} leave…` }).click();
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
  await page.getByRole('button', { name: 'Choose a spreadsheet or CSV file' }).click();
  await (await chooser).setFiles({ name: 'sheet.csv', mimeType: 'text/csv', buffer: Buffer.from(sheet) });
  await page.getByRole('button', { name: 'Look at what would happen' }).click();
  const good = heads.length - 2;
  await expect(page.getByText(new RegExp(`Of ${heads.length} rows: ${good} new, 0 in`))).toBeVisible();
  const bad = page.getByTestId('bad-rows');
  await expect(bad).toContainText('It has not left to be killed');
  await expect(bad).toContainText('no animal is tagged “99-9999”');
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
  await typed.getByRole('button', { name: 'Save' }).click();
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
