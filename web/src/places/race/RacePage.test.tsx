import { screen, waitFor, within } from '@testing-library/react';
import type { JobView, RosterView } from '@yaylak/contract';
import { aJob, anEntry, aRoster, aRosterAnimal, TODAY } from '../../tests/builders';
import { AWAY, renderPage, type Answers } from '../../tests/renderPage';
import { RacePage } from './RacePage';

const lambs = [aRosterAnimal('26-0001'), aRosterAnimal('26-0002'), aRosterAnimal('26-0012')];
const other = aRosterAnimal('25-0044');
const ids = lambs.map((a) => a.tag.animalId);

const show = async (job: Partial<JobView> = {}, answers: Answers = {}, roster: Partial<RosterView> = {}) => {
  const shown = renderPage(<RacePage />, {
    at: '/race/j1',
    route: '/race/:id',
    answers: {
      'GET /api/jobs/j1': { job: aJob({ animalIds: ids, expected: 3, ...job }), entries: [] },
      'GET /api/roster': aRoster([...lambs, other], roster),
      ...answers,
    },
  });
  await screen.findByLabelText('Number of the next animal');
  await screen.findByText('0 of 3');
  return shown;
};
const number = () => screen.getByLabelText('Number of the next animal');
const weight = () => screen.findByLabelText('Weight, kg');

it('takes an animal in five seconds: number, Enter, weight, Enter, and waits for the next', async () => {
  const { user, entries } = await show();
  await user.type(number(), '0001{Enter}');
  expect(await weight()).toHaveFocus();
  await user.keyboard('44.5{Enter}');
  expect(await screen.findByText('1 of 3')).toBeVisible();
  expect(number()).toHaveFocus();
  await waitFor(() => expect(entries()).toHaveLength(2));
  expect(entries()).toMatchObject([
    { type: 'passage', animalId: ids[0], on: TODAY, jobId: 'j1', source: 'race' },
    { type: 'weight', animalId: ids[0], kg: 44.5, method: 'scale', jobId: 'j1' },
  ]);
});

it('shows the gain as the weight is typed, with how wide the guess is', async () => {
  const { user } = await show();
  await user.type(number(), '0001{Enter}');
  await user.type(await weight(), '44');
  // 38 kg 30 days ago: 6 kg is 200 g a day, 1.2816 x hypot(0.95, 1.1) / 30 = 62 g.
  expect(await screen.findByText(/\+6.0\s?kg since last time/)).toBeVisible();
  expect(screen.getByText(/200 ± 62\s?g\/day/)).toBeVisible();
});

it('asks for more digits when several fit, and lets the arrows choose', async () => {
  const { user } = await show();
  await user.type(number(), '26-00{Enter}');
  expect(screen.getByRole('alert')).toHaveTextContent('3 animals fit “26-00”');
  await user.keyboard('{ArrowDown}{ArrowDown}{Enter}');
  await weight();
  const atHand = screen.getByRole('main');
  expect(within(atHand).getByRole('img', { name: /tag 26-0002/ })).toBeVisible();
});

it('asks twice before it takes in a number nobody wears, and once before a weight that jumps', async () => {
  const { user, entries } = await show();
  await user.type(number(), 'zz-9{Enter}');
  expect(screen.getByRole('alert')).toHaveTextContent('Enter again takes it in and asks later who it is.');
  await user.keyboard('{Enter}');
  await user.type(await weight(), '30{Enter}');
  await waitFor(() =>
    expect(entries().map((e) => e.type)).toEqual(['arrival', 'identifier', 'move', 'passage', 'weight']),
  );
  await user.type(number(), '0001{Enter}');
  await user.type(await weight(), '95{Enter}');
  expect(screen.getByRole('alert')).toHaveTextContent(/Check the reading: 95.0\s?kg after 38.0\s?kg 30 days ago/);
  await user.keyboard('{Enter}');
  await waitFor(() => expect(entries().at(-1)).toMatchObject({ type: 'weight', kg: 95 }));
});

it.each([
  ['0', 'cannot be'],
  ['9999', 'more than any sheep'],
  ['many', 'is not a weight'],
])('a weight of %s is refused in words, and nothing is written', async (typed, words) => {
  const { user, entries } = await show();
  await user.type(number(), '0001{Enter}');
  await user.type(await weight(), `${typed}{Enter}`);
  expect(screen.getByRole('alert')).toHaveTextContent(words);
  expect(await weight()).toHaveValue(typed);
  expect(entries()).toEqual([]);
});

it('says that one is not on the list and takes it in anyway', async () => {
  const { user } = await show();
  await user.type(number(), '25-0044{Enter}');
  await weight();
  expect(screen.getByRole('alert')).toHaveTextContent('Not on the list. It is taken in all the same.');
  await user.type(await weight(), '50{Enter}{Enter}');
  expect(await screen.findByText('and 1 not on the list')).toBeVisible();
});

it('says that one was seen before and at what weight', async () => {
  const { user } = await show();
  await user.type(number(), '0001{Enter}');
  await user.type(await weight(), '44{Enter}');
  await screen.findByText('1 of 3');
  await user.type(number(), '0001{Enter}');
  await weight();
  expect(screen.getByRole('alert')).toHaveTextContent(/Seen before at 44.0\s?kg. Enter writes it down a second time./);
});

it('opens the gate by the arrow keys and moves the animal where the gate leads', async () => {
  const { user, entries } = await show({
    stations: ['weigh', 'sort'],
    gates: [
      { key: 'left', name: 'Keep' },
      { key: 'right', name: 'Sell', groupId: 'g9' },
    ],
  });
  await user.type(number(), '0001{Enter}');
  await user.type(await weight(), '44{Enter}');
  expect(screen.getByRole('alert')).toHaveTextContent('Choose a gate');
  await user.keyboard('{ArrowRight}');
  expect(screen.getByRole('button', { name: /→ Sell/ })).toHaveAttribute('aria-pressed', 'true');
  await user.keyboard('{Enter}');
  await waitFor(() => expect(entries()).toHaveLength(3));
  expect(entries()).toMatchObject([
    { type: 'passage', gate: 'Sell' },
    { type: 'weight' },
    { type: 'move', groupId: 'g9' },
  ]);
});

it('works by the keys on the screen alone', async () => {
  const { user, entries } = await show();
  const keys = within(screen.getByRole('group', { name: 'Keys to touch' }));
  const press = async (...names: string[]) => {
    for (const name of names) await user.click(keys.getByRole('button', { name }));
  };
  await press('0', '0', '0', '9', 'Erase a digit', '1', 'Enter');
  await weight();
  await press('4', '4', '.', '5', 'Enter');
  await waitFor(() => expect(entries().at(-1)).toMatchObject({ type: 'weight', kg: 44.5 }));
  await press('Take back');
  await screen.findByText('Taken back: 26-0001.');
  await waitFor(() =>
    expect(
      entries()
        .slice(2)
        .map((e) => e.type),
    ).toEqual(['strike', 'strike']),
  );
});

it('counts what is kept here while the server is away, and loses nothing of it', async () => {
  let isAway = true;
  const { user, outbox, entries } = await show(
    {},
    {
      'POST /api/entries': (asked: { body: { entries: { id: string }[] } }) =>
        isAway ? AWAY : { answers: asked.body.entries.map((e) => ({ id: e.id, status: 'kept' })) },
    },
  );
  await user.type(number(), '0001{Enter}');
  await user.type(await weight(), '44{Enter}');
  expect(await screen.findByText('2 kept here, not yet on the server')).toBeVisible();
  isAway = false;
  await outbox.flush();
  expect(await screen.findByText('all on the server')).toBeVisible();
  expect(new Set(entries().map((e) => e.id)).size).toBe(2);
});

it('ends with counts that agree: seen and not seen make the list', async () => {
  const { user, asked } = await show({}, { 'POST /api/jobs/j1/finish': {} });
  await user.type(number(), '0001{Enter}');
  await user.type(await weight(), '44{Enter}');
  await screen.findByText('1 of 3');
  await user.click(screen.getByRole('button', { name: 'Finish' }));
  expect(screen.getByText('1 of 3 on the list came through')).toBeVisible();
  expect(screen.getByText(/1 seen and 2 not seen make 3/)).toBeVisible();
  expect(screen.getByRole('heading', { name: 'Not seen (2)' })).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Finish the job' }));
  expect(await screen.findByRole('heading', { name: 'Finished' })).toBeVisible();
  await waitFor(() => expect(asked.some((a) => a.path === '/api/jobs/j1/finish')).toBe(true));
});

it('shows a job again with what the server has of it', async () => {
  renderPage(<RacePage />, {
    at: '/race/j1',
    route: '/race/:id',
    answers: {
      'GET /api/jobs/j1': {
        job: aJob({ animalIds: ids }),
        entries: [
          anEntry('passage', { jobId: 'j1', animalId: ids[1] }),
          anEntry('weight', { jobId: 'j1', animalId: ids[1], kg: 41, method: 'scale' }),
        ],
      },
      'GET /api/roster': aRoster(lambs),
    },
  });
  expect(await screen.findByText('1 of 3')).toBeVisible();
  expect(screen.getByLabelText('Who came and who is missing')).toHaveTextContent(/26-000241.0\s?kg/);
});

it('says when there is no such job and the server cannot tell', async () => {
  renderPage(<RacePage />, {
    at: '/race/j2',
    route: '/race/:id',
    answers: { 'GET /api/jobs/j2': AWAY, 'GET /api/roster': aRoster([]) },
  });
  expect(await screen.findByText('This job is not here')).toBeVisible();
});
