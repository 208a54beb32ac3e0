import { screen, waitFor, within } from '@testing-library/react';
import type { UserEvent } from '@testing-library/user-event';

const optionsOfOpen = (): HTMLElement[] => within(screen.getByRole('listbox')).queryAllByRole('option');

/**
 * Opens a choice and takes one of its list, by its words or by what it stands for; waits for it where the list is still
 * read. @throws Error that lists what there is
 */
export async function choose(user: UserEvent, choice: HTMLElement, wanted: string): Promise<void> {
  if (choice.getAttribute('aria-expanded') !== 'true') await user.click(choice);
  const found = await waitFor(() => {
    const options = optionsOfOpen();
    const one = options.find((o) => o.textContent === wanted || o.dataset.key === `=${wanted}`);
    if (!one) throw new Error(`“${wanted}” is none of ${options.map((o) => o.textContent).join(', ')}`);
    return one;
  });
  await user.click(found);
}

/** The words a choice offers; it is closed again. @param least waits for so many */
export async function offered(user: UserEvent, choice: HTMLElement, least = 1): Promise<string[]> {
  if (choice.getAttribute('aria-expanded') !== 'true') await user.click(choice);
  await waitFor(() => expect(optionsOfOpen().length).toBeGreaterThanOrEqual(least));
  const words = optionsOfOpen().map((o) => o.textContent);
  await user.keyboard('{Escape}');
  return words;
}
