import { expect, test } from '@playwright/test';
import type { BookFile, RosterView } from '@yaylak/contract';
import { expectAccessible } from './axe';
import { aServer, type Server } from './server';

let server: Server;
test.beforeEach(async () => {
  server = await aServer();
});
test.afterEach(() => server.remove());

// The lid closes and opens while the server is away: the application is on the device.
test.use({ serviceWorkers: 'allow' });
test('twenty ewe lambs by keyboard, with the server gone in the middle, are in the book once', async ({
  page,
  request,
}) => {
  const roster = (await (await request.get(`${server.url}/api/roster`)).json()) as RosterView;
  const year = roster.on.slice(0, 4);
  const lambs = roster.animals
    .filter((a) => a.species === 'sheep' && a.sex === 'female' && a.bornOn?.startsWith(year))
    .slice(0, 20);
  expect(lambs).toHaveLength(20);
  await page.goto(server.url);
  await expect(page.getByRole('heading', { name: 'Window open now' })).toBeVisible();
  // It opens without the server once it lies on the device.
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));

  // Alt+2 goes to the race; who, then Enter on the button: no pointer anywhere.
  await page.keyboard.press('Alt+2');
  await expect(page.getByRole('heading', { name: 'Which animals are coming through?' })).toBeVisible();
  await page.getByLabel('Who', { exact: true }).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.type(`Ewe lambs of ${year}`);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /Start with/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: /Start with/ }).focus();
  await page.keyboard.press('Enter');
  const number = page.getByLabel('Number of the next animal');
  await expect(number).toBeFocused();
  await expectAccessible(page);

  const weights = lambs.map((a, i) => ((a.weights.at(-1)?.[1] ?? 30) + 1 + (i % 4) / 2).toFixed(1));
  for (const [i, lamb] of lambs.entries()) {
    if (i === 10) await server.kill();
    // Two keys beyond the digits: Enter after the number, Enter after the weight.
    await page.keyboard.type(lamb.tag.text);
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Weight, kg')).toBeFocused();
    if (i === 3) await expectAccessible(page);
    await page.keyboard.type(weights[i] ?? '');
    await page.keyboard.press('Enter');
    await expect(number).toBeFocused();
    await expect(page.getByTestId('seen-count')).toContainText(`${i + 1} of`);
  }
  await expect(page.getByText(/20 kept here|\d+ kept here, not yet on the server/)).toBeVisible();

  // The lid closes and opens while the server is still away: the log is on this device.
  await page.reload();
  await expect(page.getByTestId('seen-count')).toContainText('20 of');

  await server.start();
  await expect(page.getByText('all saved')).toBeVisible({ timeout: 30_000 });
  const book = (await (await request.get(`${server.url}/api/book`)).json()) as BookFile;
  const today = book.entries.filter((e) => e.type === 'weight' && e.source === 'race');
  const byAnimal = new Map(today.map((e) => [e.type === 'weight' ? e.animalId : '', e.type === 'weight' ? e.kg : 0]));
  expect(today).toHaveLength(20);
  lambs.forEach((lamb, i) => expect(byAnimal.get(lamb.tag.animalId)).toBeCloseTo(Number(weights[i]), 6));
});

test('a slip is asked about, an unknown number is taken in, the last animal is taken back', async ({
  page,
  request,
}) => {
  await page.goto(`${server.url}/race`);
  await page.getByText('Sort by gate').click();
  await page.getByRole('button', { name: /Start with/ }).click();
  const roster = (await (await request.get(`${server.url}/api/roster`)).json()) as RosterView;
  const year = roster.on.slice(0, 4);
  const lamb = roster.animals.find((a) => a.species === 'sheep' && a.sex === 'female' && a.bornOn?.startsWith(year));
  const enter = async (...typed: string[]): Promise<void> => {
    for (const text of typed) {
      if (text.startsWith('Arrow')) await page.keyboard.press(text);
      else {
        await page.keyboard.type(text);
        await page.keyboard.press('Enter');
      }
    }
  };
  await expect(page.getByLabel('Number of the next animal')).toBeFocused();
  await enter(lamb?.tag.text ?? '', '0');
  await expect(page.getByRole('alert')).toContainText('is not possible');
  for (const [typed, words] of [
    ['9999', 'heavier than sheep here should be'],
    ['many', 'is not a weight'],
    ['96.5', 'Check the reading'],
  ] as const) {
    await page.getByLabel('Weight, kg').fill('');
    await enter(typed);
    await expect(page.getByRole('alert')).toContainText(words);
  }
  const last = lamb?.weights.at(-1)?.[1] ?? 0;
  await page.getByLabel('Weight, kg').fill('');
  await enter((last + 1).toFixed(1).replace('.', ','));
  await expect(page.getByRole('alert')).toContainText('Choose a gate');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('seen-count')).toContainText('1 of');

  await enter('zz-777');
  await expect(page.getByRole('alert')).toContainText('Enter again takes it in');
  await page.keyboard.press('Enter');
  await enter('38');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('Enter');
  await expect(page.getByText('and 1 not on the list')).toBeVisible();
  await page.keyboard.press('Backspace');
  await expect(page.getByText('Taken back: zz-777.')).toBeVisible();
  await expect(page.getByText('and 1 not on the list')).toBeHidden();

  await page.getByRole('button', { name: 'Finish' }).click();
  await expect(page.getByText(/1 of \d+ on the list came through/)).toBeVisible();
  await page.getByRole('button', { name: 'Finish the job' }).click();
  await expect(page.getByRole('heading', { name: 'Finished' })).toBeVisible();
  await expect(page.getByText('all saved')).toBeVisible();
});
