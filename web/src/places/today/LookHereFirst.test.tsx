import { screen, waitFor, within } from '@testing-library/react';
import { aHolding } from '../../tests/builders';
import { renderPage } from '../../tests/renderPage';
import { LookHereFirst } from './LookHereFirst';

const holding = (isDemo: boolean) => {
  const own = aHolding();
  return { ...own, about: { ...own.about, isDemo } };
};
const show = (isDemo = true) => renderPage(<LookHereFirst />, { answers: { 'GET /api/holding': holding(isDemo) } });

describe('the demo', () => {
  it('shows a newcomer eight stops, and ticks those that were visited', async () => {
    const { user, path } = show();
    const stops = within(await screen.findByRole('list')).getAllByRole('link');
    expect(stops).toHaveLength(8);
    await user.click(stops[2] as HTMLElement);
    expect(path()).toBe('/mating/pairing?species=goat');
    expect(screen.getByText(/1 seen/)).toBeVisible();
    expect(screen.getAllByRole('listitem')[2]).toHaveTextContent(/Mating: pairing \(seen\)/);
  });
  it('remembers what was seen, and stays closed once it is closed', async () => {
    localStorage.setItem('yaylak-demo-path', '/tags');
    const { user } = show();
    expect(await screen.findByText(/1 seen/)).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Close this' }));
    expect(screen.queryByText('Look here first')).toBeNull();
    expect(localStorage.getItem('yaylak-demo-path')).toContain('closed');
  });
});

it('is not shown on a holding of one’s own', async () => {
  const { asked } = show(false);
  await waitFor(() => expect(asked.map((a) => a.path)).toContain('/api/holding'));
  expect(screen.queryByText('Look here first')).toBeNull();
});
