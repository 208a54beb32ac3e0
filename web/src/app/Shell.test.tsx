import { act, screen, waitFor } from '@testing-library/react';
import { aHolding, anEntry, aJob, aToday } from '../tests/builders';
import { AWAY, renderPage, type Answers } from '../tests/renderPage';
import { Shell } from './Shell';

const show = async (answers: Answers = {}) => {
  const shown = renderPage(<Shell />, {
    answers: {
      'GET /api/today': aToday({ openJobs: [aJob()] }),
      'GET /api/year-band': { year: 2026, today: '2026-11-23', lanes: [] },
      ...answers,
    },
  });
  await screen.findByText('Ardıçlı holding');
  return shown;
};

it('shows a count beside a place only when something waits there', async () => {
  await show();
  expect(await screen.findByLabelText('1 waiting')).toBeVisible();
});

it('has no count when nothing waits', async () => {
  const { asked } = await show({ 'GET /api/today': aToday() });
  await waitFor(() => expect(asked.map((a) => a.path)).toContain('/api/today'));
  expect(screen.queryByLabelText(/waiting/)).toBeNull();
});

it('goes to a place by Alt and its number, in the order of the rail', async () => {
  const { user, path } = await show();
  await user.keyboard('{Alt>}3{/Alt}');
  await waitFor(() => expect(path()).toBe('/year'));
  await user.keyboard('{Alt>}9{/Alt}');
  await waitFor(() => expect(path()).toBe('/choosing'));
  await user.keyboard('{Alt>}0{/Alt}');
  await waitFor(() => expect(path()).toBe('/selling'));
});

it('says how many entries wait here while the server is away', async () => {
  const { outbox } = await show({ 'POST /api/entries': AWAY });
  await outbox.put([{ kind: 'entry', entry: anEntry('note', { text: 'x' }) }]);
  expect(await screen.findByText(/not yet on the server/)).toHaveTextContent(
    '1 entry kept here, not yet on the server',
  );
  expect(screen.getByRole('link', { name: '1 entry kept here' })).toHaveAttribute('href', '/kept');
  outbox.stop();
});

it('shows a place only once the day and the settings are there, so that no sheet is without a date', async () => {
  let answer: (holding: object) => void = () => undefined;
  renderPage(<Shell />, {
    answers: {
      'GET /api/today': aToday(),
      'GET /api/year-band': { year: 2026, today: '2026-11-23', lanes: [] },
      'GET /api/holding': () => new Promise((resolve) => (answer = resolve)),
    },
  });
  expect(await screen.findByLabelText('Loading')).toBeVisible();
  answer(aHolding());
  await waitFor(() => expect(screen.queryByLabelText('Loading')).toBeNull());
});

it('changes between light and barn, and remembers which', async () => {
  const { user } = await show();
  await user.click(screen.getByRole('button', { name: 'Barn theme (dark)' }));
  expect(localStorage.getItem('yaylak-theme')).toBe('barn');
  expect(await screen.findByRole('button', { name: 'Light theme' })).toBeVisible();
});

it('says that this device’s clock is an hour and more ahead, and whose clock counts', async () => {
  jest.useFakeTimers({ now: new Date('2026-11-23T10:10:00'), advanceTimers: true });
  await show({ 'GET /api/holding': aHolding({ now: '2026-11-23T09:00' }) });
  expect(await screen.findByRole('note')).toHaveTextContent(
    'This device’s clock is 1 hour 10 minutes ahead of the computer with the book. Hours here go by the computer’s clock.',
  );
  jest.useRealTimers();
});

it('says once that this device’s clock was days behind', async () => {
  const days = ['2026-11-23', '2026-12-25'];
  jest.useFakeTimers({ now: new Date('2026-11-23T12:00:00'), advanceTimers: true });
  const { user } = await show({
    'GET /api/holding': () => {
      const today = days.shift() ?? '2026-12-25';
      return aHolding({ today, now: `${today}T12:00` });
    },
  });
  expect(screen.queryByRole('alert')).toBeNull();
  // Looked at again, the page is read anew.
  act(() => void window.dispatchEvent(new Event('visibilitychange')));
  expect(await screen.findByRole('alert')).toHaveTextContent(/clock was 32 days behind/);
  await user.click(screen.getByRole('button', { name: 'I have read it' }));
  expect(screen.queryByRole('alert')).toBeNull();
  jest.useRealTimers();
});
