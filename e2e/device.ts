import { expect, type Page } from '@playwright/test';

/** What the page has read and lies on the device, as text; it follows what is shown some seconds later. */
const onDevice = (page: Page): Promise<string> =>
  page.evaluate(
    () =>
      new Promise<string>((resolve) => {
        const open = indexedDB.open('keyval-store');
        open.onsuccess = () => {
          const get = open.result.transaction('keyval').objectStore('keyval').get('yaylak-read');
          get.onsuccess = () => resolve(String(get.result));
        };
      }),
  );

/** Longer than the page waits before it writes, on a slow machine. */
const timeout = 40_000;

/** Waits until what the page has read lies on the device. @param text part of it */
export const expectOnDevice = (page: Page, text: string): Promise<void> =>
  expect.poll(async () => (await onDevice(page)).includes(text), { timeout }).toBe(true);

interface Kept {
  readonly clientState: {
    readonly queries: readonly { readonly queryKey: readonly unknown[]; readonly state: { readonly data: unknown } }[];
  };
}

/** Waits until what the device keeps of one question is as told: a part of it may lie there from before a change. */
export const expectKept = <T>(page: Page, key: readonly unknown[], as: (data: T) => boolean): Promise<void> =>
  expect
    .poll(
      async () => {
        const { queries } = (JSON.parse(await onDevice(page)) as Kept).clientState;
        return queries.some((q) => JSON.stringify(q.queryKey) === JSON.stringify(key) && as(q.state.data as T));
      },
      { timeout },
    )
    .toBe(true);
