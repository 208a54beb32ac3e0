import { IsRestoringProvider } from '@tanstack/react-query';
import { act, cleanup, screen, waitFor, within } from '@testing-library/react';
import type { Entry, JobEntries, JobView, RosterAnimal, RosterView } from '@yaylak/contract';
import { aJob, anEntry, aProduct, aRoster, aRosterAnimal, aTag, TODAY } from '../../tests/builders';
import { AWAY, keepsAll, renderPage, type Answers, type Asked } from '../../tests/renderPage';
import { Link } from 'react-router';
import { keepHand, keptHand } from '../../shared/jobs/hand';
import { FRESH } from './draft';
import { RacePage } from './RacePage';

const lambs = [aRosterAnimal('26-0001'), aRosterAnimal('26-0002'), aRosterAnimal('26-0012')];
const other = aRosterAnimal('25-0044');
const ids = lambs.map((a) => a.tag.animalId);

const show = async (
  job: Partial<JobView> = {},
  answers: Answers = {},
  roster: Partial<RosterView> = {},
  seen = '0 of 3',
) => {
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
  await screen.findByText(seen);
  return shown;
};
// Whoever began the job on this device is at the race.
beforeEach(() => keepHand('j1', { by: 'Aylin', saidOn: TODAY }));
const number = () => screen.getByLabelText('Number of the next animal');
const weight = () => screen.findByLabelText(/^Weight( in the crate)?, kg/);

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

describe('who is there, and which day it is', () => {
  const ask = async (job: Partial<JobView>) => {
    const shown = renderPage(<RacePage />, {
      at: '/race/j1',
      route: '/race/:id',
      answers: {
        'GET /api/jobs/j1': { job: aJob({ animalIds: ids, expected: 3, on: '2026-11-18', ...job }), entries: [] },
        'GET /api/roster': aRoster([...lambs, other]),
      },
    });
    await screen.findByRole('heading', { name: 'Who is at the race now?' });
    expect(screen.queryByLabelText('Number of the next animal')).toBeNull();
    return shown;
  };

  it('a job continued on another day dates each animal by the day it goes through, and by the hand now there', async () => {
    keepHand('j1', { by: 'Aylin', saidOn: '2026-11-18' });
    const { user, entries } = await ask({});
    expect(screen.getByText('From here on animals are dated 23 Nov 2026.')).toBeVisible();
    const name = screen.getByLabelText('Weighed and recorded by');
    expect(name).toHaveValue('Aylin');
    await user.clear(name);
    await user.click(screen.getByRole('button', { name: 'Continue' }));
    expect(await screen.findByText('Enter a name.')).toBeVisible();
    await user.type(name, 'Deniz{Enter}');
    await user.type(await screen.findByLabelText('Number of the next animal'), '0001{Enter}');
    await user.type(await weight(), '44.5{Enter}');
    await waitFor(() => expect(entries()).toHaveLength(2));
    for (const entry of entries()) expect(entry).toMatchObject({ on: TODAY, writtenBy: 'Deniz' });
    expect(keptHand('j1')).toEqual({ by: 'Deniz', saidOn: TODAY });
    expect(screen.getByText('begun 18 Nov, now dated 23 Nov')).toBeVisible();
  });

  it('a job entered for its own day dates everybody with that day', async () => {
    keepHand('j1', { by: 'Aylin', saidOn: '2026-11-18' });
    const { user, entries } = await ask({ isForItsDay: true });
    expect(screen.getByText(/every animal is dated with that day/)).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Continue' }));
    await user.type(await screen.findByLabelText('Number of the next animal'), '0001{Enter}');
    await user.type(await weight(), '44.5{Enter}');
    await waitFor(() => expect(entries()).toHaveLength(2));
    for (const entry of entries()) expect(entry).toMatchObject({ on: '2026-11-18', writtenBy: 'Aylin' });
  });

  it('a device that did not begin the job asks who is there, and can be told of another later', async () => {
    localStorage.clear();
    const { user, entries } = await ask({ on: TODAY });
    await user.clear(screen.getByLabelText('Weighed and recorded by'));
    await user.type(screen.getByLabelText('Weighed and recorded by'), 'Selin{Enter}');
    await user.click(await screen.findByRole('button', { name: 'Recorded by Selin. Somebody else' }));
    await user.clear(screen.getByLabelText('Weighed and recorded by'));
    await user.type(screen.getByLabelText('Weighed and recorded by'), 'Deniz{Enter}');
    await user.type(await screen.findByLabelText('Number of the next animal'), '0001{Enter}');
    await user.type(await weight(), '44.5{Enter}');
    await waitFor(() => expect(entries()).toHaveLength(2));
    expect(entries()[0]).toMatchObject({ on: TODAY, writtenBy: 'Deniz' });
  });
});

it('asks who is there in the next job too, though one goes to it straight from another', async () => {
  const job = aJob({ id: 'j2', name: 'Ewes', animalIds: ids, expected: 3, startedBy: 'Selin' });
  const { user } = renderPage(
    <>
      <Link to="/race/j2">to the ewes</Link>
      <RacePage />
    </>,
    {
      at: '/race/j1',
      route: '/race/:id',
      answers: {
        'GET /api/jobs/j1': { job: aJob({ animalIds: ids, expected: 3 }), entries: [] },
        'GET /api/jobs/j2': { job, entries: [] },
        'GET /api/roster': aRoster(lambs),
      },
    },
  );
  await screen.findByLabelText('Number of the next animal');
  await user.click(screen.getByRole('link', { name: 'to the ewes' }));
  expect(await screen.findByText('Who is at the race now?')).toBeVisible();
});

it('shows at once what a finished job did, and goes on showing it until the server says the same', async () => {
  let known: JobEntries = { job: aJob({ animalIds: ids, expected: 3 }), entries: [] };
  const kept: Entry[] = [];
  let finishes = 0;
  let say: (entries: JobEntries) => void = () => undefined;
  const said = new Promise<JobEntries>((resolve) => {
    say = resolve;
  });
  const { user, outbox, asked } = await show(
    {},
    {
      // Once it is finished, what the server says of it is a long time coming.
      'GET /api/jobs/j1': () => (finishes === 0 ? known : said),
      'POST /api/entries': (one: Asked) => {
        kept.push(...(one.body as { entries: Entry[] }).entries);
        return keepsAll(one);
      },
      'POST /api/jobs/j1/finish': () => {
        finishes += 1;
        return {};
      },
    },
  );
  for (const n of ['0001', '0002']) {
    await user.type(number(), `${n}{Enter}`);
    await user.type(await weight(), '44.5{Enter}');
  }
  await user.click(screen.getByRole('button', { name: 'Finish' }));
  await user.click(screen.getByRole('button', { name: 'Finish the job' }));
  expect(await screen.findByRole('heading', { name: 'Finished' })).toBeVisible();
  await waitFor(() => expect(finishes).toBe(1));
  await waitFor(() => expect(outbox.state().waiting).toBe(0));
  // Asked again after all was sent, the server has not answered yet.
  const reads = () => asked.filter((a) => a.method === 'GET' && a.path === '/api/jobs/j1').length;
  await waitFor(() => expect(reads()).toBeGreaterThan(1));
  expect(screen.getByRole('heading', { name: 'Finished' })).toBeVisible();
  expect(screen.getByText('2 of 3 on the list came through')).toBeVisible();
  expect(outbox.state().items).not.toEqual([]);
  // Now it has all of it: what this device kept is not needed any more, and nothing looks otherwise.
  known = { job: { ...known.job, finishedAt: `${TODAY}T09:00:00.000Z`, seen: 2 }, entries: kept };
  say(known);
  await waitFor(() => expect(outbox.state().items).toEqual([]), { timeout: 15_000 });
  expect(screen.getByRole('heading', { name: 'Finished' })).toBeVisible();
  expect(screen.getByText('2 of 3 on the list came through')).toBeVisible();
}, 30_000);

it('keeps what was typed of the animal at hand when the race is left, and forgets it once it is recorded', async () => {
  const first = await show();
  await first.user.type(number(), '0001{Enter}');
  await first.user.type(await weight(), '44.5');
  cleanup();
  const again = renderPage(<RacePage />, {
    at: '/race/j1',
    route: '/race/:id',
    answers: {
      'GET /api/jobs/j1': { job: aJob({ animalIds: ids, expected: 3 }), entries: [] },
      'GET /api/roster': aRoster([...lambs, other]),
    },
  });
  expect(await weight()).toHaveValue('44.5');
  expect(within(screen.getByRole('main')).getByRole('img', { name: /tag 26-0001/ })).toBeVisible();
  await again.user.click(await weight());
  await again.user.keyboard('{Enter}');
  await waitFor(() => expect(again.entries()).toHaveLength(2));
  cleanup();
  await show();
});

it('waits for the animals the device keeps before it takes up what was being typed', async () => {
  const at = { draft: { ...FRESH, number: '26-0001', animalId: ids[0], fields: { weight: '44.5' } } };
  localStorage.setItem('yaylak-draft-j1', JSON.stringify(at));
  const { outbox } = renderPage(
    <IsRestoringProvider value>
      <RacePage />
    </IsRestoringProvider>,
    { at: '/race/j1', route: '/race/:id' },
  );
  const { finishedAt: _, seen: __, expected: ___, ...job } = aJob({ animalIds: ids });
  await act(() => outbox.put([{ kind: 'job', job }]));
  expect(screen.queryByRole('main')).toBeNull();
  expect(localStorage.getItem('yaylak-draft-j1')).toBe(JSON.stringify(at));
  localStorage.clear();
});

it('names the pan beside the weight, and takes another in the midst of the job', async () => {
  const { user, entries } = await show({
    settings: { weigh: { method: 'scale', tareKg: 0.6, tareName: 'Blue basket' } },
  });
  expect(screen.getByText('Blue basket, 0.6 kg taken off each reading')).toBeVisible();
  await user.type(number(), '0001{Enter}');
  await user.type(await weight(), '44.6{Enter}');
  await user.click(screen.getByRole('button', { name: 'Another pan' }));
  const pan = screen.getByLabelText('Weight of the pan, kg');
  await user.clear(pan);
  await user.type(pan, '350{Enter}');
  expect(await screen.findByText('No pan weighs 350 kg. Did you mean 0.35 kg?')).toBeVisible();
  // Esc shuts the sheet, not the race.
  await user.keyboard('{Escape}');
  await user.click(await screen.findByRole('button', { name: 'Leave without saving' }));
  expect(screen.queryByRole('dialog')).toBeNull();
  await user.click(screen.getByRole('button', { name: 'Another pan' }));
  await user.clear(screen.getByLabelText('Weight of the pan, kg'));
  await user.type(screen.getByLabelText('Weight of the pan, kg'), '1.2{Enter}');
  expect(await screen.findByText(/, 1.2 kg taken off each reading/)).toBeVisible();
  await user.type(number(), '0002{Enter}');
  await user.type(await weight(), '45.2{Enter}');
  await waitFor(() => expect(entries()).toHaveLength(4));
  expect(entries().filter((e) => e.type === 'weight')).toMatchObject([
    { kg: 44, tareKg: 0.6 },
    { kg: 44, tareKg: 1.2 },
  ]);
  localStorage.clear();
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
  expect(screen.getByRole('alert')).toHaveTextContent(
    /Check the reading: 95.0\s?kg\. 38.0\s?kg 30 days before; up to .* is likely\./,
  );
  await user.keyboard('{Enter}');
  await waitFor(() => expect(entries().at(-1)).toMatchObject({ type: 'weight', kg: 95 }));
});

it.each([
  ['0', 'is not possible'],
  ['9999', 'heavier than sheep here should be'],
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
  expect(screen.getByRole('alert')).toHaveTextContent('Not on the list. It will be recorded anyway.');
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
  expect(screen.getByRole('alert')).toHaveTextContent(/Seen before at 44.0\s?kg. Enter records it a second time./);
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
  expect(await screen.findByText('all saved')).toBeVisible();
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

describe('a job with many stations', () => {
  const drench = aProduct('White drench');
  const job: Partial<JobView> = {
    stations: ['weigh', 'look', 'treat', 'sample', 'sort'],
    settings: {
      treat: { productIds: [drench.id], reason: 'worms' },
      sample: { purpose: 'blood', firstTube: 'B-001' },
      sort: { by: 'standards', above: 'left', below: 'right' },
    },
    gates: [
      { key: 'left', name: 'Keep' },
      { key: 'right', name: 'Sell' },
    ],
  };
  it('takes letters, doses by the weight, looks at the tube twice and suggests the gate', async () => {
    const { user, entries } = await show(job, {}, { products: [drench] });
    await user.type(number(), '0001{Enter}');
    await user.type(await weight(), '44');
    expect(screen.getByLabelText('Amount of White drench')).toHaveValue('9');
    await user.keyboard('l');
    expect(screen.getByRole('button', { name: /Legs fails/ })).toBeVisible();
    expect(screen.getByRole('button', { name: /Mouth not looked at/ })).toBeVisible();
    await user.keyboard('a');
    expect(screen.getByRole('button', { name: /Mouth passes/ })).toBeVisible();
    expect(screen.getByText('Sell', { selector: 'p b' })).toBeVisible();
    await user.keyboard('{Enter}');
    expect(screen.getByRole('alert')).toHaveTextContent(
      'Look at the tube: it must say B-001. Enter again records it for 26-0001.',
    );
    expect(entries()).toEqual([]);
    await user.keyboard('{Enter}');
    await waitFor(() => expect(entries()).toHaveLength(5));
    expect(entries()).toMatchObject([
      { type: 'passage', gate: 'Sell', suggested: 'Sell' },
      { type: 'weight', kg: 44 },
      { type: 'look', grades: { 'sheep-legs': 'fail', 'sheep-mouth': 'pass' } },
      { type: 'treatment', amount: 9, meatDays: 14, reason: 'worms' },
      { type: 'sample', tube: 'B-001' },
    ]);
  });
  it('overrules the gate in one key, and goes on to the next tube', async () => {
    const { user, entries } = await show(job, {}, { products: [drench] });
    for (const n of ['0001', '0002']) {
      await user.type(number(), `${n}{Enter}`);
      await user.type(await weight(), '44a{ArrowRight}{Enter}{Enter}');
    }
    await waitFor(() => expect(entries()).toHaveLength(10));
    expect(entries().filter((e) => e.type === 'sample')).toMatchObject([{ tube: 'B-001' }, { tube: 'B-002' }]);
    expect(entries()[0]).toMatchObject({ gate: 'Sell', suggested: 'Keep' });
    expect(screen.queryByText(/Overruled/)).toBeNull();
  });
});

it('an animal taken back by mistake is written down again by Ctrl+Z', async () => {
  const { user, entries } = await show();
  await user.type(number(), '0001{Enter}');
  await user.type(await weight(), '44{Enter}');
  await screen.findByText('1 of 3');
  await user.keyboard('{Backspace}');
  expect(await screen.findByText('Taken back: 26-0001.')).toBeVisible();
  await screen.findByText('0 of 3');
  await user.keyboard('{Control>}z{/Control}');
  expect(await screen.findByText('1 of 3')).toBeVisible();
  await waitFor(() =>
    expect(entries().map((e) => e.type)).toEqual(['passage', 'weight', 'strike', 'strike', 'passage', 'weight']),
  );
  expect(new Set(entries().map((e) => e.id)).size).toBe(6);
});

it('takes back the animal recorded last by Ctrl+Z, the one before it next, and each only once', async () => {
  const { user, entries } = await show();
  for (const n of ['0001', '0002']) {
    await user.type(number(), `${n}{Enter}`);
    await user.type(await weight(), '44{Enter}');
  }
  await screen.findByText('2 of 3');
  await user.keyboard('{Control>}z{/Control}');
  expect(await screen.findByText('Taken back: recorded 26-0002')).toBeVisible();
  await screen.findByText('1 of 3');
  await user.keyboard('{Control>}z{/Control}');
  await screen.findByText('0 of 3');
  await user.keyboard('{Control>}z{/Control}');
  expect(await screen.findByText('There is nothing to take back.')).toBeVisible();
  const struck = entries().flatMap((e) => (e.type === 'strike' ? [e.entryId] : []));
  await waitFor(() => expect(entries()).toHaveLength(8));
  expect(new Set(struck).size).toBe(struck.length);
});

it('takes back by Ctrl+Z what was recorded before a reload', async () => {
  const first = await show();
  await first.user.type(number(), '0001{Enter}');
  await first.user.type(await weight(), '44{Enter}');
  await waitFor(() => expect(first.entries()).toHaveLength(2));
  const kept = first.entries();
  cleanup();
  const { user, entries } = await show({}, {}, {});
  await user.keyboard('{Control>}z{/Control}');
  await waitFor(() => expect(entries()).toHaveLength(2));
  expect(entries()).toMatchObject(kept.toReversed().map((e) => ({ type: 'strike', entryId: e.id, jobId: 'j1' })));
});

it('an animal without a number is picked by what is known of it, and gets its tag', async () => {
  const bare = (id: string, change: Partial<RosterAnimal>) =>
    aRosterAnimal('no number', {
      worn: [],
      formerly: [],
      tag: aTag('no number', { animalId: id, kind: 'none' }),
      ...change,
    });
  const young = [bare('y1', { dam: '24-0012', sex: 'female' }), bare('y2', { dam: '24-0077', sex: 'male' })];
  const { user, entries } = await show(
    { stations: ['identify'], settings: { identify: { kinds: ['visual'] } }, animalIds: [...ids, 'y1', 'y2'] },
    { 'GET /api/roster': aRoster([...lambs, other, ...young]) },
    {},
    '0 of 5',
  );
  const list = await screen.findByRole('list', { name: 'Without a number' });
  expect(
    within(list)
      .getAllByRole('button')
      .map((b) => b.textContent),
  ).toEqual([
    expect.stringMatching(/^ewe lamb, 7 months, of 24-0012/),
    expect.stringMatching(/^ram lamb, 7 months, of 24-0077/),
  ]);
  await user.type(number(), '077');
  await user.click(within(list).getByRole('button', { name: /^ram lamb/ }));
  await user.type(await screen.findByLabelText('New tag'), '{Enter}');
  expect(await screen.findByText('1 of 5')).toBeVisible();
  await waitFor(() =>
    expect(entries()).toMatchObject([
      { type: 'passage', animalId: 'y2' },
      { type: 'identifier', text: '26-0013' },
    ]),
  );
  expect(within(await screen.findByRole('list', { name: 'Without a number' })).getAllByRole('button')).toHaveLength(1);
});

it('lets one pass that cannot be weighed, with why, and asks for it first', async () => {
  const { user, entries } = await show();
  await user.type(number(), '0001{Enter}');
  await user.type(await weight(), '{Enter}');
  expect(screen.getByRole('alert')).toHaveTextContent(
    'Type what the scale says. Or say why it passes without a weight.',
  );
  await user.type(screen.getByLabelText('Why it passes without a weight'), 'too lame for the crate{Enter}');
  expect(await screen.findByText('1 of 3')).toBeVisible();
  await waitFor(() => expect(entries()).toHaveLength(1));
  expect(entries()).toMatchObject([{ type: 'passage', why: 'too lame for the crate' }]);
  // The next one is not asked by itself.
  await user.type(number(), '0002{Enter}');
  await weight();
  expect(screen.queryByLabelText('Why it passes without a weight')).toBeNull();
});

it('shows the keys of the race by F1 while a field has the keyboard, and Esc goes back to it', async () => {
  const { user } = await show();
  await user.type(number(), '00');
  await user.keyboard('{F1}');
  const keys = await screen.findByRole('dialog', { name: 'Help' });
  expect(await within(keys).findByText('With nothing typed: takes the last animal back')).toBeVisible();
  await waitFor(() => expect(within(keys).getByRole('heading', { name: 'Keys' })).toHaveFocus());
  await user.keyboard('{Escape}');
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  expect(number()).toHaveValue('00');
});
