import { screen, waitFor, within } from '@testing-library/react';
import type { DueWork, PlanView, TodayView } from '@yaylak/contract';
import { aGain, aHolding, aJob, anEntry, aPlanView, aTag, aToday } from '../../tests/builders';
import { AWAY, renderPage, type Answers } from '../../tests/renderPage';
import { TodayPage } from './TodayPage';

const window = (opens: string, closes: string) => ({ opens, bestFrom: opens, bestTo: closes, closes });
const due = (
  who: string,
  opens: string,
  closes: string,
  isOpen: boolean,
  change: Partial<DueWork> = {},
): TodayView['due'][number] => ({
  key: who,
  does: ['Weigh'],
  who: who === '' ? null : { called: who },
  why: ['8 week weight'],
  group: { id: 'g1', name: 'Top paddock' },
  species: 'sheep',
  animalIds: ['a', 'b'],
  window: window(opens, closes),
  isOpen,
  job: { name: 'Lambs, 8 week weight', stations: ['weigh'], settings: { weigh: { method: 'scale' } }, gates: [] },
  steps: [],
  ...change,
});
const head = [{ species: 'sheep' as const, present: 12, grownFemales: 5 }];
const show = async (today: Partial<TodayView>, answers: Answers = {}) => {
  const shown = renderPage(<TodayPage />, { answers: { 'GET /api/today': aToday({ head, ...today }), ...answers } });
  await screen.findByRole('heading', { level: 1, name: 'Monday 23 November' });
  return shown;
};

it('puts what is open before what opens this week, each with until when', async () => {
  await show({
    due: [
      due('2 ewe lambs', '2026-11-18', '2026-12-09', true),
      due('3 kids', '2026-11-25', '2026-12-01', false),
      due('1 bull', '2026-11-01', '2026-11-20', true),
    ],
  });
  const open = screen.getByRole('heading', { name: 'Window open now' }).closest('section') as HTMLElement;
  expect(within(open).getByText(/8 week weight, Top paddock. Until 9 Dec./)).toBeVisible();
  expect(within(open).getByText(/Was due by 20 Nov./)).toBeVisible();
  const ahead = screen.getByRole('heading', { name: 'Opens this week' }).closest('section') as HTMLElement;
  expect(within(ahead).getByText(/From 25 Nov./)).toBeVisible();
});

it('starts the job of those who are due by one press: it stands at the race, with its stations and animals', async () => {
  const work = due('2 ewe lambs', '2026-11-18', '2026-12-09', true, { does: ['Score', 'Weigh'] });
  const { user, path, asked } = await show({ due: [work] }, { 'POST /api/jobs': {} });
  await user.click(screen.getByRole('button', { name: 'Start: Score and weigh 2 ewe lambs' }));
  await waitFor(() => expect(path()).toMatch(/^\/race\/.+/));
  await waitFor(() => expect(asked.some((a) => a.method === 'POST' && a.path === '/api/jobs')).toBe(true));
  expect(asked.find((a) => a.path === '/api/jobs')?.body).toMatchObject({
    name: 'Lambs, 8 week weight',
    stations: ['weigh'],
    startedBy: 'Aylin',
    animalIds: ['a', 'b'],
  });
});

it('asks for the first tube before blood is taken', async () => {
  const job = {
    name: 'Blood',
    stations: ['sample' as const],
    settings: { sample: { purpose: 'blood' as const, firstTube: 'B-001' } },
    gates: [],
  };
  const work = due('3 does', '2026-11-18', '2026-12-09', true, { does: ['Take blood of'], job });
  const { user, path } = await show({ due: [work] });
  await user.click(screen.getByRole('button', { name: 'Start: Take blood of 3 does' }));
  await waitFor(() => expect(path()).toBe('/race'));
});

it('writes a step of a plan down as done, and takes it back', async () => {
  const plan = aPlanView();
  const work = due('', '2026-11-18', '2026-12-09', true, {
    does: ['Rams in'],
    job: null,
    steps: [{ planId: plan.id, key: 'mating' }],
  });
  const { user, asked } = await show(
    { due: [work] },
    {
      'GET /api/season': { on: '2026-11-23', plans: [plan], calendarKey: 'k' },
      [`PUT /api/season/plans/${plan.id}`]: ({ body }: { body: PlanView['facts'] }) => ({
        ...plan,
        version: 2,
        facts: body,
      }),
    },
  );
  await user.click(screen.getByRole('button', { name: 'Done: Rams in' }));
  expect(await screen.findByText('Done: Rams in')).toBeVisible();
  const put = () => asked.filter((a) => a.method === 'PUT').map((a) => a.body);
  expect(put()).toMatchObject([{ version: 1, done: { mating: '2026-11-23' } }]);
  await user.keyboard('{Control>}z{/Control}');
  await waitFor(() => expect(put()).toHaveLength(2));
  expect(put()[1]).toMatchObject({ version: 2, done: {} });
});

it('goes on with a job that was broken off', async () => {
  const { user, path } = await show({ openJobs: [aJob({ name: 'Kids', seen: 3, expected: 9 })] });
  expect(screen.getByText(/3 of 9 through/)).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Continue' }));
  await waitFor(() => expect(path()).toBe('/race/j1'));
});

it('asks to check a reading that jumps, and strikes it out', async () => {
  const { user, entries } = await show({
    lookAt: [
      {
        kind: 'doubtful-weight',
        entryId: 'w1',
        tag: aTag('26-0007'),
        species: 'sheep',
        on: '2026-11-08',
        kg: 72.2,
        doubt: { kind: 'jump', fromKg: 27.2, days: 7, likelyUpToKg: 33 } as never,
      },
    ],
  });
  expect(screen.getByText(/Check the reading: 72.2\s?kg on 8 Nov/)).toBeVisible();
  expect(screen.getByText(/27.2\s?kg 7 days before; up to 33.0\s?kg is likely./)).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Strike it out' }));
  await screen.findByText(/Struck out: 72.2\s?kg of 26-0007/);
  expect(entries()).toMatchObject([{ type: 'strike', entryId: 'w1', reason: 'misread' }]);
});

it('asks who an animal is that was taken in at the race, and opens one whose weight is off', async () => {
  const { user, path } = await show({
    lookAt: [
      { kind: 'unknown-animal', tag: aTag('zz-7'), on: '2026-11-20' },
      { kind: 'adult-alarm', tag: aTag('22-0004'), message: 'Lost 10 % in 21 days.' },
    ],
  });
  expect(screen.getByText('Who is this?')).toBeVisible();
  expect(screen.getByText('Lost 10 % in 21 days.')).toBeVisible();
  await user.click(screen.getAllByRole('button', { name: 'Open the animal' })[1] as HTMLElement);
  await waitFor(() => expect(path()).toBe('/animals/id of 22-0004'));
});

it('says of a buyer whose day is over which animals are free again', async () => {
  await show({
    lookAt: [
      { kind: 'reservation-over', tags: [aTag('26-0007'), aTag('26-0009')], buyer: 'Demir', until: '2026-11-21' },
    ],
  });
  const row = screen.getByText('Free again').closest('div')?.parentElement as HTMLElement;
  expect(
    within(row)
      .getAllByRole('link')
      .map((l) => l.textContent),
  ).toEqual(['26-0007', '26-0009']);
  expect(row).toHaveTextContent('Reserved for Demir to 21 Nov. Take the spray off, or reserve it again.');
});

it('shows orphans, and asks what came of one that was told in young and is long past her time', async () => {
  const { user, entries } = await show({
    lookAt: [
      { kind: 'orphans', tag: aTag('20-0007'), species: 'sheep', count: 2 },
      { kind: 'unanswered', tag: aTag('19-0004'), species: 'sheep', testedOn: '2026-01-25', dueOn: '2026-04-26' },
    ],
  });
  expect(screen.getByText('2 orphan lambs')).toBeVisible();
  expect(screen.getByRole('link', { name: 'Foster the lambs of 20-0007' })).toHaveAttribute(
    'href',
    '/births?species=sheep',
  );
  expect(screen.getByText(/^In young on 25 Jan, due about 26 Apr 2026, and no birth or loss on record/)).toBeVisible();
  expect(screen.getByRole('link', { name: 'Record the birth of 19-0004' })).toHaveAttribute(
    'href',
    '/births?species=sheep&birth=id of 19-0004',
  );
  expect(screen.getByRole('link', { name: 'Record the loss of 19-0004' })).toHaveAttribute(
    'href',
    '/carrying?species=sheep&lost=id of 19-0004',
  );
  await user.click(screen.getByRole('button', { name: '19-0004 was empty' }));
  await waitFor(() =>
    expect(entries()).toMatchObject([
      { type: 'pregnancy-test', animalId: 'id of 19-0004', way: 'sight', result: 'empty', on: '2026-11-23' },
    ]),
  );
});

it('names who does not grow, and how that was worked out', async () => {
  const { user } = await show({
    notGrowing: [
      {
        species: 'sheep',
        tag: aTag('26-0003'),
        gain: aGain({ kgPerDay: 0.02, halfWidth: 0.03, lineKgPerDay: 0.1, verdict: 'below', readings: 4 }),
        groupMedianKgPerDay: 0.2,
        groupSize: 4,
        isSmallGroup: true,
        groupName: 'Top paddock',
      },
    ],
  });
  await user.click(screen.getByRole('button', { name: 'How is Gain of 26-0003 worked out?' }));
  const how = await screen.findByRole('dialog');
  expect(how).toHaveTextContent(/20 ± 30\s?g\/day over 4 readings/);
  expect(how).toHaveTextContent('The group is small: take it with care.');
});

it('keeps what the book refused in sight until somebody has looked', async () => {
  const { user, outbox } = await show(
    {},
    {
      'POST /api/entries': ({ body }: { body: { entries: { id: string }[] } }) => ({
        answers: body.entries.map((e) => ({ id: e.id, status: 'refused', message: 'It had left by then.' })),
      }),
    },
  );
  await outbox.put([{ kind: 'entry', entry: anEntry('weight', { kg: 30, on: '2026-11-20' }) }]);
  expect(await screen.findByText('Rejected: weight of 20 Nov')).toBeVisible();
  expect(screen.getByText(/It had left by then. It is kept on this device/)).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Checked: dismiss' }));
  await user.click(screen.getByRole('button', { name: 'Dismiss it for good?' }));
  await waitFor(() => expect(screen.queryByText(/Rejected/)).toBeNull());
  expect(outbox.state().refused).toEqual([]);
});

it('says what to do first in an empty book', async () => {
  const { user, path } = await show({ head: [{ species: 'sheep', present: 0, grownFemales: 0 }] });
  expect(screen.getByRole('link', { name: 'brought in as a file' })).toHaveAttribute('href', '/holding/files');
  await user.click(screen.getByRole('button', { name: 'Begin' }));
  await waitFor(() => expect(path()).toBe('/start'));
});

it('leads back to the first steps while the book is young, until that is closed', async () => {
  const own = aHolding();
  const holding = (entries: number) => ({ 'GET /api/holding': { ...own, about: { ...own.about, entries } } });
  const { user } = await show({ head }, holding(12));
  expect(screen.getByRole('link', { name: 'Go on where you left' })).toHaveAttribute('href', '/start');
  await user.click(screen.getByRole('button', { name: 'Close this' }));
  expect(screen.queryByRole('heading', { name: 'First steps' })).toBeNull();
});

it('says no more of the first steps in a book that has long begun', async () => {
  const own = aHolding();
  await show({ head }, { 'GET /api/holding': { ...own, about: { ...own.about, entries: 4000 } } });
  expect(screen.queryByRole('heading', { name: 'First steps' })).toBeNull();
});

it('says that the server is away and tries again', async () => {
  renderPage(<TodayPage />, { answers: { 'GET /api/today': AWAY } });
  expect(await screen.findByRole('heading', { name: 'The server is away' })).toBeVisible();
});

describe('mating', () => {
  const heat = {
    tag: aTag('G-037', { animalId: 'doe', name: 'Thyme' }),
    seenAt: '2026-11-22T17:30',
    notYetAt: null,
    opensEarliest: null,
    isStanding: true,
    signs: ['stands' as const],
    window: {
      opens: '2026-11-23T05:30',
      bestFrom: '2026-11-23T11:30',
      bestTo: '2026-11-24T05:30',
      closes: '2026-11-24T17:30',
    },
    services: [],
    returnAfterDays: null,
  };

  it('serves by the hour from here, and parts young males', async () => {
    await show({
      heats: [{ species: 'goat', heat }],
      partings: [{ species: 'goat', head: 11, groupName: 'Kids', window: window('2026-11-01', '2026-11-30') }],
    });
    expect(screen.getByText('standing since Sun 17:30')).toBeVisible();
    expect(screen.getByRole('img', { name: /^open: opens 05:30, best 11:30 to Tue 05:30/ })).toBeVisible();
    expect(screen.getByRole('link', { name: 'Serve' })).toHaveAttribute('href', '/mating?species=goat&serve=doe');
    expect(screen.getByText('Part 11 buck kids from the females')).toBeVisible();
    expect(screen.getByRole('link', { name: 'Part them' })).toHaveAttribute('href', '/mating/males?species=goat');
  });

  it('is not there when nobody is on heat and nobody to be parted', async () => {
    await show({});
    expect(screen.queryByRole('heading', { name: 'Mating' })).toBeNull();
  });
});

it('shows the first of a long list, and all of it when asked', async () => {
  const held = (text: string): TodayView['withheld'][number] => ({
    tag: aTag(text),
    species: 'sheep',
    groupName: null,
    of: 'meat',
    from: '2026-11-20',
    until: '2026-12-04',
    clearFrom: '2026-12-05',
    product: 'White drench',
  });
  const both = [held('24-0001'), held('24-0002')];
  const { user } = await show(
    {},
    {
      'GET /api/today': ({ query }: { query: URLSearchParams }) =>
        query.get('all') === 'withheld'
          ? aToday({ head, withheld: both })
          : aToday({ head, withheld: both.slice(0, 1), more: { notGrowing: 0, withheld: 1, lookAt: 0 } }),
    },
  );
  expect(screen.queryByRole('button', { name: 'Remedies of 24-0002' })).toBeNull();
  await user.click(screen.getByRole('button', { name: 'and 1 more' }));
  expect(await screen.findByRole('button', { name: 'Remedies of 24-0002' })).toBeVisible();
  expect(screen.queryByRole('button', { name: /^and / })).toBeNull();
});
