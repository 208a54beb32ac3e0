import { screen, within } from '@testing-library/react';
import type { UserEvent } from '@testing-library/user-event';

const parts = (name: string | RegExp): HTMLElement[] =>
  within(screen.getByRole('group', { name })).getAllByRole('spinbutton');

/** Types a day into a field, day first as the holding of the tests writes it. @param iso `2026-11-23`, with `T07:30` behind where hours count */
export async function typeDay(user: UserEvent, name: string | RegExp, iso: string): Promise<void> {
  const [day = '', hour = ''] = iso.split('T');
  await user.click(parts(name)[0] as HTMLElement);
  await user.keyboard(day.split('-').reverse().join('') + hour.replace(':', ''));
}

/** The day a field shows: `23/11/2026`; its parts by name where there is none. */
export const dayShown = (name: string | RegExp): string =>
  parts(name)
    .map((part) => part.textContent)
    .join('/');
