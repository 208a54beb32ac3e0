import type { SellingView } from '@yaylak/contract';
import { expectAccessible } from './axe';
import { expect, test } from './journey';
import { aServer, type Server } from './server';
import { choose } from './choose';

let server: Server;
test.beforeEach(async () => {
  server = await aServer();
});
test.afterEach(() => server.remove());

test('drawn in the open, felt at the race, and worth its class afterwards', async ({ page }) => {
  const selling = async (): Promise<SellingView> =>
    (await (await page.request.get(`${server.url}/api/selling?species=sheep`)).json()) as SellingView;
  await page.goto(`${server.url}/selling`);
  await expect(page.getByText(/of 33 animals are ready. Split as below they bring/)).toBeVisible();
  await choose(page.getByLabel('For', { exact: true }), 'Stone bridge');
  await page.getByLabel('Wanted').fill('4');
  await expect(page.getByText(/4 wanted: \d+ of the \d+ are likely enough in the open/)).toBeVisible();
  const drawn = await page.getByRole('list', { name: 'To bring in' }).getByRole('listitem').count();
  expect(drawn).toBeGreaterThanOrEqual(4);
  await expectAccessible(page);
  const [tag] = await page.getByRole('list', { name: 'To bring in' }).getByRole('link').allInnerTexts();
  const text = (tag ?? '').trim();
  await page.getByRole('button', { name: 'Start it at the race' }).click();
  await page.getByRole('button', { name: `Start with ${drawn} animals` }).click();

  // By keyboard from here on.
  await expect(page.locator('#race-number')).toBeFocused();
  await page.keyboard.type(text);
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Weight, kg')).toBeFocused();
  await page.keyboard.type('56.4');
  await page.getByRole('textbox', { name: 'Shape' }).focus();
  await page.keyboard.type('r+');
  for (const place of ['tail-head', 'loin', 'ribs']) {
    await page.getByRole('textbox', { name: `Fat, ${place}` }).focus();
    await page.keyboard.type('2+');
  }
  await expect(page.getByText(/Stone bridge: ready, \d+/)).toBeVisible();
  if (process.env.LOOK) await page.screenshot({ path: process.env.LOOK });
  await expect(page.getByText(/Suggested: Stone bridge, ready/)).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('seen-count')).toContainText(`1 of ${drawn}`);

  await expect
    .poll(async () => (await selling()).rows.find((r) => r.tag.text === text)?.finish)
    .toMatchObject({ shape: 9, fat: 6 });
  await page.goto(`${server.url}/selling`);
  const row = page.getByRole('row').filter({ hasText: text });
  await expect(row).toContainText('Shape R+, fat 2+');
  await expect(row).toContainText('56.4');
});

test('an outlet pays otherwise from today, and the pen is worth that at once', async ({ page }) => {
  await page.goto(`${server.url}/selling/outlets`);
  await page.getByRole('button', { name: 'Change Hill market' }).click();
  const sheet = page.getByRole('dialog', { name: 'Hill market' });
  await sheet.getByRole('button', { name: 'New prices' }).click();
  await sheet.getByLabel('A kg, EUR').fill('4.00');
  await expectAccessible(page);
  await sheet.getByRole('button', { name: 'Save the outlet' }).click();
  await expect(sheet).toBeHidden();
  await expect(page.getByRole('listitem').filter({ hasText: 'Hill market' })).toContainText('4.00');
  await page.getByRole('link', { name: 'Who is ready' }).click();
  await expect(page.getByText(/of 33 animals are ready/)).toBeVisible();
  const view = (await (await page.request.get(`${server.url}/api/selling?species=sheep`)).json()) as SellingView;
  const market = view.outlets.find((o) => o.facts.name === 'Hill market');
  const row = view.rows.find((r) => r.held === null && r.weight !== null);
  if (!market || !row?.weight) throw new Error('the demo has a market and lambs for it');
  // 3 % lost on the way, 4 % commission, .90 off a head.
  const minor = row.weight.nowKg * 0.97 * 400 * 0.96 - 90;
  expect(row.cells.find((c) => c.outletId === market.id)?.nowMinor).toBeCloseTo(minor, 6);
  await expect(
    page.getByRole('button', { name: `${row.tag.text} to Hill market, ${Math.round(minor / 100)} EUR` }),
  ).toBeVisible();
});
