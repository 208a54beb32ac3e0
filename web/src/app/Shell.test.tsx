import { act, screen, waitFor, within } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { How } from '../parts/How';
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
  await user.keyboard('{Alt>}{Shift>}1{/Shift}{/Alt}');
  await waitFor(() => expect(path()).toBe('/animals'));
});

it('says how many entries wait here while the server is away', async () => {
  const { outbox } = await show({ 'POST /api/entries': AWAY });
  await outbox.put([{ kind: 'entry', entry: anEntry('note', { text: 'x' }) }]);
  await waitFor(() =>
    expect(screen.getAllByRole('status').map((s) => s.textContent)).toContain(
      '1 entry kept here, not yet on the server',
    ),
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
  await user.click(screen.getByRole('button', { name: 'Barn theme' }));
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

it('opens the finder by its button, with nothing typed yet', async () => {
  const { user } = await show({ 'GET /api/identifiers': [] });
  await user.click(screen.getByRole('button', { name: 'Find' }));
  expect(await screen.findByLabelText(/Any part of a number/)).toHaveValue('');
});

it('shows the year of the species that are kept, and no others', async () => {
  const lane = (species: string) => ({ species, blocks: [], planned: [], carrying: [], loads: [] });
  await show({
    'GET /api/holding': aHolding({ keeps: ['goat'] }),
    'GET /api/year-band': { year: 2026, today: '2026-11-23', lanes: [lane('sheep'), lane('goat')] },
  });
  expect(await screen.findByText('Goats')).toBeVisible();
  expect(screen.queryByText('Sheep')).toBeNull();
});

describe('the help', () => {
  it('stands beside the place, begins at its title, and is put away by its button or Escape', async () => {
    const { user } = await show();
    await user.click(screen.getByRole('button', { name: 'Help' }));
    const help = await screen.findByRole('complementary', { name: 'Help' });
    await waitFor(() => expect(within(help).getByRole('heading', { name: 'Today', level: 2 })).toHaveFocus());
    await user.keyboard('{Escape}');
    expect(screen.queryByRole('complementary')).toBeNull();
    await user.keyboard('{F1}');
    await user.click(await screen.findByRole('button', { name: 'Close the help' }));
    expect(screen.queryByRole('complementary')).toBeNull();
  });
  it('opens at the keys on a question mark, the place’s own first', async () => {
    const { user } = await show();
    await user.click(screen.getByRole('link', { name: 'Choosing' }));
    await user.keyboard('?');
    const help = await screen.findByRole('complementary', { name: 'Help' });
    await waitFor(() => expect(within(help).getByRole('heading', { name: 'Keys' })).toHaveFocus());
    const keys = within(help)
      .getAllByRole('term')
      .map((t) => t.textContent);
    expect(keys[0]).toBe('K, S, X');
    expect(keys).toEqual(expect.arrayContaining(['Ctrl+Z', 'Alt+Shift+4']));
  });
  it('follows to another place, and keeps a topic opened by its name until then', async () => {
    const { user } = await show();
    await user.keyboard('{F1}');
    const help = await screen.findByRole('complementary', { name: 'Help' });
    await user.type(await within(help).findByLabelText('Look for words in the help'), 'sharps box');
    const found = within(help).getByRole('list', { name: 'Found in the help' });
    await user.click(within(found).getByRole('button', { name: /^Remedies.*Needles/ }));
    expect(await within(help).findByRole('heading', { name: 'Remedies', level: 2 })).toBeVisible();
    await user.click(screen.getByRole('link', { name: 'Births' }));
    expect(await within(help).findByRole('heading', { name: 'Births', level: 2 })).toBeVisible();
    expect(within(help).getByRole('link', { name: /to print/ })).toHaveAttribute('href', '/guide');
  });
  it('is found by the finder, and opens beside', async () => {
    const { user } = await show({
      'GET /api/identifiers': [],
      'GET /api/mentions': [],
      'GET /api/tags': { marks: [] },
    });
    await user.keyboard('/');
    await user.type(await screen.findByLabelText(/Any part of a number/), 'flushing');
    await user.click(await screen.findByRole('option', { name: /Condition$/ }));
    const help = await screen.findByRole('complementary', { name: 'Help' });
    expect(await within(help).findByRole('heading', { name: 'Condition', level: 2 })).toBeVisible();
  });
  it('leads from how a figure is worked out to what its place is for', async () => {
    const { user } = renderPage(
      <Routes>
        <Route element={<Shell />}>
          <Route path="/" element={<How of="the gain">as it was weighed</How>} />
        </Route>
      </Routes>,
      {
        answers: {
          'GET /api/today': aToday(),
          'GET /api/year-band': { year: 2026, today: '2026-11-23', lanes: [] },
        },
      },
    );
    await user.click(await screen.findByRole('button', { name: 'How is the gain worked out?' }));
    await user.click(await screen.findByRole('button', { name: 'Help with this place' }));
    expect(await screen.findByRole('complementary', { name: 'Help' })).toBeVisible();
  });
});

describe('a place that is come to', () => {
  const places = (
    <Routes>
      <Route element={<Shell />}>
        <Route path="/" element={<h1>Monday</h1>} />
        <Route
          path="/births"
          element={
            <>
              <h1>Births to come</h1>
              <input aria-label="of them" />
            </>
          }
        />
      </Route>
    </Routes>
  );
  const walk = () => {
    const answers = {
      'GET /api/today': aToday(),
      'GET /api/year-band': { year: 2026, today: '2026-11-23', lanes: [] },
    };
    return renderPage(places, { answers });
  };

  it('names the window, and its title takes the focus; the one the application begins at leaves it', async () => {
    const { user } = walk();
    await screen.findByRole('heading', { name: 'Monday' });
    await waitFor(() => expect(document.title).toBe('Monday · Yaylak'));
    expect(document.body).toHaveFocus();
    await user.click(screen.getByRole('link', { name: 'Births' }));
    expect(await screen.findByRole('heading', { name: 'Births to come' })).toHaveFocus();
    expect(document.title).toBe('Births to come · Yaylak');
    await user.tab();
    expect(screen.getByLabelText('of them')).toHaveFocus();
  });
});
