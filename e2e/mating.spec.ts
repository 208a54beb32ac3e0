import type { Page } from '@playwright/test';
import type { BookFile, FemaleToMateView, MatingView, PairingView, PedigreeView, RosterView } from '@yaylak/contract';
import { expectAccessible } from './axe';
import { askHow } from './askHow';
import { expect, test } from './journey';
import { typeDay } from './pages';
import { aServer, type Server } from './server';
import { choose } from './choose';

let server: Server;
test.beforeAll(async () => {
  server = await aServer();
});
test.afterAll(() => server.remove());

const ask = async <T>(page: Page, path: string): Promise<T> =>
  (await (await page.request.get(`${server.url}${path}`)).json()) as T;
const goats = (page: Page): Promise<MatingView> => ask(page, '/api/mating?species=goat');
const dayBefore = (iso: string, days: number): string =>
  new Date(Date.parse(`${iso}T00:00:00Z`) - days * 86_400_000).toISOString().slice(0, 10);
const whole = (text: string | null): number => Number(/\d+(\.\d+)?/.exec(text ?? '')?.[0] ?? 'NaN');

test('a doe seen standing at 10:00 shows her window with hours, by keyboard alone', async ({ page }) => {
  const { on, females, heats } = await goats(page);
  const free = females.filter((f) => f.isReady && f.groupName === 'Milking does');
  const doe = free.find((f) => !heats.some((h) => h.tag.animalId === f.tag.animalId)) as FemaleToMateView;
  const place = females.filter((f) => f.groupName === 'Milking does').indexOf(doe);
  const yesterday = dayBefore(on, 1);
  await page.goto(`${server.url}/mating?species=goat`);
  await expect(page.getByRole('heading', { level: 1, name: /on heat/ })).toBeVisible();
  await page.keyboard.press('n');
  const sheet = page.getByRole('dialog', { name: 'Record heat check' });
  await typeDay(sheet, 'When', `${yesterday}T10:00`);
  await sheet.getByRole('listbox', { name: 'Females' }).focus();
  for (let i = 0; i < place; i++) await page.keyboard.press('ArrowDown');
  await page.keyboard.press('s');
  await expectAccessible(page);
  await sheet.getByRole('button', { name: 'Only those with signs (1)' }).focus();
  await page.keyboard.press('Enter');
  await expect(sheet).toBeHidden();
  const heat = page.getByRole('listitem').filter({ hasText: doe.tag.text });
  // Standing from 10:00: open after 12 hours, best after 18 to 36, over after 48.
  await expect(heat.getByRole('img', { name: /opens .*22:00, best .*04:00 to .*22:00, closes .*10:00/ })).toBeVisible();

  // A service of that very hour is too early, one three days on too late.
  await heat.getByRole('button', { name: 'Serve' }).click();
  const serve = page.getByRole('dialog', { name: /^Serve / });
  await typeDay(serve, 'When', `${yesterday}T11:00`);
  await expect(serve.getByText(/^Too early: the window opens .*22:00/)).toBeVisible();
  await typeDay(serve, 'When', `${dayBefore(on, -2)}T11:00`);
  await expect(serve.getByText(/^Too late: the window closed/)).toBeVisible();
  await typeDay(serve, 'When', `${on}T04:30`);
  await expect(serve.getByText(/^Too/)).toBeHidden();
  await expectAccessible(page);
});

test('a mating with near kin is stopped with the figure, and overruled only with a reason', async ({ page }) => {
  const pairing = await ask<PairingView>(page, '/api/mating/pairing?species=goat');
  const n = pairing.males.length;
  const at = pairing.refusals.findIndex((r) => r?.code === 'relation');
  const [doe, buck] = [pairing.females[Math.floor(at / n)], pairing.males[at % n]];
  if (!doe || !buck) throw new Error('the demo has no pair that is kin');
  await page.goto(`${server.url}/mating?species=goat&serve=${doe.tag.animalId}`);
  const sheet = page.getByRole('dialog', { name: /^Serve / });
  await choose(sheet.getByLabel('Male', { exact: true }), buck.tag.animalId);
  await expect(sheet.getByText(/is her .*: their kids would be \d+.% inbred/)).toBeVisible();
  await sheet.getByRole('button', { name: 'Record service' }).click();
  await expect(sheet.getByRole('alert')).toContainText('give a reason for going ahead');
  await sheet.getByLabel(/^Reason for going ahead/).fill('the other buck is lame');
  await sheet.getByRole('button', { name: 'Record service' }).click();
  await expect(sheet).toBeHidden();
  const { entries } = await ask<BookFile>(page, '/api/book');
  const kept = entries.filter((e) => e.type === 'service' && e.reason === 'the other buck is lame');
  expect(kept).toHaveLength(1);
  await page.keyboard.press('Control+z');
  await expect(page.getByText(/Taken back: recorded the service/)).toBeVisible();
});

test('the longer no return is seen, the likelier she carries', async ({ page }) => {
  const { females } = await goats(page);
  // Whom nothing else tells of: neither tests nor a look.
  const served = females.filter((f) => f.chance?.story.every((s) => s.kind === 'served' || s.kind === 'no-return'));
  const byDay = [...served].sort((a, b) => ((a.chance?.servedOn ?? '') < (b.chance?.servedOn ?? '') ? -1 : 1));
  const [long, short] = [byDay.at(0), byDay.at(-1)];
  if (!long || !short) throw new Error('nobody is served');
  await page.goto(`${server.url}/mating?species=goat`);
  const shown = async (f: FemaleToMateView): Promise<number> =>
    whole(
      await page
        .getByRole('row')
        .filter({ hasText: f.tag.text })
        .filter({ hasText: 'how?' })
        .getByText(/^\d+.%$/)
        .textContent(),
    );
  expect(await shown(long)).toBeGreaterThan(await shown(short));
  await expect(await askHow(page, `In young, ${long.tag.text}`)).toContainText('Not seen back on heat');
});

test('the plan keeps to the noes, and its groups become a job at the race', async ({ page }) => {
  await page.goto(`${server.url}/mating/pairing?species=goat`);
  await page.getByRole('button', { name: 'Plan who goes to whom' }).click();
  await expect(page.getByRole('heading', { name: 'The groups' })).toBeVisible();
  await expect(
    page
      .getByRole('row', { name: /^Pairs not allowed/ })
      .getByRole('cell')
      .first(),
  ).toHaveText('0');
  const planned = page.getByRole('button', { name: /, planned/ });
  expect(await planned.count()).toBeGreaterThan(5);
  for (const label of await planned.evaluateAll((all) => all.map((b) => b.getAttribute('aria-label') ?? '')))
    expect(label).not.toMatch(/is her|too near|may carry/);
  // Locked where a word stands against it, the plan keeps it and says so.
  const struck = page.locator('button[data-refused]').first();
  await struck.click();
  await page.getByRole('button', { name: 'Plan who goes to whom' }).click();
  await expect(
    page
      .getByRole('row', { name: /^Pairs not allowed/ })
      .getByRole('cell')
      .first(),
  ).toHaveText('1');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Sort out at the race' }).first().click();
  await expect(page.getByLabel('Number of the next animal')).toBeVisible();
  const groups = await ask<{ name: string }[]>(page, '/api/groups');
  expect(groups.some((g) => g.name.startsWith('With '))).toBe(true);
});

test('a male is put in with raddle, and his marks are read at the race', async ({ page }) => {
  const { males, on } = await goats(page);
  const buck = males[0];
  if (!buck) throw new Error('no buck');
  await page.goto(`${server.url}/mating/males?species=goat`);
  const row = page.getByRole('row').filter({ hasText: buck.tag.text });
  await row.getByRole('button', { name: 'Put in' }).click();
  const sheet = page.getByRole('dialog', { name: /^Put / });
  await choose(sheet.getByLabel('With', { exact: true }), 'Milking does, 14 females');
  await choose(sheet.getByLabel('Raddle or harness'), 'red');
  await sheet.getByRole('button', { name: 'Put him in' }).click();
  // His daughters are among them: they are named, and he goes in only with a reason.
  await expect(sheet.getByRole('alert')).toContainText(/should not run with .* and .*: too closely related/);
  await sheet.getByLabel('Reason for going ahead').fill('they are sold on Friday');
  await sheet.getByRole('button', { name: 'Put him in' }).click();
  await expect(sheet).toBeHidden();
  await row.getByRole('button', { name: 'Read the marks' }).click();
  await expect(page.getByLabel('Number of the next animal')).toBeFocused();
  const roster = await ask<RosterView>(page, '/api/roster');
  const doe = roster.animals.find((a) => a.runsWith?.some((m) => m.maleId === buck.tag.animalId));
  await page.keyboard.type(doe?.tag.text ?? '');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('group', { name: 'Marks' }).getByRole('button', { name: /red/ })).toBeVisible();
  await page.keyboard.press('r');
  await page.keyboard.press('Enter');
  // "All on the server" stands there before Enter as well: what counts is what the book has.
  const read = async (): Promise<unknown[]> => {
    const { entries } = await ask<BookFile>(page, '/api/book');
    return entries.filter((e) => e.type === 'service' && e.way === 'raddle' && e.on === on && e.source === 'race');
  };
  await expect.poll(read).toMatchObject([{ animalId: doe?.tag.animalId, maleIds: [buck.tag.animalId], colour: 'red' }]);
});

test('a pedigree shows who stands in it twice, and takes a gene test', async ({ page }) => {
  const pairing = await ask<PairingView>(page, '/api/mating/pairing?species=sheep');
  const inbred = [...pairing.females].sort((a, b) => b.generations - a.generations)[0];
  const id = inbred?.tag.animalId ?? '';
  const pedigree = await ask<PedigreeView>(page, `/api/mating/pedigree/${id}?generations=5`);
  await page.goto(`${server.url}/animals/${id}/pedigree`);
  await choose(page.getByLabel('Generations'), '5');
  await expect(page.locator('[data-repeated]')).toHaveCount(pedigree.nodes.filter((n) => n.isRepeated).length);
  await page.getByRole('button', { name: 'Record a gene test' }).click();
  const sheet = page.getByRole('dialog', { name: /^Gene test/ });
  await sheet.getByLabel('Disorder').fill('spider legs');
  await choose(sheet.getByLabel('Result'), 'carrier');
  await sheet.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('spider legs: carrier, tested')).toBeVisible();
  await expectAccessible(page);
});
