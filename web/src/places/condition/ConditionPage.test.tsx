import { screen, waitFor, within } from '@testing-library/react';
import type { ConditionView, DrillsView, NoResponseView, ScorersView } from '@yaylak/contract';
import { DRILL_CASES } from '@yaylak/core';
import { aConditionAnimal, aHolding, aTag } from '../../tests/builders';
import { AWAY, renderPage, type Answers } from '../../tests/renderPage';
import { ConditionPage } from './ConditionPage';
import { casesFor } from './Drill';
import { PracticePage } from './PracticePage';
import { ScorersPage } from './ScorersPage';
import { choose } from '../../tests/choose';

const halves = (counts: Readonly<Record<string, number>>) =>
  Array.from({ length: 9 }, (_, i) => ({ score: 1 + i / 2, count: counts[String(1 + i / 2)] ?? 0 }));
const aRound = (to: string, change: object = {}): ConditionView['rounds'][number] => ({
  from: to,
  to,
  count: 10,
  mean: 2.85,
  coefficientOfVariation: 0.18,
  atAim: 7,
  byHalf: halves({ '2': 1, '2.5': 2, '3': 5, '3.5': 2 }),
  by: ['Aylin'],
  ...change,
});
const aView = (change: Partial<ConditionView> = {}): ConditionView => ({
  on: '2026-11-23',
  species: 'sheep',
  group: null,
  groups: [{ id: 'g1', name: 'Upland flock', females: 10 }],
  stage: 'mating',
  by: '2027-01-12',
  byPlan: 'Lambing 2027',
  shareWanted: 0.9,
  alarmUnder: 2,
  females: 10,
  notScored: [],
  rounds: [aRound('2026-11-01'), aRound('2026-08-01', { atAim: 4 })],
  animals: [aConditionAnimal('22-0001')],
  noResponse: [],
  alarms: [],
  ...change,
});
const show = async (change: Partial<ConditionView> = {}, answers: Answers = {}) => {
  const shown = renderPage(<ConditionPage />, {
    answers: { 'GET /api/condition': aView(change), 'POST /api/jobs': {}, ...answers },
    at: '/condition',
  });
  await screen.findByRole('heading', { level: 1, name: 'Are the ewes fit for mating on 12 Jan?' });
  return shown;
};

it('answers first: how many are at the aim, of how many wanted', async () => {
  await show();
  expect(
    screen.getByText(/7 of 10 \(70\s%\) were at their aim or over it on 1 Nov 2026; 2 more are needed for 90\s%/),
  ).toBeVisible();
  expect(screen.getByText('from the plan Lambing 2027')).toBeVisible();
  expect(screen.getByRole('img', { name: 'Scores of 1 Nov 2026: 1 at 2, 2 at 2.5, 5 at 3, 2 at 3.5' })).toBeVisible();
});

it('starts a scoring of the whole group by one press', async () => {
  const { user, path, asked } = await show({ notScored: [aTag('22-0002')] });
  await user.click(screen.getByRole('button', { name: 'Score 10 ewes' }));
  await waitFor(() => expect(path()).toMatch(/^\/race\//));
  await waitFor(() => expect(asked.some((a) => a.path === '/api/jobs')).toBe(true));
  expect(asked.find((a) => a.path === '/api/jobs')?.body).toMatchObject({
    stations: ['score'],
    settings: { score: { stage: 'mating' } },
    animalIds: ['id of 22-0001', 'id of 22-0002'],
  });
});

it('counts the mobs, says who changed, and puts the rest where their score says', async () => {
  const { user, entries } = await show({
    animals: [
      aConditionAnimal('22-0001', { mob: 'fit', mobBefore: 'thin' }),
      aConditionAnimal('22-0002', {
        mob: null,
        suggestedMob: 'thin',
        last: { on: '2026-11-01', score: 2, by: [], isCorrected: true },
      }),
    ],
  });
  expect(screen.getByText('Changed at the last sorting (1)')).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Put 1 where the score says' }));
  await waitFor(() =>
    expect(entries()).toMatchObject([{ type: 'mob', animalId: 'id of 22-0002', mob: 'thin', suggested: 'thin' }]),
  );
});

it('says who must gain how much a day, who cannot make it, and keeps a heavy milker', async () => {
  const gain = { kind: 'gain', kg: 8.74, halfWidthKg: 2.8, kgPerDay: 0.1286, capKgPerDay: 0.208 } as const;
  const { user, entries } = await show({
    animals: [
      aConditionAnimal('22-0001', { way: { ...gain, isFeasible: true, reachedOn: '2027-01-05' } }),
      aConditionAnimal('22-0002', { way: { ...gain, isFeasible: false, reachedOn: '2027-01-26' }, trend: 'lost' }),
      aConditionAnimal('22-0003', {
        way: { kind: 'no-weight', isFeasible: true, reachedOn: '2027-01-05' },
        weightKg: null,
      }),
    ],
  });
  const table = screen
    .getByRole('heading', { name: /Must gain by 12 Jan 2027 \(3\)/ })
    .closest('section') as HTMLElement;
  expect(screen.getByText('1 cannot make it')).toBeVisible();
  const rows = within(table).getAllByRole('row');
  expect(rows[1]).toHaveTextContent(/22-0002.*lost.*8\.7\skg ± 2\.8\skg129\sg\/daycannot; on 26 Jan/);
  expect(rows[2]).toHaveTextContent(/22-0001.*can, from 5 Jan on/);
  expect(rows[3]).toHaveTextContent(/22-0003.*no weight/);
  await user.click(screen.getByRole('button', { name: '22-0001 is a heavy milker' }));
  await waitFor(() => expect(entries()).toMatchObject([{ type: 'check', what: 'milk', isFound: true }]));
});

describe('who does not answer to feed', () => {
  const row = (change: Partial<NoResponseView> = {}): NoResponseView => ({
    tag: aTag('18-0001'),
    from: { on: '2026-07-21', score: 2, by: ['Aylin'], isCorrected: false },
    to: { on: '2026-09-23', score: 2, by: ['Aylin'], isCorrected: false },
    days: 64,
    made: [],
    stillToCheck: ['teeth', 'worms', 'feet', 'age', 'illness'],
    suggestion: 'check',
    ageYears: 8,
    ...change,
  });
  it('is looked at, each thing written down by a press', async () => {
    const { user, entries } = await show({ noResponse: [row()] });
    expect(
      screen.getByText(/2 to 2 in 64 days of feeding up; still to look at: teeth, worms, feet, age, illness/),
    ).toBeVisible();
    const teeth = screen.getByRole('group', { name: 'Teeth of 18-0001' });
    await user.click(within(teeth).getByRole('button', { name: 'Teeth are bad' }));
    await waitFor(() => expect(entries()).toMatchObject([{ type: 'check', what: 'teeth', isFound: true }]));
  });
  it('is a cull with its reason once all was looked at', async () => {
    const made = [{ on: '2026-11-01', what: 'teeth' as const, isFound: true }];
    const { user, entries } = await show({ noResponse: [row({ made, stillToCheck: [], suggestion: 'cull' })] });
    await user.click(screen.getByRole('button', { name: 'Record: sell 18-0001' }));
    await waitFor(() =>
      expect(entries()).toMatchObject([
        { type: 'choice', decision: 'sell', reason: '2 to 2 in 64 days of feeding up; teeth are bad.' },
      ]),
    );
  });
});

it('warns of who is too thin, and of weights off their usual', async () => {
  await show({
    animals: [aConditionAnimal('18-0001', { last: { on: '2026-11-01', score: 1.5, by: [], isCorrected: false } })],
    alarms: [{ kind: 'adult-alarm', tag: aTag('19-0001'), message: 'Lost 10 % in 21 days.' }],
  });
  expect(screen.getByText(/Too thin to carry or milk without harm/)).toBeVisible();
  expect(screen.getByText('Lost 10 % in 21 days.')).toBeVisible();
});

it('says what to do first where nobody was scored, and that the server is away', async () => {
  await show({ rounds: [], animals: [] });
  expect(screen.getByText('Nobody has been scored yet')).toBeVisible();
  renderPage(<ConditionPage />, { answers: { 'GET /api/condition': AWAY } });
  expect(await screen.findByRole('heading', { name: 'The server is away' })).toBeVisible();
});

it('asks the server for the species, group, aim and date that are chosen', async () => {
  const { user, path } = await show();
  await choose(user, screen.getByLabelText('Group'), 'g1');
  await waitFor(() => expect(path()).toBe('/condition?groupId=g1'));
  await choose(user, screen.getByLabelText('Aim'), 'birth');
  await waitFor(() => expect(path()).toBe('/condition?groupId=g1&stage=birth'));
  await choose(user, screen.getByLabelText('Species'), 'goat');
  await waitFor(() => expect(path()).toBe('/condition?species=goat'));
});

describe('scorers', () => {
  const view: ScorersView = {
    scorers: [
      { name: 'Aylin', scores: 40 },
      { name: 'Kerem', scores: 12 },
    ],
    reference: 'Aylin',
    pairsNeeded: 8,
    pairs: [
      {
        first: 'Aylin',
        second: 'Kerem',
        pairs: [[2.5, 3], [3, 3]],
        bias: -0.25,
        biasHalfWidth: 0.12,
        limits: [-0.9, 0.4],
        kappa: 0.62,
        withinHalf: 1,
      },
      { first: 'Kerem', second: 'Kerem', pairs: [[3, 3]], bias: 0, biasHalfWidth: null, limits: null, kappa: null, withinHalf: 1 },
    ], // prettier-ignore
    biases: [{ by: 'Kerem', bias: 0.25, halfWidth: 0.12, pairs: 12, isUsable: true, isSetRight: false }],
  };
  it('are shown with bias, limits, kappa and share within half', async () => {
    renderPage(<ScorersPage />, { answers: { 'GET /api/condition/scorers': view } });
    const panel = await screen.findByRole('region', { name: 'Aylin and Kerem' });
    expect(panel).toHaveTextContent('−0.25 ± 0.12');
    expect(panel).toHaveTextContent('−0.90 to +0.40');
    expect(panel).toHaveTextContent('0.62, good');
    expect(panel).toHaveTextContent('100 %');
    expect(screen.getByRole('region', { name: 'Kerem, the same animals twice' })).toHaveTextContent('one animal only');
  });
  it('one is set right by a press', async () => {
    const { user, asked } = renderPage(<ScorersPage />, {
      answers: { 'GET /api/condition/scorers': view, 'PATCH /api/holding': aHolding({ version: 2 }) },
    });
    expect(await screen.findByText('Kerem scores 0.25 higher')).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Correct Kerem’s scores' }));
    await waitFor(() =>
      expect(asked.find((a) => a.method === 'PATCH')?.body).toMatchObject({
        scorers: { reference: 'Aylin', setRight: ['Kerem'] },
      }),
    );
  });
  it('say what to do where nobody was felt twice', async () => {
    renderPage(<ScorersPage />, { answers: { 'GET /api/condition/scorers': { ...view, pairs: [], biases: [] } } });
    expect(await screen.findByText('No animal was felt twice on a day')).toBeVisible();
  });
});

describe('the practice corner', () => {
  const drills: DrillsView = {
    drills: [{ id: 'd1', on: '2026-11-12', by: 'Selin', answers: [{ caseId: 'r1', score: 1 }, { caseId: 'r3', score: 3.5 }] }],
  }; // prettier-ignore
  it('shows each score at three places, and drills kept before', async () => {
    renderPage(<PracticePage />, { answers: { 'GET /api/condition/drills': drills } });
    expect(screen.getByRole('img', { name: 'A cut across the loin at score 1' })).toBeVisible();
    expect(screen.getByText('a sharp ridge, each knob apart')).toBeVisible();
    expect(await screen.findByText('Selin')).toBeVisible();
    expect(screen.getByText('100 %')).toBeVisible();
  });
  it('drills with every case of the species by the keyboard, and keeps the result', async () => {
    const { user, asked } = renderPage(<PracticePage />, {
      answers: { 'GET /api/condition/drills': { drills: [] }, 'POST /api/condition/drills': drills },
    });
    await choose(user, screen.getByLabelText('Species'), 'rabbit');
    await user.click(screen.getByRole('button', { name: 'Start a drill' }));
    await user.keyboard('9{Enter}');
    expect(screen.getByRole('alert')).toHaveTextContent('Type a score from 1 to 5');
    await user.clear(screen.getByLabelText('Which score is that?'));
    const cases = casesFor('rabbit', 1);
    for (const c of cases) await user.keyboard(`${c.score}{Enter}`);
    expect(screen.getByRole('heading', { name: '100 % within half a score, weighted kappa 1.00' })).toBeVisible();
    await user.clear(screen.getByLabelText('Whose hand'));
    await user.type(screen.getByLabelText('Whose hand'), 'Selin');
    await user.click(screen.getByRole('button', { name: 'Keep the result' }));
    expect(await screen.findByText('Kept under the name Selin.')).toBeVisible();
    expect(asked.find((a) => a.method === 'POST')?.body).toMatchObject({
      by: 'Selin',
      answers: { length: cases.length },
    });
  });
  it('goes through all cases of a species, each once, in another order each time', () => {
    for (const turn of [1, 2, 3])
      expect(new Set(casesFor('sheep', turn)).size).toBe(DRILL_CASES.filter((c) => c.species.includes('sheep')).length);
    expect(casesFor('sheep', 1)[0]).not.toBe(casesFor('sheep', 2)[0]);
  });
});
