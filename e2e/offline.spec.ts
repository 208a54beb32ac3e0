import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, expect, test, type BrowserContext, type Page } from '@playwright/test';
import type { BirthsView, BookFile, RosterView } from '@yaylak/contract';
import { chromiumOptions } from '../scripts/chromium.mjs';
import { expectOnDevice } from './device';
import { aServer, type Server } from './server';
import { choose } from './choose';

test.use({ serviceWorkers: 'allow' });

let server: Server;
let profile: string;
test.beforeEach(async () => {
  server = await aServer();
  profile = mkdtempSync(join(tmpdir(), 'yaylak-browser-'));
});
test.afterEach(async () => {
  await server.remove();
  rmSync(profile, { recursive: true, force: true });
});

/** A browser with a memory: closed and opened again it is the same device. */
const openBrowser = async (isOffline: boolean): Promise<{ context: BrowserContext; page: Page }> => {
  const context = await chromium.launchPersistentContext(profile, {
    ...chromiumOptions,
    headless: true,
    offline: isOffline,
    viewport: { width: 1280, height: 800 },
    reducedMotion: 'reduce',
  });
  return { context, page: context.pages()[0] ?? (await context.newPage()) };
};
const weigh = async (page: Page, number: string, kg: string, seen: number): Promise<void> => {
  // On a slow machine a page that was just opened has no field yet to type into.
  await expect(page.getByLabel('Number of the next animal')).toBeFocused();
  await page.keyboard.type(number);
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Weight, kg')).toBeFocused();
  await page.keyboard.type(kg);
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('seen-count')).toContainText(`${seen} of`);
};

test('a whole job without a network, the browser closed and opened again in it, arrives once and in order', async ({
  request,
}) => {
  const roster = (await (await request.get(`${server.url}/api/roster`)).json()) as RosterView;
  const year = roster.on.slice(0, 4);
  const lambs = roster.animals
    .filter((a) => a.worn.length > 0 && a.species === 'sheep' && a.sex === 'female' && a.bornOn?.startsWith(year))
    .slice(0, 8);
  const kgOf = (i: number): string => ((lambs[i]?.weights.at(-1)?.[1] ?? 30) + 1).toFixed(1);

  // The first visit, with a network: the application and the roster come onto the device.
  const first = await openBrowser(false);
  await first.page.goto(server.url);
  await first.page.evaluate(() => navigator.serviceWorker.ready.then(() => true));
  await first.page.getByRole('link', { name: 'At the race' }).click();
  await expect(first.page.getByRole('button', { name: /Start with/ })).toBeVisible();
  // What was read is written away a few seconds later.
  await expectOnDevice(first.page, '"roster"');

  await first.context.setOffline(true);
  await choose(first.page.getByLabel('Who', { exact: true }), `Ewe lambs of ${year} (31)`);
  await first.page.getByRole('button', { name: /Start with/ }).click();
  await expect(first.page.getByLabel('Number of the next animal')).toBeFocused();
  for (let i = 0; i < 5; i++) await weigh(first.page, lambs[i]?.tag.text ?? '', kgOf(i), i + 1);
  const url = first.page.url();
  await first.context.close();

  // Opened again where there still is no network: the job, what was written and the rest to read are here.
  const second = await openBrowser(true);
  await second.page.goto(url);
  await expect(second.page.getByTestId('seen-count')).toContainText('5 of');
  for (let i = 5; i < 8; i++) await weigh(second.page, lambs[i]?.tag.text ?? '', kgOf(i), i + 1);
  await second.page.goto(`${server.url}/kept`);
  await expect(second.page.getByText('The server is away. It is tried again by itself')).toBeVisible();
  await expect(second.page.getByRole('list', { name: 'Waiting' }).getByRole('listitem')).toHaveCount(17);
  await second.page.goto(`${server.url}/animals/${lambs[0]?.tag.animalId ?? ''}`);
  await expect(second.page.getByText('This is what this device keeps')).toBeVisible();
  await second.page.goto(`${server.url}/animals?words=${lambs[1]?.tag.text ?? ''}`);
  await expect(second.page.getByRole('link', { name: new RegExp(`tag ${lambs[1]?.tag.text ?? ''}`) })).toBeVisible();
  await second.page.goto(server.url);
  await expect(second.page.getByRole('heading', { name: 'Window open now' })).toBeVisible();
  await expect(async () => {
    await second.page.keyboard.type(lambs[2]?.tag.text.slice(-3) ?? '');
    await expect(second.page.getByRole('dialog')).toContainText(lambs[2]?.tag.text ?? '', { timeout: 2_000 });
  }).toPass();

  await second.context.setOffline(false);
  await second.page.goto(`${server.url}/kept`);
  await expect(second.page.getByText('Everything written on this device is in the book')).toBeVisible();
  const book = (await (await request.get(`${server.url}/api/book`)).json()) as BookFile;
  const written = book.entries.filter((e) => e.source === 'race');
  const expected = lambs.flatMap((a) => [
    ['passage', a.tag.animalId],
    ['weight', a.tag.animalId],
  ]);
  expect(written.map((e) => [e.type, e.type === 'strike' ? '' : e.animalId])).toEqual(expected);
  expect(written.flatMap((e) => (e.type === 'weight' ? [e.kg] : []))).toEqual(lambs.map((_, i) => Number(kgOf(i))));
  await second.context.close();
});

test('every place opens after a reload without the server, says from when its figures are, and a birth is kept', async ({
  request,
}) => {
  const first = await openBrowser(false);
  await first.page.goto(server.url);
  await first.page.evaluate(() => navigator.serviceWorker.ready.then(() => true));
  // The last of what is read ahead for this has been written away.
  await expectOnDevice(first.page, '"condition",{"species":"cattle"');
  await first.context.close();

  const { context, page } = await openBrowser(true);
  for (const [path, shown] of [
    ['/remedies', 'Remedies'],
    ['/tags', 'Who needs a tag?'],
    ['/carrying', 'Carrying'],
    ['/rearing', 'Rearing'],
    ['/mating', 'Mating'],
    ['/condition', 'Condition'],
    ['/year', 'Year plan'],
    ['/choosing', 'Choosing'],
    ['/selling', 'Selling'],
    ['/births', 'Births'],
  ] as const) {
    await page.goto(`${server.url}${path}`);
    await expect(
      page.getByText(/What you see is what this device keeps, read (today|on .*) at \d\d:\d\d/),
    ).toBeVisible();
    await expect(page.getByRole('heading', { level: 1 }).first(), shown).toBeVisible();
    await expect(page.getByRole('heading', { name: 'The server is away' })).toHaveCount(0);
  }
  await page.getByRole('button', { name: 'Record a birth' }).click();
  const birth = page.getByRole('dialog', { name: 'A birth' });
  await birth.getByLabel('Tag of the dam').fill('A-10');
  await page.keyboard.press('Enter');
  await birth.getByRole('group', { name: 'Alive' }).getByRole('button', { name: '+ Female' }).click();
  await birth.getByRole('button', { name: 'Record birth' }).click();
  await expect(birth.getByText('A-10: 1 lamb alive. The next dam, or close.')).toBeVisible();
  await context.setOffline(false);
  await expect
    .poll(async () => {
      const { recent } = (await (await request.get(`${server.url}/api/births`)).json()) as BirthsView;
      return recent.find((b) => b.tag.text === 'A-10')?.alive;
    })
    .toBe(1);
  await context.close();
});

test('two devices work one job at once, and each sees what the other wrote', async ({ browser, request }) => {
  const roster = (await (await request.get(`${server.url}/api/roster`)).json()) as RosterView;
  const year = roster.on.slice(0, 4);
  const [a, b] = roster.animals.filter(
    (x) => x.species === 'sheep' && x.sex === 'female' && x.bornOn?.startsWith(year),
  );
  const one = await (await browser.newContext()).newPage();
  await one.goto(`${server.url}/race`);
  await one.getByRole('button', { name: /Start with/ }).click();
  await expect(one.getByLabel('Number of the next animal')).toBeFocused();
  await expect(one.getByText('all saved')).toBeVisible();
  const two = await (await browser.newContext()).newPage();
  await two.goto(one.url());
  // A device that did not begin the job asks whose hand it is.
  await two.getByLabel('Weighed and recorded by').fill('Deniz');
  await two.keyboard.press('Enter');
  await expect(two.getByLabel('Number of the next animal')).toBeFocused();
  await weigh(one, a?.tag.text ?? '', '41', 1);
  await weigh(two, b?.tag.text ?? '', '42', 1);
  // Each hears of the other within its next look.
  await expect(one.getByTestId('seen-count')).toContainText('2 of');
  await expect(two.getByTestId('seen-count')).toContainText('2 of');
  // The same animal on both: said, kept, and one of the two taken back.
  await weigh(one, b?.tag.text ?? '', '44', 2);
  await one.getByRole('button', { name: 'Finish' }).click();
  await expect(one.getByRole('heading', { name: 'Recorded twice (1)' })).toBeVisible();
  await one
    .getByRole('button', { name: /^Take back/ })
    .first()
    .click();
  await expect(one.getByRole('heading', { name: /Recorded twice/ })).toBeHidden();
  const { entries } = (await (await request.get(`${server.url}/api/book`)).json()) as BookFile;
  expect(entries.filter((e) => e.source === 'race' && e.type === 'weight').map((e) => e.writtenBy)).toEqual([
    'Aylin',
    'Deniz',
    'Aylin',
  ]);
});
