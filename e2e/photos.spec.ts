import type { AnimalView, PhotoEntry, RosterView } from '@yaylak/contract';
import { expect, test, type APIRequestContext, type Page } from '@playwright/test';
import { expectKept } from './device';
import { aServer, type Server } from './server';

test.use({ serviceWorkers: 'allow', viewport: { width: 390, height: 844 } });

let server: Server;
test.beforeAll(async () => {
  server = await aServer();
});
test.afterAll(() => server.remove());

/** Photos of an animal in the book, the oldest first. */
async function photosOf(request: APIRequestContext, id: string): Promise<readonly PhotoEntry[]> {
  const { timeline } = (await (await request.get(`${server.url}/api/animals/${id}`)).json()) as AnimalView;
  const photos = timeline.flatMap(({ entry, struck }) => (entry.type === 'photo' && struck === null ? [entry] : []));
  return photos.toReversed();
}

/** As a phone takes it: far larger than it is kept. */
async function fromCamera(page: Page): Promise<Buffer> {
  const other = await page.context().newPage();
  await other.setViewportSize({ width: 2400, height: 1800 });
  await other.setContent('<body style="margin:0;background:repeating-conic-gradient(#a23b2a 0 9deg,#44683f 0 18deg)">');
  const taken = await other.screenshot({ type: 'png' });
  await other.close();
  return taken;
}

const add = (page: Page, name: string, buffer: Buffer): Promise<void> =>
  page.locator('input[type=file]').setInputFiles({ name, mimeType: 'image/png', buffer });

test('a photo is made small, kept without a network, seen without one, struck out and brought back', async ({
  page,
  request,
}) => {
  const roster = (await (await request.get(`${server.url}/api/roster`)).json()) as RosterView;
  const goat = roster.animals.find((a) => a.species === 'goat' && a.sex === 'female' && a.photo === undefined);
  const id = goat?.tag.animalId ?? '';
  await page.goto(server.url);
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => true));
  // The worker takes over with the next page: what that asks for is kept by it.
  await page.goto(`${server.url}/animals/${id}`);
  const photos = page.getByRole('button', { name: /^Photo of/ });
  await expect(page.getByText('None yet. Take one with the phone')).toBeVisible();

  await add(page, 'notes.png', Buffer.from('not a picture'));
  await expect(page.getByRole('alert')).toHaveText(
    '“notes.png” cannot be read as a picture here. Choose a JPEG, PNG or WebP.',
  );

  const taken = await fromCamera(page);
  await add(page, 'goat.png', taken);
  await page.getByLabel('What it shows (optional)').fill('left side');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(photos).toHaveCount(1);
  const [first] = await photosOf(request, id);
  expect(first).toMatchObject({ width: 1024, height: 768, shows: 'left side' });
  const kept = await (await request.get(`${server.url}/api/photos/${first?.pictureId}`)).body();
  expect(kept.length).toBeLessThanOrEqual(150_000);
  expect(taken.length).toBeGreaterThan(kept.length);
  const isShown = () =>
    photos
      .first()
      .locator('img')
      .evaluate((img: HTMLImageElement) => img.complete && img.naturalWidth);
  await expect.poll(isShown).toBe(1024);

  await page.context().setOffline(true);
  await add(page, 'again.png', taken);
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('kept on this device until the server is back')).toBeVisible();
  await expect(photos).toHaveCount(2);
  await expect.poll(isShown).toBe(1024);
  expect(await photosOf(request, id)).toHaveLength(1);
  await page.context().setOffline(false);
  await expect.poll(async () => (await photosOf(request, id)).length).toBe(2);
  const second = (await photosOf(request, id)).at(-1);
  expect((await request.get(`${server.url}/api/photos/${second?.pictureId}`)).ok()).toBe(true);

  await page.reload();
  await expect(photos).toHaveCount(2);
  await expect.poll(isShown).toBe(1024);
  await photos.first().click();
  await page.getByRole('button', { name: 'Strike out' }).last().click();
  await expect(photos).toHaveCount(1);
  await page.keyboard.press('Control+z');
  await expect(photos).toHaveCount(2);
  expect((await photosOf(request, id)).map((p) => p.pictureId)).toContain(second?.pictureId);

  // Without a network the animal comes out of what the device keeps, its photos with it.
  await expect.poll(isShown).toBe(1024);
  // What was brought back is written anew, under another id.
  await expectKept<AnimalView>(
    page,
    ['animal', id],
    ({ timeline }) => timeline.filter(({ entry, struck }) => entry.type === 'photo' && struck === null).length === 2,
  );
  await page.context().setOffline(true);
  await page.goto(`${server.url}/animals/${id}`);
  await expect(page.getByText('The server is away. What you see is what this device keeps')).toBeVisible();
  await expect(photos).toHaveCount(2);
  await expect.poll(isShown).toBe(1024);
});
