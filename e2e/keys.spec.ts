import type { BookFile, CarryingView, HoldingView } from '@yaylak/contract';
import type { Locator, Page } from '@playwright/test';
import { expect, test } from './journey';
import { aServer, type Server } from './server';

// Each place by somebody who has a keyboard and nothing else: nothing is clicked, filled or focused from outside. The
// race, births of a first day, choosing and the rows of Animals have such journeys of their own.
let server: Server;
test.beforeAll(async () => {
  server = await aServer();
});
test.afterAll(() => server.remove());

const MOST_TABS = 400;

/** Walks on to a control by Tab. */
async function tabTo(wanted: Locator): Promise<void> {
  const page = wanted.page();
  await expect(wanted).toBeVisible();
  for (let i = 0; i < MOST_TABS; i++) {
    if (await wanted.evaluate((e) => e === document.activeElement || e.contains(document.activeElement))) return;
    await page.keyboard.press('Tab');
  }
  throw new Error('not to be reached by Tab');
}
async function press(wanted: Locator, ...keys: readonly string[]): Promise<void> {
  await tabTo(wanted);
  for (const key of keys) await wanted.page().keyboard.press(key);
}
async function type(wanted: Locator, text: string): Promise<void> {
  await tabTo(wanted);
  await wanted.page().keyboard.press('Control+a');
  await wanted.page().keyboard.type(text);
}
/** Takes one of a choice by its first letters. */
async function take(choice: Locator, letters: string): Promise<void> {
  const page = choice.page();
  await press(choice, 'Enter');
  await expect(page.getByRole('option').first()).toBeVisible();
  await page.keyboard.type(letters);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('listbox')).toBeHidden();
}
/** Goes to a place by its keys, from Today; the keyboard is at its title then. */
async function go(page: Page, keys: string, path: string): Promise<void> {
  await page.goto(server.url);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.keyboard.press(keys);
  await page.waitForURL(`**${path}**`);
  await expect(page.getByRole('heading', { level: 1 })).toBeFocused();
}
const button = (page: Page | Locator, name: string | RegExp): Locator =>
  page.getByRole('button', { name, ...(typeof name === 'string' ? { exact: true } : {}) });
const ask = async <T>(page: Page, path: string): Promise<T> =>
  (await (await page.request.get(`${server.url}${path}`)).json()) as T;

test('Today: a step is done, and taken back', async ({ page }) => {
  await page.goto(server.url);
  const done = button(page, /^Done: Into the lambing shed/);
  await press(done, 'Enter');
  await expect(done).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(done).toBeVisible();
});

test('Year plan: scoring is put a day later, and stays there', async ({ page }) => {
  await go(page, 'Alt+3', '/year');
  const step = page.getByRole('slider', { name: 'Score before mating' });
  await expect(step).toBeVisible();
  const at = Number(await step.getAttribute('aria-valuenow'));
  await press(step, 'ArrowRight', 'Tab');
  await expect(page.getByText(/^Moved: score before mating/)).toBeVisible();
  await page.reload();
  await expect(step).toHaveAttribute('aria-valuenow', String(at + 1));
});

test('Condition: a heavy milker is marked, and is left out of those that get less', async ({ page }) => {
  await go(page, 'Alt+4', '/condition');
  await take(button(page, /^Sheep/).last(), 'Goats');
  await expect(page).toHaveURL(/species=goat/);
  const milker = button(page, 'G-017 is a heavy milker');
  await press(milker, 'Enter');
  await expect(milker).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(milker).toBeVisible();
});

test('Mating: a doe in heat is served, and it is taken back', async ({ page }) => {
  const services = async () =>
    (await ask<BookFile>(page, '/api/book')).entries.filter((e) => e.type === 'service').length;
  await go(page, 'Alt+5', '/mating');
  await take(button(page, /^Sheep/).last(), 'Goats');
  const before = await services();
  await press(button(page, 'Serve').first(), 'Enter');
  const sheet = page.getByRole('dialog', { name: /^Serve/ });
  await take(sheet.getByRole('button', { name: /^choose the male/ }), 'Lodos');
  await press(button(sheet, 'Record service'), 'Enter');
  await expect(sheet).toBeHidden();
  await expect.poll(services).toBe(before + 1);
  await page.keyboard.press('Control+z');
  await expect(page.getByText(/^Taken back: recorded the service/)).toBeVisible();
});

test('Carrying: a scan that comes too early is kept with a reason alone', async ({ page }) => {
  await go(page, 'Alt+6', '/carrying');
  await take(button(page, /^Sheep/).last(), 'Goats');
  await press(button(page, 'Record for G-053'), 'Enter');
  const sheet = page.getByRole('dialog');
  await take(button(sheet, /^blood test/), 'scan');
  await press(button(sheet, 'Save'), 'Enter');
  await expect(sheet.getByRole('alert')).toContainText(/it can tell from day 35/);
  await type(sheet.getByLabel(/^Reason for going ahead/), 'the vet was here');
  await press(button(sheet, 'Save'), 'Enter');
  await expect(sheet).toBeHidden();
  const female = async () =>
    (await ask<CarryingView>(page, '/api/carrying?species=goat')).females.find((f) => f.tag.text === 'G-053');
  await expect.poll(async () => JSON.stringify(await female())).toContain('scan');
});

test('Births: a doe kindles seven, and is off the list', async ({ page }) => {
  await go(page, 'Alt+7', '/births');
  await press(button(page, 'Record the birth of K-D21'), 'Enter');
  const sheet = page.getByRole('dialog');
  await type(sheet.getByLabel('Alive', { exact: true }), '7');
  await type(sheet.getByLabel('Dead', { exact: true }), '1');
  await type(sheet.getByLabel('Live ones together, g'), '420');
  await press(button(sheet, 'Record birth'), 'Enter');
  await expect(sheet.getByRole('status')).toHaveText('K-D21: 7 kits alive and 1 dead. The next dam, or close.');
  await page.keyboard.press('Escape');
  await expect(sheet).toBeHidden();
  await expect(button(page, 'Record the birth of K-D21')).toBeHidden();
});

test('Rearing: a litter is weighed', async ({ page }) => {
  await go(page, 'Alt+8', '/rearing');
  await take(button(page, /^Sheep/).last(), 'Rabbits');
  await press(button(page, 'Weigh the litter of K-D15'), 'Enter');
  const sheet = page.getByRole('dialog');
  const kit = sheet.getByLabel(/^K-26-\d+, g$/).first();
  await type(kit, '1720');
  await press(button(sheet, 'Save'), 'Enter');
  await expect(sheet).toBeHidden();
  await expect(page.getByText(/^Weighed/)).toBeVisible();
});

test('Selling: one goes to another outlet, a load is planned, and one more is taken on it', async ({ page }) => {
  await go(page, 'Alt+0', '/selling');
  const other = button(page, /^26-0035 to Hill market/);
  await press(other, 'Enter');
  await expect(other).toHaveAttribute('aria-pressed', 'true');
  await press(button(page, 'Plan a load for River works'), 'Enter');
  await expect(page).toHaveURL(/\/load/);
  const off = button(page, /^Take 26-\d+ off the load$/).first();
  const text = (await off.getAttribute('aria-label'))?.split(' ')[1] ?? '';
  await press(off, 'Enter');
  await expect(button(page, `Take ${text} off the load`)).toBeHidden();
  await type(page.getByLabel('Number, typed or read'), text);
  await page.keyboard.press('Enter');
  await expect(button(page, `Take ${text} off the load`)).toBeVisible();
});

test('Remedies: a ewe is treated', async ({ page }) => {
  await go(page, 'Alt+Shift+2', '/remedies');
  await press(button(page, 'Treat'), 'Enter');
  const sheet = page.getByRole('dialog');
  await type(sheet.getByLabel('Or numbers, with commas between'), '22-0017');
  await page.keyboard.press('Enter');
  await type(sheet.getByLabel('Why'), 'lame');
  await press(button(sheet, 'Save'), 'Enter');
  await expect(sheet).toBeHidden();
  await expect(page.getByText('Grey injection recorded for 1 animal')).toBeVisible();
});

test('Tags: a second tag is fitted where one is missing', async ({ page }) => {
  await go(page, 'Alt+Shift+3', '/tags');
  await press(button(page, 'Fit one to 25-0402'), 'Enter');
  await type(page.getByLabel('Number or name'), '792000000129999');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Fitted/)).toBeVisible();
  await expect(button(page, 'Fit one to 25-0402')).toBeHidden();
});

test('Holding: the name of who writes is changed', async ({ page }) => {
  await go(page, 'Alt+Shift+4', '/holding');
  await type(page.getByLabel('Your name'), 'Selin');
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await ask<HoldingView>(page, '/api/holding')).keeper).toBe('Selin');
});
