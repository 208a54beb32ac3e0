import { expect, type Locator, type Page } from '@playwright/test';

/** One space where the page has several, or one that does not break. */
export const plain = (text: string): string => text.replace(/[\s\u00a0]+/g, ' ');

/**
 * All a place says, in one line, once it has its figures.
 * @param awaited what comes a moment later than the place itself, such as a panel with a question of its own
 */
export async function said(page: Page, address: string, awaited?: string | RegExp): Promise<string> {
  await page.goto(address, { waitUntil: 'commit' });
  const main = page.getByRole('main');
  await expect(main.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(main.locator('[aria-busy]')).toHaveCount(0);
  if (awaited !== undefined) await expect(main).toContainText(awaited);
  return plain(await main.innerText());
}

/** What stands behind a number, up to so much of it as a row has. */
export function rowOf(text: string, number: string, length = 260): string {
  const at = text.indexOf(number);
  return at < 0 ? '' : text.slice(at, at + length);
}

/** Types a day into a field, part by part, day first. @param iso `2026-11-23`, with `T07:30` behind where hours count */
export async function typeDay(within: Page | Locator, name: string, iso: string): Promise<void> {
  const [day = '', hour = ''] = iso.split('T');
  const parts = within.getByRole('group', { name, exact: true }).getByRole('spinbutton');
  await parts.first().focus();
  await parts.first().pressSequentially(day.split('-').reverse().join('') + hour.replace(':', ''));
}
