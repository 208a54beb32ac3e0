import { expect, test, type Page } from '@playwright/test';
import type { AnimalView, BookFile, RosterAnimal, RosterView, StartJob } from '@yaylak/contract';
import { randomUUID } from 'node:crypto';
import { expectOnDevice } from './device';
import { aServer, type Server } from './server';
import { expectTouchable, TOUCH_RACE } from './targets';

/*
 * A job in which all goes wrong that goes wrong in a yard: the server away in the middle, a reader that interrupts, keys
 * pressed twice, the page shut with a weight half typed, the rest done on another day by another hand.
 */

let server: Server;
test.beforeEach(async () => {
  server = await aServer();
});
test.afterEach(() => server.remove());
// The application is on the device: it opens while the server is away.
test.use({ serviceWorkers: 'allow' });

const roster = async (page: Page): Promise<RosterView> =>
  (await (await page.request.get(`${server.url}/api/roster`)).json()) as RosterView;

/** The lambs born last, each with a number. */
async function tagged(page: Page): Promise<readonly RosterAnimal[]> {
  const { animals, on } = await roster(page);
  // Days before today, and not this month: on its first day nobody was born in it yet.
  const since = new Date(Date.parse(on) - 10 * 86_400_000).toISOString().slice(0, 10);
  const isNew = (a: RosterAnimal): boolean => a.species === 'sheep' && a.bornOn !== null && a.bornOn >= since;
  const worn = (animalId: string, number: object): object => ({
    id: randomUUID(),
    type: 'identifier',
    animalId,
    on,
    writtenAt: new Date().toISOString(),
    writtenBy: 'Aylin',
    source: 'hand',
    ...number,
  });
  const entries = animals
    .filter(isNew)
    .flatMap(({ tag }, i) => [
      worn(tag.animalId, { kind: 'visual', colour: 'green', text: `26-77${10 + i}` }),
      worn(tag.animalId, { kind: 'electronic', text: `7920000007771${10 + i}` }),
    ]);
  const answer = await page.request.post(`${server.url}/api/entries?mode=whole`, { data: { entries } });
  expect(answer.status()).toBeLessThan(300);
  return (await roster(page)).animals.filter(isNew);
}

async function start(page: Page, animals: readonly RosterAnimal[], more: Partial<StartJob>): Promise<StartJob> {
  const job: StartJob = {
    id: randomUUID(),
    name: 'Lambs',
    on: (await roster(page)).on,
    startedAt: new Date().toISOString(),
    startedBy: 'Aylin',
    stations: ['weigh'],
    gates: [],
    animalIds: animals.map((a) => a.tag.animalId),
    ...more,
  };
  expect((await page.request.post(`${server.url}/api/jobs`, { data: job })).status()).toBeLessThan(300);
  return job;
}

const at = (page: Page) => ({
  number: page.getByLabel('Number of the next animal'),
  weight: page.getByLabel('Weight, kg'),
  seen: page.getByTestId('seen-count'),
  /** Says who is there; a day that the server tells of only then is asked about once more. */
  async says(hand: string): Promise<void> {
    const goOn = page.getByRole('button', { name: 'Continue' });
    await expect(goOn).toBeVisible();
    await expect(async () => {
      if (await goOn.isVisible()) {
        await page.getByLabel('Weighed and recorded by').fill(hand);
        await goOn.click();
      }
      await expect(goOn).toBeHidden({ timeout: 1_000 });
      await expect(page.locator('#race-number, #race-weight').first()).toBeVisible({ timeout: 2_000 });
    }).toPass({ timeout: 30_000 });
  },
  async keys(text: string): Promise<void> {
    const pad = page.getByRole('group', { name: 'Keys to touch' });
    for (const key of text) await pad.getByRole('button', { name: key, exact: true }).click();
  },
});

for (const size of [
  { width: 1280, height: 800 },
  { width: 390, height: 844 },
])
  test(`a job with every trouble in it keeps all of it true, ${size.width} wide`, async ({ page }) => {
    await page.setViewportSize(size);
    await page.goto(server.url);
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    const lambs = await tagged(page);
    const { on } = await roster(page);
    const [ram, second, third, fourth] = [...lambs].sort((a, b) => (a.sex < b.sex ? 1 : -1)) as [
      RosterAnimal,
      RosterAnimal,
      RosterAnimal,
      RosterAnimal,
    ];
    expect(ram.sex).toBe('male');
    const kg = (a: RosterAnimal): string => ((a.weights.at(-1)?.[1] ?? 4) + 0.4).toFixed(1);
    const job = await start(page, lambs, {
      stations: ['weigh', 'care'],
      settings: {
        care: {
          kinds: [
            { kind: 'navel', method: 'iodine' },
            { kind: 'castrate', method: 'ring' },
          ],
        },
      },
    });
    await page.goto(`${server.url}/race/${job.id}`);
    const { number, weight, seen, says, keys } = at(page);
    await says('Emre');

    // What cuts is pressed animal by animal; what was put off by a key says so.
    await number.fill(ram.tag.text);
    await page.keyboard.press('Enter');
    await expect(weight).toBeFocused();
    const castrate = page.getByRole('button', { name: /Castrate/ });
    await expect(castrate).toHaveAttribute('aria-pressed', 'false');
    await castrate.click();
    await expect(page.getByRole('alert')).toContainText('Your local law decides');
    await page.getByRole('button', { name: /Navel/ }).click();
    await expect(page.getByRole('alert')).toContainText('not for this one');
    await weight.focus();
    await keys(kg(ram));
    const enter = page.getByRole('group', { name: 'Keys to touch' }).getByRole('button', { name: 'Enter' });
    await enter.click();
    // Over the usual age it is asked about once more.
    if (await page.getByText(/Enter again to record it/).isVisible()) await enter.click();
    await expect(number).toBeFocused();
    await expect(seen).toContainText('1 of');

    // The job was begun elsewhere; by now this device knows of it. The server goes. A reader types its number where a weight is asked for: it is another animal, not a weight.
    await expectOnDevice(page, job.id);
    await server.kill();
    await page.keyboard.type(second.tag.text);
    await page.keyboard.press('Enter');
    await expect(weight).toBeFocused();
    await page.keyboard.type(third.worn.find(([, , kind]) => kind === 'electronic')?.[0] ?? '');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('img', { name: new RegExp(`tag ${third.tag.text}`) }).first()).toBeVisible();
    await expect(page.getByRole('alert')).toContainText('Another animal was read, so this one is not recorded');
    // Enter twice quickly is one animal.
    await page.keyboard.type(kg(third));
    await page.keyboard.press('Enter');
    await page.keyboard.press('Enter');
    await expect(number).toBeFocused();
    await expect(seen).toContainText('2 of');
    await page.keyboard.type(second.tag.text);
    await page.keyboard.press('Enter');
    await page.keyboard.type(kg(second));
    await page.keyboard.press('Enter');
    await expect(seen).toContainText('3 of');

    // Half typed, the page is read anew, left, and come back to.
    await page.keyboard.type(fourth.tag.text);
    await page.keyboard.press('Enter');
    await page.keyboard.type(kg(fourth));
    await page.reload();
    await expect(weight).toHaveValue(kg(fourth));
    // Just read in again, the page may not hear a key yet.
    await expect(async () => {
      await page.keyboard.press('Escape');
      await expect(page.getByRole('heading', { name: 'Which animals are coming through?' })).toBeVisible({
        timeout: 3_000,
      });
    }).toPass();
    await page.goBack();
    await expect(weight).toHaveValue(kg(fourth));

    // The next day, with the server: who is there is asked, and the rest bears that day and that hand.
    await server.start(1);
    await page.reload();
    await says('Ayşe');
    await expect(weight).toHaveValue(kg(fourth));
    await weight.press('Enter');
    await expect(seen).toContainText('4 of');
    await expect(page.getByText('all saved')).toBeVisible({ timeout: 30_000 });

    await page.getByRole('button', { name: 'Finish', exact: true }).click();
    await page.getByRole('button', { name: 'Finish the job' }).click();
    const through = page.getByText(`4 of ${lambs.length} on the list came through`);
    await expect(page.getByRole('heading', { name: 'Finished' })).toBeVisible();
    await expect(through).toBeVisible();
    await expect(page.getByText('all saved')).toBeVisible();
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Finished' })).toBeVisible();
    await expect(through).toBeVisible();

    const book = (await (await page.request.get(`${server.url}/api/book`)).json()) as BookFile;
    const written = book.entries.flatMap((e) => (e.type === 'weight' && e.jobId === job.id ? [e] : []));
    const tomorrow = (await roster(page)).on;
    expect(tomorrow > on).toBe(true);
    expect(written.map((e) => [e.animalId, e.on, e.writtenBy, e.kg.toFixed(1)])).toEqual([
      [ram.tag.animalId, on, 'Emre', kg(ram)],
      [third.tag.animalId, on, 'Emre', kg(third)],
      [second.tag.animalId, on, 'Emre', kg(second)],
      [fourth.tag.animalId, tomorrow, 'Ayşe', kg(fourth)],
    ]);
    const cared = book.entries.flatMap((e) => (e.type === 'care' && e.jobId === job.id ? [[e.animalId, e.kind]] : []));
    expect(cared).toEqual([
      [ram.tag.animalId, 'castrate'],
      [third.tag.animalId, 'navel'],
      [second.tag.animalId, 'navel'],
      [fourth.tag.animalId, 'navel'],
    ]);
    const after = (await (
      await page.request.get(`${server.url}/api/animals/${ram.tag.animalId}`)
    ).json()) as AnimalView;
    expect(after.row.sex).toBe('castrate');

    // Entered on purpose for its own day, a job dates by that.
    const late = await start(page, lambs, { on, isForItsDay: true });
    await page.goto(`${server.url}/race/${late.id}`);
    await says('Ayşe');
    await number.fill(fourth.tag.text);
    await page.keyboard.press('Enter');
    await page.keyboard.type(kg(fourth));
    await page.keyboard.press('Enter');
    await expect(seen).toContainText('1 of');
    await expect(page.getByText('all saved')).toBeVisible();
    const again = (await (await page.request.get(`${server.url}/api/book`)).json()) as BookFile;
    expect(again.entries.flatMap((e) => (e.type === 'weight' && e.jobId === late.id ? [e.on] : []))).toEqual([on]);
  });

for (const size of [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
  { width: 390, height: 740 },
])
  test(`field, gates and keys are in one view and big enough for a glove, ${size.width} wide`, async ({ page }) => {
    await page.setViewportSize(size);
    const { animals } = await roster(page);
    const lambs = animals.filter((a) => a.species === 'sheep').slice(0, 20);
    const job = await start(page, lambs, {
      stations: ['identify', 'weigh', 'sort'],
      gates: [
        { key: 'left', name: 'Keep' },
        { key: 'down', name: 'Look again' },
        { key: 'right', name: 'Sell', isForSale: true },
      ],
    });
    await page.goto(`${server.url}/race/${job.id}`);
    const { number, weight, says } = at(page);
    await expect(page.getByRole('button', { name: 'Continue' })).toBeVisible();
    await expectTouchable(page, TOUCH_RACE);
    await says('Aylin');
    const keys = page.getByRole('group', { name: 'Keys to touch' });
    await expect(number).toBeInViewport({ ratio: 1 });
    await expect(keys).toBeInViewport({ ratio: 1 });
    await number.fill(lambs[0]?.tag.text ?? '');
    await page.keyboard.press('Enter');
    const gates = page.getByRole('group', { name: 'Gate' });
    const boxes = await Promise.all([weight, gates, keys].map((l) => l.boundingBox()));
    for (const box of boxes) {
      expect(box?.y).toBeGreaterThanOrEqual(0);
      expect((box?.y ?? 0) + (box?.height ?? 0)).toBeLessThanOrEqual(size.height);
    }
    if (size.width < 640) {
      const [field, gate, pad] = boxes.map((box) => [box?.y ?? 0, (box?.y ?? 0) + (box?.height ?? 0)] as const);
      expect(field?.[1]).toBeLessThanOrEqual(gate?.[0] ?? 0);
      expect(gate?.[1]).toBeLessThanOrEqual((pad?.[0] ?? 0) + 1);
    }
    if (size.width < 640) await page.getByRole('button', { name: 'Job', exact: true }).click();
    // All of it: the head, the animal, the gates, the keys and the foot.
    await expectTouchable(page, TOUCH_RACE);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(size.width);
  });

test('every key of every station is big enough for a glove', async ({ page }) => {
  await page.setViewportSize({ width: 1024, height: 768 });
  const { animals } = await roster(page);
  const doe = animals.find((a) => a.species === 'goat' && a.sex === 'female' && a.served && a.worn.length > 0);
  const job = await start(page, doe ? [doe] : [], {
    stations: ['identify', 'weigh', 'score', 'scan', 'look', 'sample', 'mark', 'care', 'note'],
    settings: {
      score: { stage: 'mating', scorers: [], sprays: [], place: 'shoulder' },
      scan: { way: 'scan', isBlind: false },
      sample: { purpose: 'blood', firstTube: 'B-500' },
      mark: { colour: 'red', place: 'back', purpose: 'seen' },
      care: { kinds: [{ kind: 'feet', method: 'trimmed' }] },
    } as never,
  });
  await page.goto(`${server.url}/race/${job.id}`);
  await at(page).says('Aylin');
  await at(page).number.fill(doe?.tag.text ?? '');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('group', { name: 'Look over' })).toBeVisible();
  await expectTouchable(page, TOUCH_RACE, '[aria-label="The animal at hand"]');
});
