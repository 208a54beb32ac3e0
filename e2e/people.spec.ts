import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { APIRequestContext, Browser, Page } from '@playwright/test';
import type { AnimalView, BookFile, HouseholdView, PeopleView, Role, RosterAnimal, RosterView } from '@yaylak/contract';
import { expectAccessible } from './axe';
import { choose } from './choose';
import { expectOnDevice } from './device';
import { expectNothingBeside, LAPTOP, SMALLER } from './everybody';
import { expect, test } from './journey';
import { aServer, type Server } from './server';
import { aTablet } from './tablet';
import { expectTouchable } from './targets';

test.use({ serviceWorkers: 'allow' });

const PASSWORD = 'three brown ewes';
let server: Server;
let profile: string;
test.beforeEach(async () => {
  server = await aServer('demo', { AT_HOME: '1', HOUSE_HOST: '127.0.0.1', HOUSE_PORT: '0' });
  profile = mkdtempSync(join(tmpdir(), 'yaylak-people-'));
});
test.afterEach(async () => {
  await server.remove();
  rmSync(profile, { recursive: true, force: true });
});

/** Adds the household by its first window: an owner, a keeper, a helper and a viewer. */
async function household(request: APIRequestContext): Promise<void> {
  const people: readonly (readonly [name: string, role: Role])[] = [
    ['Aylin', 'owner'],
    ['Kerem', 'keeper'],
    ['Hatice', 'helper'],
    ['Vedat', 'viewer'],
  ];
  for (const [name, role] of people) {
    const data = { id: crypto.randomUUID(), name, role, password: PASSWORD };
    expect((await request.post(`${server.url}/api/household/people`, { data })).status()).toBe(200);
  }
}
async function logIn(page: Page, name: string): Promise<void> {
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Password', { exact: true }).fill(PASSWORD);
  await page.getByRole('button', { name: 'Log in', exact: true }).click();
  await expect(page.getByRole('link', { name: `Logged in as ${name}. Somebody else` })).toBeVisible();
}
async function someoneAt(browser: Browser, name: string): Promise<Page> {
  const page = await browser.newPage();
  await page.goto(server.url);
  await logIn(page, name);
  return page;
}
async function ewes(page: Page): Promise<RosterAnimal[]> {
  const { animals } = (await (await page.request.get(`${server.url}/api/roster`)).json()) as RosterView;
  return animals.filter((a) => a.species === 'sheep' && a.sex === 'female' && a.worn.length > 0);
}

test('the first person is added on the computer, adds the others, and hands are changed by a PIN', async ({ page }) => {
  await page.goto(`${server.url}/holding/people`);
  await page.getByRole('button', { name: 'Add the first person' }).click();
  await expectAccessible(page);
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Name').fill('Aylin');
  await sheet.getByLabel('Password').fill('ewes');
  await sheet.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(sheet).toContainText('A password has 10 characters at least');
  await sheet.getByLabel('Password').fill(PASSWORD);
  await sheet.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'The household' })).toBeVisible();
  await page.getByRole('button', { name: 'Add somebody' }).click();
  await sheet.getByLabel('Name').fill('Hatice');
  await sheet.getByLabel('Password').fill(PASSWORD);
  await expectAccessible(page);
  await sheet.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('cell', { name: 'helper' })).toBeVisible();
  await page.getByRole('button', { name: 'Password and PIN' }).click();
  await sheet.getByLabel('PIN', { exact: true }).fill('2468');
  await sheet.getByLabel('Your password as it is now').fill(PASSWORD);
  await expectAccessible(page);
  await sheet.getByRole('button', { name: 'Save' }).click();
  await expect(sheet).toBeHidden();
  await page.getByRole('button', { name: 'Change Hatice' }).click();
  await expectAccessible(page);
  await page.keyboard.press('Escape');

  await page.getByRole('link', { name: 'Logged in as Aylin. Somebody else' }).click();
  await logIn(page, 'Hatice');
  await page.getByRole('link', { name: 'Logged in as Hatice. Somebody else' }).click();
  await page.getByRole('button', { name: 'Aylin' }).click();
  await page.getByLabel('PIN of Aylin').fill('1357');
  await page.keyboard.press('Enter');
  await expect(page.getByText('That is not the PIN.')).toBeVisible();
  for (const size of [LAPTOP, ...SMALLER]) {
    await page.setViewportSize(size);
    await expectAccessible(page);
    await expectTouchable(page);
    await expectNothingBeside(page);
  }
  await page.setViewportSize(LAPTOP);
  await page.getByLabel('PIN of Aylin').fill('2468');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('link', { name: 'Logged in as Aylin. Somebody else' })).toBeVisible();

  await page.goto(`${server.url}/holding/people`);
  await page.getByRole('button', { name: 'Keys for scripts' }).click();
  await page.getByLabel('What it is for').fill('barn scales');
  await page.getByRole('button', { name: 'Make a key' }).click();
  const key = await page.locator('code').innerText();
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  for (const size of [LAPTOP, ...SMALLER]) {
    await page.setViewportSize(size);
    await expectAccessible(page);
    await expectTouchable(page);
    await expectNothingBeside(page);
  }
  const asked = await fetch(`${server.url}/api/roster`, { headers: { authorization: `Bearer ${key}` } });
  expect(asked.status).toBe(200);
  expect((await fetch(`${server.url}/api/roster`)).status).toBe(401);
});

test('three roles walk the places: a helper neither sells, nor changes settings, nor strikes out what others wrote', async ({
  browser,
  page,
}) => {
  // Three people, a window each, through seven places.
  await household(page.request);
  const PLACES = ['/', '/race', '/animals', '/choosing', '/selling', '/holding', '/holding/copies'];
  const [ewe] = await ewes(page);
  const address = `${server.url}/animals/${ewe?.tag.animalId}`;
  const strikes = (of: Page) => of.getByRole('button', { name: /^Strike out:/ });
  const may = (of: Page) => of.getByText('you can look, and what you change here is not taken');
  const viewed = (of: Page) => of.getByText('You are a viewer: you can look at the animals, and write nothing.');

  const keeper = await someoneAt(browser, 'Kerem');
  await keeper.goto(address);
  await expect(strikes(keeper).first()).toBeVisible();
  const helper = await someoneAt(browser, 'Hatice');
  const viewer = await someoneAt(browser, 'Vedat');
  for (const path of PLACES) {
    for (const one of [keeper, helper, viewer]) {
      await one.goto(`${server.url}${path}`);
      await expect(one.getByRole('heading', { level: 1 }).first()).toBeVisible();
    }
    await expect(may(helper)).toHaveCount(/choosing|selling|holding/.test(path) ? 1 : 0);
    await expect(may(keeper)).toHaveCount(path === '/holding/copies' ? 1 : 0);
    await expect(viewed(viewer)).toHaveCount(1);
  }
  await expectAccessible(helper);
  // What is sold where is nothing for who only looks.
  await expect(viewer.getByRole('link', { name: 'Selling' })).toHaveCount(0);
  await expect(keeper.getByRole('link', { name: 'Selling' })).toBeVisible();

  await helper.goto(address);
  await expect(helper.getByText('Time line')).toBeVisible();
  await expect(strikes(helper)).toHaveCount(0);
  await helper.getByRole('button', { name: 'Note', exact: true }).click();
  await helper.getByRole('textbox', { name: 'Note' }).fill('lame on the near fore');
  await helper.getByRole('button', { name: 'Save' }).click();
  await expect(strikes(helper)).toHaveCount(1);
  await helper.goto(`${server.url}/holding`);
  await helper.getByLabel('Your name').fill('Hatice');
  await helper.getByRole('button', { name: 'Save' }).click();
  await expect(helper.getByText('That is not for you to do in this book.')).toBeVisible();
  await helper.goto(`${server.url}/selling/outlets`);
  await helper
    .getByRole('button', { name: /^Change / })
    .first()
    .click();
  await helper.getByRole('dialog').getByRole('button', { name: 'Save' }).click();
  await expect(helper.getByText('That is not for you to do in this book.')).toBeVisible();
  for (const one of [helper, viewer, keeper]) await one.context().close();
});

test('a tablet works a whole job without a network under the name of who is logged in, and a log-in that ended costs nothing', async ({
  page,
}) => {
  await household(page.request);
  const id = crypto.randomUUID();
  await page.request.post(`${server.url}/api/household/code`, { data: { id } });
  const { door, code } = (await (await page.request.get(`${server.url}/api/household`)).json()) as HouseholdView;
  const { origin } = new URL(door?.openAt[0] ?? '');
  const context = await aTablet(server.dataDir, profile);
  const tablet = context.pages()[0] ?? (await context.newPage());
  await tablet.goto(`${origin}/join#${code?.code}`);
  await tablet.getByLabel('What this device is called').fill('Barn tablet');
  await tablet.getByRole('button', { name: 'Let in' }).click();
  // Let in; now somebody has to log in.
  await expect(tablet).toHaveURL(/\/log-in$/);
  await logIn(tablet, 'Hatice');
  await tablet.evaluate(() => navigator.serviceWorker.ready.then(() => true));
  await tablet.goto(`${origin}/race`);
  await expect(tablet.getByRole('button', { name: /Start with/ })).toBeVisible();
  await expectOnDevice(tablet, '"roster"');
  await expectOnDevice(tablet, '"writer":{"name":"Hatice"');

  await context.setOffline(true);
  await tablet.reload();
  const roster = await ewes(page);
  const year = new Date().getFullYear();
  const lambs = roster.filter((a) => a.bornOn?.startsWith(String(year))).slice(0, 3);
  await choose(tablet.getByLabel('Who', { exact: true }), new RegExp(`^Ewe lambs of ${year}`));
  await tablet.getByRole('button', { name: /Start with/ }).click();
  for (const [i, lamb] of lambs.entries()) {
    await expect(tablet.getByLabel('Number of the next animal')).toBeFocused();
    await tablet.keyboard.type(lamb.tag.text);
    await tablet.keyboard.press('Enter');
    await expect(tablet.getByLabel('Weight, kg')).toBeFocused();
    await tablet.keyboard.type(((lamb.weights.at(-1)?.[1] ?? 30) + 1).toFixed(1));
    await tablet.keyboard.press('Enter');
    await expect(tablet.getByTestId('seen-count')).toContainText(`${i + 1} of`);
  }
  // Meanwhile her log-in ends: the owner gives her a new password.
  const { people } = (await (await page.request.get(`${server.url}/api/household/people`)).json()) as PeopleView;
  const hatice = people.find((p) => p.name === 'Hatice')?.id ?? '';
  await page.request.put(`${server.url}/api/household/people/${hatice}`, { data: { password: PASSWORD } });
  await context.setOffline(false);
  await tablet.goto(`${origin}/kept`);
  await expect(tablet.getByText('Nobody is logged in here. It waits')).toBeVisible();
  await expectAccessible(tablet);
  const writersOf = async (animalId: string | undefined): Promise<string[]> => {
    const asked = await page.request.get(`${server.url}/api/animals/${animalId}`);
    const { timeline } = (await asked.json()) as AnimalView;
    return timeline
      .filter(({ entry }) => entry.jobId !== undefined && entry.type === 'weight')
      .map((i) => i.entry.writtenBy);
  };
  const before = await writersOf(lambs[0]?.tag.animalId);
  expect(before).not.toContain('Hatice');
  await tablet.goto(`${origin}/log-in`);
  await logIn(tablet, 'Hatice');
  for (const lamb of lambs) await expect.poll(() => writersOf(lamb.tag.animalId)).toContain('Hatice');
  const book = (await (await page.request.get(`${server.url}/api/book`)).json()) as BookFile;
  expect(JSON.stringify(book)).not.toContain('argon2');
  await context.close();
});
