import type { Page } from '@playwright/test';

/** Whether a page still asks for something, or works on what came. */
export interface Quiet {
  /** Waits until nothing has been asked for in the last moment, all that was is there, and the page has drawn it. */
  wait(): Promise<void>;
}

const MOMENT_MS = 300;
const LOOKS_MS = 50;

interface Tasks {
  readonly scheduler: { postTask(task: () => void, how: { readonly priority: 'background' }): Promise<void> };
}
/**
 * When the page has nothing better left to do: on a slow machine drawing what came can take longer than a moment. A
 * callback of the browser's own idle time would be kept waiting in a window that is not in front.
 */
const idle = (page: Page): Promise<void> =>
  page.evaluate(() => (window as unknown as Tasks).scheduler.postTask(() => undefined, { priority: 'background' }));

/** Listens from now on to what a page asks for. A browser's own idle state counts from its last load alone. */
export function quietOf(page: Page): Quiet {
  const underWay = new Set<object>();
  let since = Date.now();
  const touched = (): void => {
    since = Date.now();
  };
  page.on('request', (request) => {
    underWay.add(request);
    touched();
  });
  for (const end of ['requestfinished', 'requestfailed'] as const)
    page.on(end as 'requestfinished', (request) => {
      underWay.delete(request);
      touched();
    });
  return {
    async wait() {
      touched();
      while (underWay.size > 0 || Date.now() - since < MOMENT_MS) {
        await page.waitForTimeout(LOOKS_MS);
        await idle(page);
      }
      await page.locator('[aria-busy=true]').first().waitFor({ state: 'detached' });
    },
  };
}
