import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { chromiumOptions } from '../scripts/chromium.mjs';
import { expect, test, WINDOW } from './journey';
import { aServer, type Server } from './server';

let server: Server;
test.beforeAll(async () => {
  server = await aServer();
});
test.afterAll(() => server.remove());

test('a card printed for a pen opens its animal when it is held to the camera', async ({ page }) => {
  await page.goto(`${server.url}/animals?words=K-D15`);
  await page.getByRole('checkbox', { name: 'Choose K-D15' }).check();
  await page.getByRole('link', { name: 'Pen cards' }).click();
  const card = page.getByRole('article', { name: 'K-D15' });
  await expect(card).toContainText('Served');
  // What a camera would see of it: the card itself, large and on white.
  const shown = await card.getByRole('img', { name: 'Code of K-D15' }).evaluate((svg) => svg.outerHTML);
  await page.setContent(
    `<body style="margin:0;padding:60px;background:#fff"><style>svg{width:360px;height:360px}</style>${shown}`,
  );
  const folder = mkdtempSync(join(tmpdir(), 'yaylak-camera-'));
  const film = join(folder, 'card.mjpeg');
  writeFileSync(film, await page.screenshot({ type: 'jpeg', clip: { x: 0, y: 0, width: 640, height: 480 } }));

  const { args = [], ...options } = chromiumOptions as { readonly args?: readonly string[] };
  const browser = await chromium.launch({
    ...options,
    args: [
      ...args,
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-video-capture=${film}`,
    ],
  });
  try {
    const phone = await browser.newPage({ ...WINDOW, viewport: { width: 390, height: 844 }, hasTouch: true });
    await phone.goto(`${server.url}/births`);
    await phone.getByRole('button', { name: 'Find' }).tap();
    await phone.getByRole('button', { name: 'Scan a pen card' }).tap();
    await expect(phone).toHaveTitle('K-D15, doe · Yaylak');
    await expect(phone.getByRole('dialog')).toBeHidden();
  } finally {
    await browser.close();
    rmSync(folder, { recursive: true, force: true });
  }
});
