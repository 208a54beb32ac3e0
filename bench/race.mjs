import { chromium } from '@playwright/test';
import { chromiumOptions } from '../scripts/chromium.mjs';

const ANIMALS = 5_000;
const THROUGH = 2_500;
const MEASURED = 100;
const GOAL_MS = 100;

const middle = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];
const nth = (i) => `24-${String(i + 1).padStart(4, '0')}`;

/**
 * At the race with 5,000 animals on the list and half of them through, each weighed, looked over, treated and sorted:
 * the interface's own time an animal, from its number read until its stations stand there and from Enter until the next
 * number can be read; and until the passage is written down on the device and counted. The floor is the same keystroke
 * in a page that does nothing with it.
 * @returns rows of figure, floor and ratio
 */
export async function raceRows({ app, postAll, arrival, weight, newId }) {
  const ids = Array.from({ length: ANIMALS }, () => newId());
  const book = app.book;
  const now = new Date();
  const today = now.toLocaleDateString('sv-SE');
  const stamp = { writtenAt: now.toISOString(), writtenBy: 'Bench', source: 'race' };
  await postAll(
    book,
    ids.map((id) => arrival(id, '2024-04-01')),
  );
  await postAll(
    book,
    ids.flatMap((animalId, i) => [
      {
        id: newId(),
        type: 'identifier',
        animalId,
        on: '2024-04-01',
        kind: 'visual',
        text: nth(i),
        colour: 'green',
        ...stamp,
      },
      weight(animalId, '2024-04-01', 4),
      weight(animalId, '2026-10-01', 58),
    ]),
  );
  await app.http.listen(0, '127.0.0.1');
  const url = (await app.http.getUrl()).replace('[::1]', '127.0.0.1');
  const product = {
    id: newId(),
    name: 'Bench drench',
    kind: 'remedy',
    doseUnit: 'ml',
    doses: [{ species: 'sheep', by: 'kg', perKg: 0.2 }],
    step: 0.5,
    rounding: 'up',
    routes: ['mouth'],
    withdrawals: [{ species: 'sheep', route: 'mouth', meatDays: 14 }],
    batches: [{ batch: 'B', amount: 1_000_000 }],
  };
  await post(`${url}/api/remedies/products`, product);
  const jobId = newId();
  const job = {
    id: jobId,
    name: 'Everybody',
    on: today,
    startedAt: now.toISOString(),
    startedBy: 'Bench',
    stations: ['weigh', 'look', 'treat', 'sort'],
    settings: { treat: { productIds: [product.id] }, sort: { by: 'weight', line: 60, above: 'left', below: 'right' } },
    gates: [
      { key: 'left', name: 'Keep' },
      { key: 'right', name: 'Sell' },
    ],
    animalIds: ids,
  };
  await post(`${url}/api/jobs`, job);
  await postAll(
    book,
    ids.slice(0, THROUGH).flatMap((animalId, i) => {
      const at = { ...stamp, writtenAt: new Date(now.getTime() + i).toISOString(), jobId };
      return [
        { id: newId(), type: 'passage', animalId, on: today, ...at },
        { ...weight(animalId, today, 60), ...at },
      ];
    }),
  );
  const browser = await chromium.launch(chromiumOptions);
  try {
    const page = await browser.newPage();
    const floor = await keystrokeMs(page);
    await page.goto(`${url}/race/${jobId}`);
    await page.getByTestId('seen-count').getByText(`${THROUGH} of ${ANIMALS}`).waitFor();
    // This device did not begin the job, and is asked who stands there.
    await page.getByRole('button', { name: 'Continue' }).click();
    await page.locator('#race-number').waitFor();
    await page.evaluate(() => {
      globalThis.readMs = [];
      globalThis.readyMs = [];
      globalThis.keptMs = [];
      const seen = () => document.querySelector('[data-testid=seen-count]').textContent;
      const isReady = () => document.activeElement.id === 'race-number';
      /** Notes the time when something holds, looked at after each frame. */
      const when = (holds, from, list) => {
        if (holds()) list.push(performance.now() - from);
        else requestAnimationFrame(() => when(holds, from, list));
      };
      addEventListener(
        'keydown',
        (event) => {
          const at = document.activeElement.id;
          if (event.key !== 'Enter' || !/^race-(number|weight)$/.test(at)) return;
          const from = performance.now();
          if (at === 'race-number') {
            const isAtHand = () => document.activeElement.id === 'race-weight';
            requestAnimationFrame(() => when(isAtHand, from, globalThis.readMs));
            return;
          }
          const before = seen();
          requestAnimationFrame(() => {
            when(isReady, from, globalThis.readyMs);
            when(() => seen() !== before, from, globalThis.keptMs);
          });
        },
        true,
      );
    });
    for (let i = 0; i < MEASURED; i++) {
      await page.keyboard.type(nth(THROUGH + i));
      await page.keyboard.press('Enter');
      await page.getByLabel('Weight, kg').waitFor();
      await page.keyboard.type('61.5');
      await page.keyboard.press('a');
      await page.keyboard.press('Enter');
      await page
        .getByTestId('seen-count')
        .getByText(`${THROUGH + i + 1} of ${ANIMALS}`)
        .waitFor();
    }
    const { readMs, readyMs, keptMs } = await page.evaluate(() => ({
      readMs: globalThis.readMs,
      readyMs: globalThis.readyMs,
      keptMs: globalThis.keptMs,
    }));
    const each = readyMs.map((ms, i) => ms + readMs[i]);
    const row = (name, ms) => ({
      name,
      figure: `${ms.toFixed(0)} ms`,
      floor: `${floor.toFixed(0)} ms a bare key, goal ${GOAL_MS} ms`,
      ratio: ms / GOAL_MS,
    });
    return [
      row('race, 5,000 animals: read to ready, mean', each.reduce((s, ms) => s + ms, 0) / each.length),
      row('of it: the animal at hand after its number', middle(readMs)),
      // Two waits with typing between them: each has to be short, the first of a day too.
      row(`its slowest of ${MEASURED}`, Math.max(...readMs)),
      row('of it: the next number after Enter', middle(readyMs)),
      row(`its slowest of ${MEASURED}`, Math.max(...readyMs)),
      row('written down on the device, and counted', middle(keptMs)),
    ];
  } finally {
    await browser.close();
  }
}

const post = (url, body) =>
  fetch(url, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });

/** From a key until the next frame in a page that does nothing with it. */
async function keystrokeMs(page) {
  await page.setContent('<input autofocus>');
  await page.evaluate(() => {
    globalThis.frameMs = [];
    addEventListener('keydown', () => {
      const from = performance.now();
      requestAnimationFrame(() => globalThis.frameMs.push(performance.now() - from));
    });
  });
  for (let i = 0; i < MEASURED; i++) {
    await page.keyboard.press('1');
    await page.waitForTimeout(30);
  }
  return middle(await page.evaluate(() => globalThis.frameMs));
}
