import type { Locator } from '@playwright/test';

/** Opens a choice and takes one of its list, by its words or by what it stands for. */
export async function choose(choice: Locator, wanted: string | RegExp): Promise<void> {
  const page = choice.page();
  // Beside it stands one out of sight, which fills in what a browser remembers.
  await choice.and(page.locator('button')).click();
  const list = page.getByRole('listbox');
  await list
    .locator(`[data-key=${JSON.stringify(`=${String(wanted)}`)}]`)
    .or(list.getByRole('option', { name: wanted, exact: true }))
    .click();
}
