import 'reflect-metadata';
import type { Page } from '@playwright/test';
import { whoText, type BookFile, type RosterView, type SeasonView, type TodayView } from '@yaylak/contract';
import { expect, test } from './journey';
import { aServer, type Server } from './server';

let server: Server;
test.beforeAll(async () => {
  server = await aServer();
});
test.afterAll(() => server.remove());

const ask = async <T>(page: Page, path: string): Promise<T> =>
  (await (await page.request.get(`${server.url}${path}`)).json()) as T;

test('one press from Today starts the scoring of the ewes; after it stand the mobs, the sprays and the thin list', async ({
  page,
}) => {
  const { due } = await ask<TodayView>(page, '/api/today');
  const work = due.find((d) => d.does.includes('Score') && d.who !== null && whoText(d.who).endsWith('ewes'));
  const roster = await ask<RosterView>(page, '/api/roster');
  const ewes = roster.animals.filter((a) => work?.animalIds.includes(a.tag.animalId)).slice(0, 9);
  await page.goto(server.url);
  await page.getByRole('button', { name: /^Start: .*core.* ewes$/ }).click();
  const number = page.getByLabel('Number of the next animal');
  await expect(number).toBeFocused();

  // 3, 2 and a half by the point alone, 4: fit, thin, fat by the usual ewe's aim of 3.
  const scores = ['3', '2.', '4'];
  for (const [i, ewe] of ewes.entries()) {
    await page.keyboard.type(ewe.tag.text);
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Score, 1 to 5')).toBeFocused();
    await page.keyboard.type(scores[i % 3] ?? '');
    await page.keyboard.press('Enter');
    const again = page.getByRole('alert').filter({ hasText: 'Enter again' });
    await expect(number.or(again)).toBeVisible();
    if (await again.isVisible()) await page.keyboard.press('Enter');
    await expect(page.getByTestId('seen-count')).toContainText(`${i + 1} of`);
  }
  await expect(page.getByText('all saved')).toBeVisible();
  await page.getByRole('button', { name: 'Finish' }).click();
  const book = await ask<BookFile>(page, '/api/book');
  const put = book.entries.flatMap((e) => (e.type === 'mob' && e.source === 'race' ? [e.mob] : []));
  expect(put).toHaveLength(9);
  const mobs = page.getByRole('region', { name: 'Feed mobs' });
  for (const mob of ['thin', 'fit', 'fat'])
    await expect(mobs.locator(`[data-mob=${mob}] b`)).toHaveText(String(put.filter((m) => m === mob).length));
  await expect(mobs.getByText('spray red on the shoulder')).toBeVisible();
  const sprayed = book.entries.filter((e) => e.type === 'mark' && e.source === 'race');
  expect(sprayed).toHaveLength(put.filter((m) => m === 'thin').length);
  await page.getByRole('button', { name: 'Finish the job' }).click();
  await mobs.getByRole('link', { name: 'Print the thin list' }).click();
  await expect(page.getByRole('row')).toHaveCount(1 + put.filter((m) => m === 'thin').length);

  // Who was scored is not asked for again; the rest of the flock still is.
  const after = await ask<TodayView>(page, '/api/today');
  const left = after.due.find((d) => d.does.includes('Score') && d.who !== null && whoText(d.who).endsWith('ewes'));
  expect(left?.animalIds).toHaveLength((work?.animalIds.length ?? 0) - ewes.length);
});

test('dragging the rams ten days on moves births, tests and weaning, warns, and Ctrl+Z brings it back', async ({
  page,
}) => {
  await page.goto(`${server.url}/year`);
  await page.getByRole('button', { name: /^Lambing \d+.*clash/ }).click();
  const bar = (name: string) => page.getByRole('slider', { name, exact: true });
  const names = ['Rams in', 'Lambing', 'Scan and count', 'Blood test', 'Weaning'];
  const dates = async (): Promise<string[]> =>
    Promise.all(names.map(async (n) => (await bar(n).getAttribute('aria-valuetext')) ?? ''));
  // Another plan has steps of the same names: theirs are not read while the page still changes over.
  await expect(bar('Rams in')).toBeVisible();
  const before = await dates();
  const warning = page.getByText(/First lambing on .*, 10 days after the .* wanted/);
  await expect(warning).toBeHidden();

  await bar('Rams in').scrollIntoViewIfNeeded();
  const box = await bar('Rams in').boundingBox();
  const track = await bar('Rams in').locator('..').boundingBox();
  const [from, to] = [
    await bar('Rams in').getAttribute('aria-valuemin'),
    await bar('Rams in').getAttribute('aria-valuemax'),
  ];
  if (!box || !track) throw new Error('the bar is not on the page');
  const tenDays = (10.2 * track.width) / (Number(to) - Number(from));
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + tenDays / 2, y, { steps: 4 });
  await page.mouse.move(x + tenDays, y, { steps: 4 });
  await expect(warning).toBeVisible();
  await page.mouse.up();
  await expect(page.getByText(/^Moved: rams in to .*; \d+ dates moved with it$/)).toBeVisible();
  const after = await dates();
  for (const [i, date] of after.entries()) expect(date).not.toBe(before[i]);
  const kept = await ask<SeasonView>(page, '/api/season');
  const plan = kept.plans.find((p) => p.facts.wanted?.on !== undefined && p.version === 2);
  const wanted = Date.parse(plan?.facts.wanted?.on ?? '');
  // 147 days of carrying less the ten it was moved.
  expect((wanted - Date.parse(plan?.facts.matingOn ?? '')) / 86_400_000).toBe(137);

  await page.keyboard.press('Control+z');
  await expect(warning).toBeHidden();
  await expect.poll(dates).toEqual(before);
});

test('the calendar is a file of whole days that its address gives out', async ({ page }) => {
  const { calendarKey } = await ask<SeasonView>(page, '/api/season');
  await page.goto(`${server.url}/year`);
  await page.getByRole('button', { name: 'Calendar' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'As a file' }).click();
  expect((await download).suggestedFilename()).toBe('yaylak.ics');
  const text = await (await page.request.get(`${server.url}/api/calendar.ics?key=${calendarKey}`)).text();
  expect(text).toMatch(/^BEGIN:VCALENDAR/);
  expect(text).toContain('SUMMARY:Rams in');
  expect(text).toMatch(/DTSTART;VALUE=DATE:\d{8}/);
});
