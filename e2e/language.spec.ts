import { expect, test, type Page } from '@playwright/test';
import { aServer, type Server } from './server';

let server: Server;
test.beforeAll(async () => {
  server = await aServer();
});
test.afterAll(() => server.remove());

test.describe('in a browser that reads Turkish', () => {
  test.use({ locale: 'tr-TR' });
  const go = async (page: Page, path: string): Promise<void> => {
    await page.goto(`${server.url}${path}`);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  };

  test('Today, the births, an animal and the finder are in Turkish, figures and days too', async ({ page }) => {
    await go(page, '/');
    await expect(page).toHaveTitle(/Yaylak/);
    await expect(page.getByRole('heading', { name: 'Yarım kalanlar' })).toBeVisible();
    // The server says why in the language of who asks, with the language's own comma.
    await expect(page.getByText(/\d,\d\u00a0kg, yılın bu zamanı için olağan/).first()).toBeVisible();
    await expect(page.getByText(/kondisyon|tart/i).first()).toBeVisible();
    await page.getByRole('link', { name: 'Doğumlar' }).click();
    await expect(page.getByRole('heading', { name: 'Sırada kim doğuracak?' })).toBeVisible();
    await page.getByRole('button', { name: 'Bul' }).click();
    // By what it is called in Turkish, and by its number.
    await page.getByRole('dialog').getByLabel('Numaranın ya da adın bir parçası').fill('teke');
    await expect(page.getByRole('option', { name: /teke/ }).first()).toBeVisible();
    await page.getByRole('dialog').getByLabel('Numaranın ya da adın bir parçası').fill('26-0001');
    await expect(page.getByRole('option', { name: /26-0001.*dişi kuzu/ })).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(page.getByText('Son tartımdan beri', { exact: true })).toBeVisible();
    await expect(page.getByText(/g\/gün/).first()).toBeVisible();
  });

  test('a weight goes in at the race, and what is wrong with it is said in Turkish', async ({ page }) => {
    await go(page, '/race');
    await expect(page.getByRole('heading', { name: 'Hangi hayvanlar geçecek?' })).toBeVisible();
    await page.getByRole('button', { name: /hayvanla başlat/ }).click();
    await page.getByRole('textbox', { name: 'Sıradaki hayvanın numarası' }).waitFor();
    await page.keyboard.type('26-0001');
    await page.keyboard.press('Enter');
    await page.keyboard.type('390');
    await page.keyboard.press('Enter');
    await expect(page.getByText(/390\skg, buradaki koyun için fazla/)).toBeVisible();
  });

  test('what its file lacks is read in English, and the other language is a press away', async ({ page }) => {
    await go(page, '/selling/outlets');
    await expect(page.getByRole('link', { name: 'Satış' })).toBeVisible();
    await go(page, '/births');
    await page.getByRole('button', { name: 'English' }).click();
    await expect(page.getByRole('heading', { name: 'Who is due next?' })).toBeVisible();
    await expect(page.locator('html')).toHaveAttribute('lang', 'en');
    // Chosen on this device, it stays.
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Who is due next?' })).toBeVisible();
    await page.getByRole('button', { name: 'Türkçe' }).click();
    await expect(page.getByRole('heading', { name: 'Sırada kim doğuracak?' })).toBeVisible();
  });
});

test('two who ask at once are answered each in their own language', async ({ request }) => {
  const ask = async (language: string): Promise<string> => {
    const answer = await request.post(`${server.url}/api/entries`, {
      headers: { 'accept-language': language },
      data: { entries: [{ id: 'no', type: 'weight' }] },
    });
    return answer.text();
  };
  const answers = await Promise.all(['tr-TR,tr;q=0.9', 'en-GB', 'tr', 'de', 'tr'].map(ask));
  const inTurkish = answers.map((text) => /kimlik değil|eksik, yazın/.test(text));
  expect(inTurkish).toEqual([true, false, true, false, true]);
});
