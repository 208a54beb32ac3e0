import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from './axe';
import { expectReadable } from './readable';
import { aServer, type Server } from './server';
import { expectTouchable } from './targets';

// Every place for everybody, some of the places in each worker. One window goes from place to place, as people do: the
// application is loaded once.
test.describe.configure({ mode: 'parallel' });
let server: Server;
let page: Page;
/** The same window of somebody who reads Turkish. */
let turkish: Page;
test.beforeAll(async ({ browser }, { parallelIndex }) => {
  server = await aServer(4960 + parallelIndex);
  page = await browser.newPage();
  turkish = await browser.newPage({ locale: 'tr-TR' });
});
test.afterAll(() => server.remove());

const LAPTOP = { width: 1280, height: 800 };
/** What can be touched is looked at on the laptop too, with everything else. */
const SMALLER = [
  { width: 1024, height: 768 },
  { width: 390, height: 844 },
];
const PLACES = [
  '/',
  '/year',
  '/year/sheet?of=week',
  '/condition',
  '/condition/scorers',
  '/condition/practice',
  '/mating?species=goat',
  '/mating/males?species=goat',
  '/mating/pairing?species=goat',
  '/mating/record?species=rabbit',
  '/carrying?species=goat',
  '/carrying/ageing',
  '/births',
  '/rearing?species=rabbit',
  '/rearing/litters?species=rabbit',
  '/animals',
  '/animals/list?species=sheep',
  '/remedies',
  '/remedies/register',
  '/tags',
  '/choosing',
  '/choosing?step=eye',
  '/choosing?step=kin',
  '/choosing?step=choice',
  '/choosing/going?species=sheep',
  '/selling',
  '/selling/outlets',
  '/selling/results',
  '/selling/margins?species=sheep',
  '/selling/feel',
  '/holding/files',
  '/holding',
  '/race',
  '/guide',
  '/start?step=animals',
];
async function open(path: string, at = page): Promise<void> {
  await at.setViewportSize(LAPTOP);
  await at.goto(`${server.url}${path}`);
  await expect(at.getByRole('heading', { level: 1 })).toBeVisible();
  await at.waitForLoadState('networkidle');
}
async function expectNothingBeside(width: number, at = page): Promise<void> {
  expect(await at.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
}
for (const path of PLACES) {
  test(`${path} can be read and used by everybody, on a laptop, a tablet and a phone, and in the barn`, async () => {
    await open(path);
    await expectAccessible(page);
    await expectTouchable(page);
    await expectReadable(page);
    await expectNothingBeside(LAPTOP.width);
    for (const size of SMALLER) {
      await page.setViewportSize(size);
      await expectAccessible(page, 'targets');
      await expectTouchable(page);
      await expectNothingBeside(size.width);
    }
    await page.evaluate(() => {
      document.documentElement.dataset.theme = 'barn';
    });
    await expectAccessible(page, 'colours');
  });

  test(`${path} is said in Turkish, with as much room as in English`, async () => {
    await open(path, turkish);
    await expect(turkish.locator('html')).toHaveAttribute('lang', 'tr');
    await expectReadable(turkish);
    for (const size of [LAPTOP, ...SMALLER]) {
      await turkish.setViewportSize(size);
      await expectTouchable(turkish);
      await expectNothingBeside(size.width, turkish);
    }
  });
}

test('the help beside a place, and the menu of a phone, can be read and used by everybody', async () => {
  await open('/births');
  await page.getByRole('button', { name: 'Help' }).click();
  await expect(page.getByRole('complementary', { name: 'Help' }).getByRole('heading', { level: 2 })).toBeFocused();
  await expectAccessible(page);
  await expectTouchable(page);
  await expectNothingBeside(LAPTOP.width);
  await page.getByRole('button', { name: 'Close the help' }).click();
  const phone = { width: 390, height: 844 };
  await page.setViewportSize(phone);
  await page.getByRole('button', { name: 'Menu' }).click();
  await expectAccessible(page, 'targets');
  await expectTouchable(page);
  await page.getByRole('dialog').getByRole('link', { name: 'Selling' }).click();
  await expect(page).toHaveTitle(/Yaylak/);
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.getByRole('button', { name: 'Help' }).click();
  await expect(page.getByRole('dialog', { name: 'Help' }).getByRole('heading', { name: 'Selling' })).toBeVisible();
  await expectTouchable(page);
  await expectNothingBeside(phone.width);
});
