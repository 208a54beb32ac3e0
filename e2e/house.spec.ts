import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import type { AnimalView, HouseholdView, RosterView } from '@yaylak/contract';
import { expectAccessible } from './axe';
import { expectOnDevice } from './device';
import { expect, test } from './journey';
import { aServer, type Server } from './server';
import { aTablet } from './tablet';

test.use({ serviceWorkers: 'allow' });

let server: Server;
let profile: string;
test.beforeAll(async () => {
  server = await aServer('demo', { AT_HOME: '1', HOUSE_HOST: '127.0.0.1', HOUSE_PORT: '0' });
  profile = mkdtempSync(join(tmpdir(), 'yaylak-tablet-'));
});
test.afterAll(async () => {
  await server.remove();
  rmSync(profile, { recursive: true, force: true });
});

const household = async (page: Page): Promise<HouseholdView> =>
  (await (await page.request.get(`${server.url}/api/household`)).json()) as HouseholdView;

test('a tablet joins by a code, works by the name of the computer without a network, and is turned away', async ({
  page,
}) => {
  await page.goto(`${server.url}/holding/devices`);
  await page.getByRole('button', { name: 'Show a code' }).click();
  await expect(page.getByText(/^For one device, good for 10 minutes more/)).toBeVisible();
  await expectAccessible(page);
  const { door, code } = await household(page);
  const desk = new URL(door?.joinAt.find((address) => address.includes('.local')) ?? '');
  const name = new URL(door?.openAt[0] ?? '');
  expect(name.hostname).toBe(desk.hostname);

  const context = await aTablet(server.dataDir, profile);
  const tablet = context.pages()[0] ?? (await context.newPage());
  // Not let in, it sees nothing of the book.
  await tablet.goto(name.origin);
  await expect(tablet.getByText('This device is not let in.').first()).toBeVisible();

  // By the code of the screen: the desk says what to do, and hands the code on.
  await tablet.goto(`${desk.origin}/join#${code?.code}`);
  await expect(tablet.getByRole('heading', { name: 'Let this device in' })).toBeVisible();
  await expectAccessible(tablet);
  await tablet.getByRole('link', { name: name.host }).click();
  await expect(tablet.getByLabel('Code', { exact: true })).toHaveValue(code?.code ?? '');
  await expectAccessible(tablet);
  await tablet.getByLabel('What this device is called').fill('Barn tablet');
  await tablet.getByRole('button', { name: 'Let in' }).click();
  await expect(tablet.getByRole('link', { name: 'At the race' })).toBeVisible();
  await expect(page.getByRole('cell', { name: 'Barn tablet', exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Show a code' })).toBeVisible();

  // Over the encrypted line a browser gives what the barn needs.
  expect(await tablet.evaluate(() => window.isSecureContext && 'serial' in navigator)).toBe(true);
  await tablet.evaluate(() => navigator.serviceWorker.ready.then(() => true));
  await tablet.reload();
  const roster = (await (await page.request.get(`${server.url}/api/roster`)).json()) as RosterView;
  const ewe = roster.animals.find((a) => a.species === 'sheep')?.tag.animalId ?? '';
  await tablet.goto(`${name.origin}/animals/${ewe}`);
  await expectOnDevice(tablet, `["animal","${ewe}"]`);
  await context.setOffline(true);
  await tablet.goto(`${name.origin}/animals/${ewe}`);
  await expect(tablet.getByText('The server is away. What you see is what this device keeps')).toBeVisible();
  await note(tablet, 'seen in the barn');
  await context.setOffline(false);
  await expect.poll(() => notesOf(page, ewe)).toContain('seen in the barn');

  // Lost: it is kept out, and keeps what was written until it is let in again.
  await page.getByRole('button', { name: 'Turn away Barn tablet' }).click();
  await expectAccessible(page);
  await page.getByRole('dialog').getByRole('button', { name: 'Turn away' }).click();
  await expect(page.getByText('Nobody let in yet')).toBeVisible();
  await tablet.reload();
  await expect(tablet.getByText('This device is not let in to the book. What you see is what it keeps')).toBeVisible();
  await note(tablet, 'written outside');
  await page.getByRole('button', { name: 'Show a code' }).click();
  await expect(page.getByText(/^For one device/)).toBeVisible();
  const again = (await household(page)).code?.code ?? '';
  expect(await notesOf(page, ewe)).not.toContain('written outside');
  await tablet.getByRole('link', { name: 'Let this device in' }).first().click();
  await tablet.getByLabel('Code', { exact: true }).fill(again.toLowerCase());
  await tablet.getByLabel('What this device is called').fill('Barn tablet');
  await tablet.getByRole('button', { name: 'Let in' }).click();
  await expect.poll(() => notesOf(page, ewe)).toContain('written outside');
  await context.close();
});

async function note(tablet: Page, text: string): Promise<void> {
  await tablet.getByRole('button', { name: 'Note', exact: true }).click();
  await tablet.getByRole('textbox', { name: 'Note' }).fill(text);
  await tablet.getByRole('button', { name: 'Save' }).click();
}
async function notesOf(page: Page, animalId: string): Promise<string[]> {
  const { timeline } = (await (await page.request.get(`${server.url}/api/animals/${animalId}`)).json()) as AnimalView;
  return timeline.flatMap(({ entry }) => (entry.type === 'note' ? [entry.text] : []));
}
