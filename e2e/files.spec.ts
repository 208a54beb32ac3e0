import { fileURLToPath } from 'node:url';
import type { Page } from '@playwright/test';
import { expect, test } from './journey';
import { aServer, type Server } from './server';
import { choose } from './choose';

/*
 * A file out is a file in: the animals of the demo holding, as its list writes them, read into a book that has none.
 */

let full: Server;
let empty: Server;
test.beforeAll(async () => {
  [full, empty] = await Promise.all([aServer(), aServer('empty')]);
});
test.afterAll(() => Promise.all([full.remove(), empty.remove()]));

/** Of these every one comes back; the rest is worked out from weights. */
const COLUMNS =
  'number,colour,tattoo,electronic,name,species,sex,breed,bought,born,bornAs,rearedAs,dam,sire,group,arrived,cameBy,left,leftHow,notes';

const animals = async (page: Page, { url }: Server): Promise<string[]> =>
  (await (await page.request.get(`${url}/api/files/animals.csv?presence=all&columns=${COLUMNS}`)).text())
    .split('\r\n')
    .sort();

test('animals.csv gives the same animals in an empty book, and the same file again changes nothing', async ({
  page,
}) => {
  const before = await animals(page, full);
  const file = {
    name: 'animals.csv',
    mimeType: 'text/csv',
    buffer: await (await page.request.get(`${full.url}/api/files/animals.csv?presence=all`)).body(),
  };
  await page.goto(`${empty.url}/holding/files`);
  const take = async (): Promise<void> => {
    await choose(page.getByLabel('It holds'), 'animals');
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Choose a spreadsheet or CSV file' }).click();
    await (await chooser).setFiles(file);
    await page.getByRole('button', { name: 'Look at what would happen' }).click();
  };
  await take();
  const rows = before.length - 2;
  await expect(page.getByText(new RegExp(`Of ${rows} rows: ${rows} new, 0 in`))).toBeVisible();
  await expect(page.getByText(/groups are made/)).toBeVisible();
  await page.getByRole('button', { name: `Take in ${rows}` }).click();
  await expect(page.getByRole('heading', { name: `${rows} taken in` })).toBeVisible();
  expect(await animals(page, empty)).toEqual(before);

  await page.reload();
  await take();
  await expect(page.getByText(new RegExp(`Of ${rows} rows: 0 new, ${rows} in`))).toBeVisible();
});

test('a workbook is taken in as a spreadsheet saves it: its days, and every digit of a chip', async ({ page }) => {
  await page.goto(`${empty.url}/holding/files`);
  await choose(page.getByLabel('It holds'), 'animals');
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose a spreadsheet or CSV file' }).click();
  await (await chooser).setFiles(fileURLToPath(new URL('fixtures/ewes.xlsx', import.meta.url)));
  await page.getByRole('button', { name: 'Look at what would happen' }).click();
  await page.getByRole('button', { name: 'Take in 2' }).click();
  await expect(page.getByRole('heading', { name: '2 taken in' })).toBeVisible();
  const all = await animals(page, empty);
  expect(all.filter((line) => line.startsWith('W-'))).toEqual([
    expect.stringMatching(/^W-1,.*,792000000990001,,sheep,female,.*,2024-02-29,/),
    expect.stringMatching(/^W-2,.*,792000000990002,,sheep,female,.*,2023-03-01,/),
  ]);
});
