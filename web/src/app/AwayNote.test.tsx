import { useQuery } from '@tanstack/react-query';
import { screen, waitFor } from '@testing-library/react';
import { tagsQuery } from '../api/queries';
import { AWAY, no, renderPage } from '../tests/renderPage';
import { AwayNote } from './AwayNote';

function Tags() {
  const { data, refetch } = useQuery(tagsQuery);
  return (
    <>
      <p>{data ? 'tags here' : 'nothing'}</p>
      <button type="button" onClick={() => void refetch()}>
        again
      </button>
    </>
  );
}

it('says from when the figures are once the server is away, and is gone when they are read anew', async () => {
  let isAway = false;
  const { user } = renderPage(
    <>
      <AwayNote />
      <Tags />
    </>,
    { answers: { 'GET /api/tags': () => (isAway ? AWAY : {}) } },
  );
  await screen.findByText('tags here');
  expect(screen.queryByText(/The server is away/)).toBeNull();
  isAway = true;
  await user.click(screen.getByRole('button', { name: 'again' }));
  expect(
    await screen.findByText(/^The server is away. What you see is what this device keeps, read today at \d\d:\d\d\.$/),
  ).toBeVisible();
  expect(screen.getByText('tags here')).toBeVisible();
  isAway = false;
  await user.click(screen.getByRole('button', { name: 'again' }));
  await waitFor(() => expect(screen.queryByText(/The server is away/)).toBeNull());
});

it('says so when the server is there and lets this device in no longer, and what becomes of what is written', async () => {
  let isOutside = false;
  const outside = no(401, 'This device is not let in.', undefined, '/problems/not-joined');
  const { user } = renderPage(
    <>
      <AwayNote />
      <Tags />
    </>,
    { answers: { 'GET /api/tags': () => (isOutside ? outside : {}) } },
  );
  await screen.findByText('tags here');
  isOutside = true;
  await user.click(screen.getByRole('button', { name: 'again' }));
  expect(
    await screen.findByText(/not let in to the book\. .* what is written waits here until it is let in\.$/),
  ).toBeVisible();
  expect(screen.getByRole('link', { name: 'Let this device in' })).toHaveAttribute('href', '/join');
  expect(screen.getByText('tags here')).toBeVisible();
});
