import { expect, test } from '@playwright/test';
import { expectAccessible } from './axe';
import { expectNothingBeside, LAPTOP, SMALLER, Walker } from './everybody';
import { addressOf, madeIn, type Made } from './made';
import { expectReadable } from './readable';
import { aServer, type Server } from './server';
import { expectTouchable } from './targets';

// Every place for everybody, some of the places in each worker.
test.describe.configure({ mode: 'parallel' });
let server: Server;
let english: Walker;
/** Of somebody who reads Turkish. */
let turkish: Walker;
let made: Made;
test.beforeAll(async ({ browser }) => {
  server = await aServer();
  english = await Walker.of(browser, server.url);
  turkish = await Walker.of(browser, server.url, 'tr-TR');
  made = await madeIn(english.page, server.url);
});
test.afterAll(() => server.remove());

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
  '/holding/groups',
  '/holding/figures',
  '/holding/judging',
  '/holding/copies',
  '/holding/devices',
  '/holding/people',
  '/join',
  '/log-in',
  '/race',
  '/guide',
  '/start?step=animals',
  '/kept',
  // Of those that have an address of their own; see `Made`.
  'EWE',
  'EWE/pedigree',
  'LOAD',
  'JOB',
];
for (const path of PLACES) {
  test(`${path} can be read and used by everybody, on a laptop, a tablet and a phone, and in the barn`, async () => {
    const { page } = english;
    await english.open(addressOf(path, made));
    await expectAccessible(page);
    await expectTouchable(page);
    await expectReadable(page);
    await expectNothingBeside(page);
    // A picture is told in words: nothing in it is to be stopped at by Tab.
    await expect(page.locator('[role=img] [tabindex="0"]')).toHaveCount(0);
    for (const size of SMALLER) {
      await page.setViewportSize(size);
      await expectAccessible(page, 'targets');
      await expectTouchable(page);
      await expectNothingBeside(page);
    }
    await english.inTheBarn();
    await expectAccessible(page, 'colours');
  });

  test(`${path} is said in Turkish, with as much room as in English`, async () => {
    const { page } = turkish;
    await turkish.open(addressOf(path, made));
    await expect(page.locator('html')).toHaveAttribute('lang', 'tr');
    await expectReadable(page);
    for (const size of [LAPTOP, ...SMALLER]) {
      await page.setViewportSize(size);
      await expectTouchable(page);
      await expectNothingBeside(page);
    }
  });
}

test('the help beside a place, and the menu of a phone, can be read and used by everybody', async () => {
  const { page } = english;
  await english.open('/births');
  await page.getByRole('button', { name: 'Help' }).click();
  await expect(page.getByRole('complementary', { name: 'Help' }).getByRole('heading', { level: 2 })).toBeFocused();
  await expectAccessible(page);
  await expectTouchable(page);
  await expectNothingBeside(page);
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
  await expectNothingBeside(page);
});
