import type { Locator, Page } from '@playwright/test';
import type { AnimalView, BirthsView, RearingView } from '@yaylak/contract';
import { expectAccessible } from './axe';
import { expectNothingBeside, LAPTOP } from './everybody';
import { expect, forget, test } from './journey';
import { aServer, type Server } from './server';
import { choose } from './choose';

let server: Server;
test.beforeAll(async () => {
  server = await aServer();
});
test.afterAll(() => server.remove());

const ask = async <T>(page: Page, path: string): Promise<T> =>
  (await (await page.request.get(`${server.url}${path}`)).json()) as T;
const births = (page: Page): Promise<BirthsView> => ask(page, '/api/births');
const litterOf = async (page: Page, number: string) =>
  (await ask<RearingView>(page, '/api/rearing?species=rabbit')).litters.find((l) => l.dam?.text === number);
/** The same book, so many days later, on a device that kept nothing of the days before. */
async function later(page: Page, days: number): Promise<void> {
  await server.kill();
  await server.start(days);
  await forget(page);
  await page.goto(server.url);
}
const write = (sheet: Locator): Promise<void> => sheet.getByRole('button', { name: 'Save' }).click();

test('twins are born, one is fostered out, and both stand rightly beside the others', async ({ page }) => {
  await page.goto(`${server.url}/births?species=sheep`);
  await page.getByRole('button', { name: 'Record the birth of A-10' }).click();
  const sheet = page.getByRole('dialog', { name: 'A birth' });
  const alive = sheet.getByRole('group', { name: 'Born alive' });
  await alive.getByRole('button', { name: '+ Female' }).click();
  await alive.getByRole('button', { name: '+ Male' }).click();
  // Held in one hand, each of them can be weighed and taken off again.
  await page.setViewportSize({ width: 390, height: 844 });
  await expectNothingBeside(page);
  await page.setViewportSize(LAPTOP);
  await sheet.getByRole('group', { name: '1. ewe lamb' }).getByLabel('Weight, kg').fill('4.1');
  await sheet.getByRole('radio', { name: 'passed' }).click();
  await expectAccessible(page);
  await sheet.getByRole('button', { name: 'Record birth' }).click();
  await expect(sheet.getByText('A-10: 2 lambs alive. The next dam, or close.')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Foster young of A-10' }).click();
  const foster = page.getByRole('dialog', { name: 'Foster lambs of A-10' });
  await choose(foster.getByLabel('To whom'), 'A-07: rears 1');
  await write(foster);
  await expect(foster).toBeHidden();
  const [first, second] = (await births(page)).recent.find((b) => b.tag.text === 'A-10')?.young ?? [];
  const row = async (id = '') => (await ask<AnimalView>(page, `/api/animals/${id}`)).row;
  expect(await row(first?.tag.animalId)).toMatchObject({ birthType: 2, rearingType: 2, dam: { text: 'A-10' } });
  expect(await row(second?.tag.animalId)).toMatchObject({ birthType: 2, rearingType: 1 });
});

test('more young than were scanned are asked about, and kept with a reason; Ctrl+Z takes all of it back', async ({
  page,
}) => {
  const before = await births(page);
  await page.goto(`${server.url}/births?species=sheep`);
  await page.getByRole('button', { name: 'Record the birth of A-11' }).click();
  const sheet = page.getByRole('dialog', { name: 'A birth' });
  const alive = sheet.getByRole('group', { name: 'Born alive' });
  await alive.getByRole('button', { name: '+ Female' }).click();
  await alive.getByRole('button', { name: '+ Female' }).click();
  await expect(sheet.getByText(/^2 born, and 1 counted on .* Are they all hers\?$/)).toBeVisible();
  const submit = sheet.getByRole('button', { name: 'Record birth' });
  await submit.click();
  await expect(sheet.getByRole('alert')).toContainText('Check, or give the reason.');
  await sheet.getByLabel(/^What happened/).fill('one lay behind the other');
  await submit.click();
  await expect(sheet.getByText('A-11: 2 lambs alive. The next dam, or close.')).toBeVisible();
  await page.keyboard.press('Escape');
  const seen = (await births(page)).recent.find((b) => b.tag.text === 'A-11');
  expect(seen).toMatchObject({ alive: 2, reason: 'one lay behind the other' });
  await page.keyboard.press('Control+z');
  await expect(page.getByText(/^Taken back: recorded lambing of A-11/)).toBeVisible();
  expect((await births(page)).recent).toHaveLength(before.recent.length);
});

test('young that were written down at their birth get tag and weight at the race', async ({ page }) => {
  await page.goto(`${server.url}/births?species=sheep`);
  await page.getByRole('button', { name: 'Weigh and tag young of A-09' }).click();
  await expect(page.getByLabel('Number of the next dam')).toBeFocused();
  await page.keyboard.type('A-09');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('Ram lamb that was recorded at the birth; the last of hers.');
  await page.getByLabel(/^Weight/).fill('6.2');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Number of the next dam')).toBeVisible();
  await expect.poll(async () => (await births(page)).recent.find((b) => b.tag.text === 'A-09')?.handling).toBeNull();
});

test('a female’s record opens by one key from anywhere', async ({ page }) => {
  await page.goto(`${server.url}/tags`);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.keyboard.press('/');
  await page.keyboard.type('K-D15');
  await expect(page.getByRole('listbox', { name: 'Found' }).getByRole('option').first()).toContainText('K-D15');
  await page.keyboard.press('Shift+Enter');
  await expect(page.getByRole('heading', { name: 'K-D15: her record' })).toBeVisible();
  await expect(page.getByText(/^Retire her: /)).toBeVisible();
});

// Last: the book is weeks ahead after it.
test('a rabbit litter is born, fostered over, weighed for days and weaned in two steps, and the doe is offered again', async ({
  page,
}) => {
  await page.goto(server.url);
  // Two presses: her row, and what is typed.
  await page.getByRole('link', { name: 'Record the birth of K-D21' }).click();
  const birth = page.getByRole('dialog', { name: 'A birth' });
  await expect(birth.getByLabel('Alive')).toBeFocused();
  await page.keyboard.type('9');
  await expectAccessible(page);
  await birth.getByRole('button', { name: 'Record birth' }).click();
  await expect(birth.getByText('K-D21: 9 kits alive. The next dam, or close.')).toBeVisible();
  await page.keyboard.press('Escape');

  await page.getByRole('button', { name: 'Foster young of K-D21' }).click();
  const foster = page.getByRole('dialog', { name: 'Foster kits of K-D21' });
  await choose(foster.getByLabel('How many'), '2');
  await choose(foster.getByLabel('To whom'), 'K-D22: rears 10');
  await expectAccessible(page);
  await write(foster);
  await expect(foster).toBeHidden();
  await expect.poll(async () => (await litterOf(page, 'K-D21'))?.young.length).toBe(7);
  expect((await litterOf(page, 'K-D22'))?.young).toHaveLength(12);

  for (const [days, grams] of [
    [1, '455'],
    [2, '546'],
  ] as const) {
    await later(page, days);
    await page.getByRole('link', { name: 'Weigh: Weigh together 7 kits of K-D21' }).click();
    const scale = page.getByRole('dialog', { name: 'Weigh the litter of K-D21' });
    await expect(scale.getByLabel('Together, g')).toBeFocused();
    await page.keyboard.type(grams);
    await write(scale);
    await expect(scale).toBeHidden();
  }
  // 91 g more of seven in a day.
  const card = page.getByRole('group', { name: 'Litter of K-D21' });
  await expect(card.getByText(/The litter 91\sg\/day, 13\sg\/day a head over 1 day\./)).toBeVisible();

  await later(page, 41);
  await page.getByRole('link', { name: /^Weigh: Weigh each 7 kits of K-D21/ }).click();
  const each = page.getByRole('dialog', { name: 'Weigh the litter of K-D21' });
  await expect(each.getByLabel('1. kit, g')).toBeFocused();
  for (const grams of ['1320', '1280', '1250', '1210', '1150', '1090', '960']) {
    await page.keyboard.type(grams);
    await page.keyboard.press('Tab');
  }
  await write(each);
  await expect(each).toBeHidden();

  await later(page, 42);
  await page.getByRole('link', { name: 'Wean: Wean 4 kits of K-D21' }).click();
  const wean = page.getByRole('dialog', { name: 'Wean, K-D21' });
  await expect(wean.getByRole('checkbox', { checked: true })).toHaveCount(4);
  await choose(wean.getByLabel('To the group'), 'Growing hutches');
  await expectAccessible(page);
  await write(wean);
  await expect(page.getByText('3 stay with her; they come up again when it is their day.')).toBeVisible();
  await later(page, 44);
  await page.getByRole('link', { name: 'Wean: Wean 3 kits of K-D21' }).click();
  await write(page.getByRole('dialog', { name: 'Wean, K-D21' }));
  const after = page.getByRole('dialog', { name: 'Weaning, K-D21' });
  await expect(after.getByText('K-D21 may be mated again now.')).toBeVisible();
  expect(await litterOf(page, 'K-D21')).toBeUndefined();
  await after.getByRole('link', { name: 'To her next mating' }).click();
  await expect(page.getByRole('dialog', { name: 'Serve K-D21' })).toBeVisible();
});
