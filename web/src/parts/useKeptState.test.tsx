import { screen, waitFor } from '@testing-library/react';
import { Link, Route, Routes, useNavigate } from 'react-router';
import { renderPage } from '../tests/renderPage';
import { useKeptState } from './useKeptState';

function Chooser() {
  const [chosen, setChosen] = useKeptState('chosen', 'none');
  return (
    <>
      <p>chosen: {chosen}</p>
      <button type="button" onClick={() => setChosen('26-0012')}>
        choose
      </button>
      <Link to="/?order=age">order</Link>
      <Link to="/other">on</Link>
    </>
  );
}
function Other() {
  const navigate = useNavigate();
  return (
    <>
      <button type="button" onClick={() => void navigate(-1)}>
        back
      </button>
      <Link to="/">anew</Link>
    </>
  );
}
const pages = (
  <Routes>
    <Route path="/" element={<Chooser />} />
    <Route path="/other" element={<Other />} />
  </Routes>
);

it('is there again when one comes back, and not where one comes to the page anew', async () => {
  const { user } = renderPage(pages);
  await user.click(screen.getByRole('button', { name: 'choose' }));
  await user.click(screen.getByRole('link', { name: 'order' }));
  await user.click(screen.getByRole('link', { name: 'on' }));
  await user.click(screen.getByRole('button', { name: 'back' }));
  await waitFor(() => expect(screen.getByText('chosen: 26-0012')).toBeVisible());
  await user.click(screen.getByRole('link', { name: 'on' }));
  await user.click(screen.getByRole('link', { name: 'anew' }));
  expect(await screen.findByText('chosen: none')).toBeVisible();
});
