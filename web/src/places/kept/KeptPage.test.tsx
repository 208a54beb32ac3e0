import { screen, waitFor } from '@testing-library/react';
import { aHolding, anEntry, aRoster, aRosterAnimal } from '../../tests/builders';
import { AWAY, no, renderPage, type Answers } from '../../tests/renderPage';
import { KeptPage } from './KeptPage';

const show = (answers: Answers) =>
  renderPage(<KeptPage />, {
    at: '/kept',
    route: '/kept',
    answers: {
      'GET /api/holding': aHolding(),
      'GET /api/groups': [],
      'GET /api/roster': aRoster([aRosterAnimal('26-0001')]),
      ...answers,
    },
  });
const weight = anEntry('weight', { kg: 44, method: 'scale' });

it('says so when everything is in the book', async () => {
  show({});
  expect(await screen.findByText('Everything written on this device is in the book')).toBeVisible();
});

it('lists what waits, in words, and sends it when asked', async () => {
  let isAway = true;
  const { user, outbox } = show({
    'POST /api/entries': () => (isAway ? AWAY : { answers: [{ id: weight.id, status: 'kept' }] }),
  });
  await outbox.put([{ kind: 'entry', entry: weight }]);
  expect(await screen.findByText(/44.0.kg, scale/)).toBeVisible();
  expect(await screen.findByText(/The server is away. It is tried again by itself/)).toBeVisible();
  expect(await screen.findByRole('img', { name: /tag 26-0001/ })).toBeVisible();
  isAway = false;
  await user.click(screen.getByRole('button', { name: 'Try to send now' }));
  expect(await screen.findByText('Everything written on this device is in the book')).toBeVisible();
});

it('says that a device waits to be let in, and not for a server', async () => {
  const outside = no(401, 'This device is not let in.', undefined, '/problems/not-joined');
  const { outbox } = show({ 'POST /api/entries': outside });
  await outbox.put([{ kind: 'entry', entry: weight }]);
  expect(await screen.findByText(/not let in to the book\. It waits here/)).toBeVisible();
  expect(screen.queryByText(/The server is away/)).toBeNull();
});

it('keeps what the book refused until it is mended and sent again, or dropped', async () => {
  let isRefused = true;
  const { user, outbox } = show({
    'POST /api/entries': () => ({
      answers: [
        isRefused
          ? { id: weight.id, status: 'refused', message: 'It left the holding on 2026-10-01.' }
          : { id: weight.id, status: 'kept' },
      ],
    }),
  });
  await outbox.put([{ kind: 'entry', entry: weight }]);
  expect(await screen.findByText('It left the holding on 2026-10-01.')).toBeVisible();
  expect(screen.getByText('0 entries wait for the server, 1 was not taken')).toBeVisible();
  isRefused = false;
  await user.click(screen.getByRole('button', { name: 'Send again' }));
  expect(await screen.findByText('Nothing is kept here')).toBeVisible();
  isRefused = true;
  await outbox.put([{ kind: 'entry', entry: weight }]);
  await user.click(await screen.findByRole('button', { name: 'Drop it' }));
  // One press asks; going elsewhere is no answer.
  await user.tab();
  expect(screen.queryByRole('button', { name: 'Drop it for good?' })).toBeNull();
  expect(outbox.state().refused).toHaveLength(1);
  await user.click(screen.getByRole('button', { name: 'Drop it' }));
  await user.click(screen.getByRole('button', { name: 'Drop it for good?' }));
  await waitFor(() => expect(outbox.state().refused).toEqual([]));
});
