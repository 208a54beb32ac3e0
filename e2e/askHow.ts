import type { Locator, Page } from '@playwright/test';
import { quietOf } from './quiet';

/**
 * Asks of a figure how it was worked out, once the page stands still: on a slow machine what came last moved the small
 * button away between the finger's going down and its coming up.
 *
 * @param of What is asked about, as the answer's heading says it
 * @returns The answer
 */
export async function askHow(page: Page, of: string): Promise<Locator> {
  await quietOf(page).wait();
  await page.getByRole('button', { name: `How is ${of} worked out?` }).click();
  return page.getByRole('dialog', { name: of });
}
