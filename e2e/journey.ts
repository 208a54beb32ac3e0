import { test as base, type Page } from '@playwright/test';

/** How each window of a journey is: a laptop's, still, with nothing put aside for days without a network. */
export const WINDOW = {
  viewport: { width: 1280, height: 800 },
  serviceWorkers: 'block',
  reducedMotion: 'reduce',
} as const;

/**
 * A journey in a window that is open already: one an engine is warm in loads the application in half the time. What a
 * journey left in it (outbox, settings of the device, other windows) is gone before the next.
 */
export const test = base.extend<object, { readonly window: Page }>({
  window: [
    async ({ browser }, use) => {
      const context = await browser.newContext(WINDOW);
      await use(await context.newPage());
      await context.close();
    },
    { scope: 'worker' },
  ],
  context: async ({ window }, use) => use(window.context()),
  page: async ({ window }, use, info) => {
    await window.setViewportSize(WINDOW.viewport);
    await use(window);
    // The window goes on to the next journey: what stood in it is said with what failed.
    if (info.status !== info.expectedStatus) info.errors.push({ message: await sightOf(window).catch(String) });
    window.removeAllListeners();
    for (const other of window.context().pages()) if (other !== window) await other.close();
    await forget(window);
  },
});

/** Where a window is, and what stands in it. */
async function sightOf(page: Page): Promise<string> {
  const text = await page.evaluate(() => document.querySelector('main')?.innerText ?? document.body.innerText);
  return `The window is at ${page.url()}, where stands:\n${text.slice(0, 800)}`;
}

/** The device keeps nothing of what was read, written or set on it; the application itself stays. */
export async function forget(page: Page): Promise<void> {
  const { origin } = new URL(page.url());
  if (!origin.startsWith('http')) return;
  // Left first: a page that is still open writes what it keeps as it goes.
  await page.goto('about:blank');
  const session = await page.context().newCDPSession(page);
  await session.send('Storage.clearDataForOrigin', { origin, storageTypes: 'local_storage,indexeddb,cookies' });
  await session.detach();
}
export { expect } from '@playwright/test';
