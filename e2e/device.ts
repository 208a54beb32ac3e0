import { expect, type Page } from '@playwright/test';

/** Waits until what the page has read lies on the device, as it does some seconds after. @param text part of it */
export const expectOnDevice = (page: Page, text: string): Promise<void> =>
  expect
    .poll(
      () =>
        page.evaluate(
          (wanted) =>
            new Promise<boolean>((resolve) => {
              const open = indexedDB.open('keyval-store');
              open.onsuccess = () => {
                const get = open.result.transaction('keyval').objectStore('keyval').get('yaylak-read');
                get.onsuccess = () => resolve(String(get.result).includes(wanted));
              };
            }),
          text,
        ),
      { timeout: 40_000 },
    )
    .toBe(true);
