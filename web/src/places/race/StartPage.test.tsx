import { act, screen, waitFor } from '@testing-library/react';
import type { StartJob } from '@yaylak/contract';
import { aGroup, aJob, anIdentifier, aRosterAnimal, TODAY } from '../../tests/builders';
import { typeDay } from '../../tests/dates';
import { AWAY, renderPage, type Answers } from '../../tests/renderPage';
import { StartPage } from './StartPage';
import { choose, offered } from '../../tests/choose';

const animals = [
  aRosterAnimal('26-0001'),
  aRosterAnimal('26-0002'),
  aRosterAnimal('26-R01', { sex: 'male' }),
  aRosterAnimal('25-0001', { bornOn: '2025-04-01', groupId: null, groupName: null }),
  aRosterAnimal('G-26-01', { species: 'goat' }),
];
const SALE_PEN = '0191d5a0-0000-7000-8000-0000000000a1';
const show = async (answers: Answers = {}, state?: unknown) => {
  const shown = renderPage(<StartPage />, {
    at: state === undefined ? '/race' : { pathname: '/race', state },
    route: '/race',
    answers: {
      'GET /api/roster': { on: TODAY, animals },
      'GET /api/jobs': [],
      'GET /api/groups': [aGroup('Top paddock'), aGroup('Sale pen', { id: SALE_PEN })],
      'POST /api/jobs': {},
      ...answers,
    },
  });
  await screen.findByRole('heading', { name: 'Which animals are coming through?' });
  return shown;
};
const started = (asked: readonly { method: string; path: string; body: unknown }[]) =>
  asked.find((a) => a.method === 'POST' && a.path === '/api/jobs')?.body as StartJob;

it('offers the young of this year and the last by sex, the groups, and all of a species', async () => {
  const { user } = await show();
  const words = await offered(user, screen.getByLabelText('Who'));
  expect(words).toEqual([
    'Ewe lambs of 2026 (2)',
    'Ewe lambs of 2025 (1)',
    'Ram lambs of 2026 (1)',
    'Doe kids of 2026 (1)',
    'Group Top paddock (4)',
    'All sheep (4)',
    'All goats (1)',
  ]);
});

it('leaves new-born young out that wear nothing and could not be called', async () => {
  const newborn = aRosterAnimal('no number', { worn: [], formerly: [], bornOn: TODAY });
  const lost = aRosterAnimal('26-0003', { worn: [], formerly: ['26-0003'] });
  const { user } = await show({ 'GET /api/roster': { on: TODAY, animals: [...animals, newborn, lost] } });
  const words = await offered(user, screen.getByLabelText('Who'));
  expect(words[0]).toBe('Ewe lambs of 2026 (3)');
});

it('starts a job with its list fixed, and goes to the race', async () => {
  const { user, asked, path } = await show();
  await user.click(screen.getByRole('button', { name: 'Start with 2 animals' }));
  await waitFor(() => expect(path()).toMatch(/^\/race\/[0-9a-f-]{36}$/));
  await waitFor(() => expect(started(asked)).toBeDefined());
  expect(started(asked)).toMatchObject({
    name: 'Ewe lambs of 2026',
    on: TODAY,
    startedBy: 'Aylin',
    stations: ['weigh'],
    gates: [],
    animalIds: ['id of 26-0001', 'id of 26-0002'],
  });
});

it('begins with the set and the template that are chosen, under the name of the set', async () => {
  const { user, asked } = await show();
  await choose(user, screen.getByLabelText('Who'), 'All sheep (4)');
  expect(screen.getByLabelText('Name of the job')).toHaveValue('All sheep');
  await choose(user, screen.getByLabelText('What is done'), 'Weigh, look over and sort');
  expect(screen.getByRole('checkbox', { name: 'Look over' })).toBeChecked();
  // By the keys alone: the tick that changes what is done keeps the focus.
  screen.getByRole('checkbox', { name: 'Note' }).focus();
  await user.keyboard(' ');
  expect(screen.getByRole('checkbox', { name: 'Note' })).toHaveFocus();
  expect(screen.getByLabelText('What is done')).toHaveTextContent('put together here');
  await user.click(screen.getByRole('button', { name: 'Start with 4 animals' }));
  await waitFor(() =>
    expect(started(asked)).toMatchObject({ name: 'All sheep', stations: ['weigh', 'look', 'note', 'sort'] }),
  );
});

it('starts one job, also where its button is pressed again while the race is still being fetched', async () => {
  const { user, asked, path, outbox } = renderPage(<StartPage />, {
    at: '/race',
    answers: { 'GET /api/roster': { on: TODAY, animals }, 'GET /api/jobs': [], 'POST /api/jobs': {} },
  });
  const button = await screen.findByRole('button', { name: 'Start with 2 animals' });
  await user.click(button);
  await waitFor(() => expect(path()).toMatch(/^\/race\/[0-9a-f-]{36}$/));
  await user.click(button);
  await act(() => outbox.flush());
  expect(asked.filter((a) => a.method === 'POST' && a.path === '/api/jobs')).toHaveLength(1);
});

it('can be begun on purpose for an earlier day, never for a later one', async () => {
  const { user, asked } = await show();
  await typeDay(user, 'Day', '2026-11-24');
  await user.click(screen.getByRole('button', { name: 'Start with 2 animals' }));
  expect(await screen.findByText('Enter today or an earlier day.')).toBeVisible();
  await typeDay(user, 'Day', '2026-11-22');
  expect(screen.getByText('Every animal will be dated with this day, whenever you enter it.')).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Start with 2 animals' }));
  await waitFor(() => expect(started(asked)).toMatchObject({ on: '2026-11-22', isForItsDay: true }));
});

it('sorts by gates that lead to groups; a gate without a name is none', async () => {
  const { user, asked } = await show();
  await user.click(screen.getByLabelText('Sort by gate'));
  await user.clear(screen.getByLabelText('↓ straight on'));
  await choose(user, screen.getAllByLabelText('and move to')[2] as HTMLElement, 'Sale pen');
  await user.click(screen.getByRole('button', { name: /Start with/ }));
  await waitFor(() => expect(started(asked)).toBeDefined());
  expect(started(asked)).toMatchObject({
    stations: ['weigh', 'sort'],
    gates: [
      { key: 'left', name: 'Keep' },
      { key: 'right', name: 'Sell', groupId: SALE_PEN },
    ],
  });
});

it('says before it starts what the book would not take, and starts nothing', async () => {
  const { user, asked } = await show();
  await user.click(screen.getByLabelText('Sort by gate'));
  const gate = screen.getByLabelText('↓ straight on');
  await user.clear(gate);
  await user.click(gate);
  await user.paste('a'.repeat(41));
  await user.click(screen.getByRole('button', { name: /Start with/ }));
  expect(await screen.findByRole('alert')).toHaveTextContent(
    'Sort: the name of a gate may have 40 letters at most. Shorten it.',
  );
  expect(started(asked)).toBeUndefined();
});

it('takes over who was chosen elsewhere, under the name given there', async () => {
  const { user, asked } = await show({}, { animalIds: ['id of 25-0001', 'id of G-26-01'], name: 'Chosen two' });
  expect(screen.getByLabelText('Name of the job')).toHaveValue('Chosen two');
  await user.click(screen.getByRole('button', { name: 'Start with 2 animals' }));
  await waitFor(() => expect(started(asked)?.animalIds).toEqual(['id of 25-0001', 'id of G-26-01']));
});

it('is led to its button by N, which starts nothing by itself, and not while a name is typed', async () => {
  const { user, asked, path } = await show();
  await user.type(screen.getByLabelText('Name of the job'), ' n');
  expect(path()).toBe('/race');
  screen.getByLabelText('Name of the job').blur();
  await user.keyboard('n');
  expect(screen.getByRole('button', { name: /^Start with/ })).toHaveFocus();
  expect(path()).toBe('/race');
  await user.keyboard('{Enter}');
  await waitFor(() => expect(started(asked)?.name).toBe('Ewe lambs of 2026 n'));
});

it('keeps what is done as a template, which starts no job', async () => {
  const { user, asked, path } = await show({ 'POST /api/templates': {} });
  await user.click(screen.getByLabelText('Look over'));
  await user.click(screen.getByRole('button', { name: 'Keep as a template' }));
  await user.type(await screen.findByLabelText('Name of the template'), 'Autumn{Enter}');
  expect(await screen.findByText('Kept the template “Autumn”')).toBeVisible();
  expect(asked.find((a) => a.path === '/api/templates')?.body).toMatchObject({
    name: 'Autumn',
    stations: ['weigh', 'look'],
  });
  expect(path()).toBe('/race');
  expect(started(asked)).toBeUndefined();
});

it('lists jobs that are not finished before those that are', async () => {
  const { user, path } = await show({
    'GET /api/jobs': [
      aJob({ id: 'a', name: 'Kids', seen: 2, expected: 5 }),
      aJob({ id: 'b', name: 'Ewes', seen: 5, expected: 5, finishedAt: `${TODAY}T09:00:00Z` }),
    ],
  });
  expect(await screen.findByText('23 Nov, 2 of 5 through')).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Look' }));
  await waitFor(() => expect(path()).toBe('/race/b'));
});

it('lets the list be put together: one out, one in by its number, a set at once, each once', async () => {
  const { user, asked } = await show({
    'GET /api/identifiers': animals.map((a) => anIdentifier(a.tag.text, { animalId: a.tag.animalId })),
  });
  await user.click(screen.getByRole('button', { name: 'Change who comes' }));
  await user.click(screen.getByRole('button', { name: 'Take 26-0002 out' }));
  await user.type(screen.getByLabelText('Add an animal: type its number, or scan'), '25-0001{Enter}');
  expect(await screen.findByText('25-0001 is on the list now.')).toBeVisible();
  await choose(user, screen.getByLabelText('Add a set'), 'Ram lambs of 2026 (1)');
  await user.click(screen.getByRole('button', { name: 'Add them' }));
  expect(screen.getByText('26-R01 is on the list now.')).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Add them' }));
  expect(screen.getByText('Already on the list: 26-R01.')).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Start with 3 animals' }));
  await waitFor(() => expect(started(asked)?.animalIds).toEqual(['id of 26-0001', 'id of 25-0001', 'id of 26-R01']));
});

it('takes a start back by Ctrl+Z, as long as nobody went through', async () => {
  const { user, asked } = await show({ 'POST /api/jobs/discard': {} });
  await user.click(screen.getByRole('button', { name: 'Start with 2 animals' }));
  await waitFor(() => expect(started(asked)).toBeDefined());
  await user.keyboard('{Control>}z{/Control}');
  const path = `/api/jobs/${started(asked).id}/discard`;
  await waitFor(() => expect(asked.find((a) => a.path === path)?.body).toMatchObject({ isIfEmpty: true }));
});

it('lists a job begun here that the server has not heard of', async () => {
  const { outbox } = await show({ 'POST /api/jobs': AWAY });
  const { finishedAt: _, seen: __, expected: ___, ...job } = aJob({ name: 'No signal', animalIds: ['a', 'b'] });
  await act(() => outbox.put([{ kind: 'job', job }]));
  expect(await screen.findByText('No signal')).toBeVisible();
  expect(screen.getByText('23 Nov, 0 of 2 through')).toBeVisible();
});
