import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from './axe';
import { aServer, type Server } from './server';

// Every place for everybody. In a file of its own, that it runs beside the journeys and not after them.
let server: Server;
test.beforeAll(async () => {
  server = await aServer(4940);
});
test.afterAll(() => server.remove());

const SIZES = [
  { width: 1280, height: 800 },
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
  '/remedies',
  '/remedies/register',
  '/tags',
  '/choosing',
  '/holding/files',
  '/holding',
  '/race',
];
async function open(page: Page, path: string): Promise<void> {
  await page.goto(`${server.url}${path}`);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.waitForLoadState('networkidle');
}
for (const path of PLACES) {
  test(`${path} can be read and used by everybody, on a laptop, a tablet and a phone, and in the barn`, async ({
    page,
  }) => {
    await open(page, path);
    await expectAccessible(page);
    for (const size of SIZES) {
      await page.setViewportSize(size);
      await expectAccessible(page, 'targets');
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(size.width);
    }
    await page.evaluate(() => {
      localStorage.setItem('yaylak-theme', 'barn');
      document.documentElement.dataset.theme = 'barn';
    });
    await expectAccessible(page, 'colours');
  });
}
