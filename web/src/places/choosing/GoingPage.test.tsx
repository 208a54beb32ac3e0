import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { GoingRow, GoingView, HerdView } from '@yaylak/contract';
import { sharesOf, USUAL_CULL_RULES } from '@yaylak/core';
import { aHolding, aTag } from '../../tests/builders';
import { renderPage, type Answers } from '../../tests/renderPage';
import { GoingPage } from './GoingPage';
import { createHerdWorker } from './herdAhead';
import { lookAhead } from './herdClient';
import { choose } from '../../tests/choose';

jest.mock('./herdClient', () => ({ lookAhead: jest.fn(), stopLooking: jest.fn() }));

const aRow = (text: string, change: Partial<GoingRow> = {}): GoingRow => ({
  tag: aTag(text),
  sex: 'female',
  ageYears: 8,
  weight: 'season-end',
  hits: [
    {
      fact: 'feet',
      weight: 'season-end',
      evidence: [
        { on: '2026-02-12', what: null, figure: null },
        { on: '2026-10-03', what: null, figure: null },
      ],
      chancesUsed: 1,
      chances: 1,
      clears: { kind: 'on', on: '2027-02-13' },
    },
  ],
  oneMoreYear: {
    differenceMinor: -3_812,
    halfWidthMinor: 1_401,
    keepingMinor: 1_000,
    replacingMinor: 4_812,
    young: 0.9,
    firstYoung: 1.1,
    inputs: {
      youngMinor: 8_000,
      youngSales: 34,
      cullMinor: 6_500,
      cullSales: 0,
      keepMinor: 21_900,
      replacementMinor: 14_000,
      usefulYears: 5,
      survival: 0.96,
      litters: 6,
    },
  },
  reared: null,
  ...change,
});
const aView = (change: Partial<GoingView> = {}): GoingView => ({
  species: 'sheep',
  females: 48,
  males: 2,
  rows: [aRow('18-0001')],
  stays: [],
  goes: [],
  toLookOver: ['a', 'b'],
  rules: USUAL_CULL_RULES.filter((r) => r.species === 'sheep'),
  rearedByHerd: 1.6,
  ...change,
});
const table = { died: 0.04, culled: 0.16, young: 0.6 };
const aHerd: HerdView = {
  species: 'sheep',
  classes: [20, 28].map((head, i) => ({
    ...sharesOf({ head, years: 0, died: 0, culled: 0, young: 0, table }),
    ageYears: i + 1,
    years: 0,
    table,
  })),
  head: 48,
  matedAtYears: 1,
  coming: 20,
  isBehind: false,
  gain: null,
};
const SETS = [{ species: 'sheep', sex: 'female', from: null, to: null, count: 48 }];

const show = async (view: GoingView = aView(), answers: Answers = {}) => {
  jest.mocked(lookAhead).mockImplementation((question) => Promise.resolve(createHerdWorker().ahead(question)));
  const shown = renderPage(<GoingPage />, {
    at: '/choosing/going?species=sheep',
    answers: {
      'GET /api/choosing/sets': SETS,
      'GET /api/choosing/going': view,
      'GET /api/choosing/herd': aHerd,
      'GET /api/choosing/strictness': { species: 'sheep', standards: [] },
      'GET /api/choosing/trend': { species: 'sheep', isBehind: false, traits: [] },
      ...answers,
    },
  });
  await screen.findByRole('heading', { name: 'Which ewes should go?' });
  return shown;
};

it('shows the evidence, the chances, what clears it, and what another year brings', async () => {
  await show();
  expect(await screen.findByText('48 ewes and 2 males. 1 at the season’s end.')).toBeVisible();
  const list = screen.getByRole('list', { name: 'Who should go' });
  expect(list).toHaveTextContent('Bad feet or legs twice in a year: 12 Feb, 3 Oct');
  expect(list).toHaveTextContent('chances used: 1 of 1; clears on 13 Feb 2027');
  expect(list.textContent?.replaceAll('\u00a0', ' ')).toContain('one more year −38 ± 14 EUR');
});

it('records that one goes at once, and that one stays with its reason only', async () => {
  const { user, entries } = await show(aView({ rows: [aRow('18-0001'), aRow('18-0009')] }));
  await user.click(await screen.findByRole('button', { name: '18-0001 goes' }));
  await screen.findByText('18-0001 goes');
  await user.click(screen.getByRole('button', { name: '18-0009 stays, with a reason' }));
  const sheet = await screen.findByRole('dialog', { name: '18-0009 stays' });
  expect(within(sheet).getByRole('button', { name: 'Record it' })).toBeDisabled();
  await user.type(within(sheet).getByLabelText('Reason'), 'mother of half the flock');
  await user.click(within(sheet).getByRole('button', { name: 'Record it' }));
  await waitFor(() => expect(entries()).toHaveLength(2));
  expect(entries()).toMatchObject([
    { type: 'choice', animalId: 'id of 18-0001', decision: 'cull', suggested: 'cull', among: 'grown sheep' },
    { animalId: 'id of 18-0009', decision: 'keep', suggested: 'cull', reason: 'mother of half the flock' },
  ]);
});

it('asks why one goes that is only watched', async () => {
  const { user, entries } = await show(aView({ rows: [aRow('18-0001', { weight: 'watch' })] }));
  await user.click(await screen.findByRole('button', { name: '18-0001 goes' }));
  const sheet = await screen.findByRole('dialog', { name: '18-0001 goes' });
  await user.type(within(sheet).getByLabelText('Reason'), 'too many{Enter}');
  await waitFor(() => expect(entries()).toMatchObject([{ decision: 'cull', suggested: 'keep', reason: 'too many' }]));
});

it('shows who stays and why, and leads to the check job', async () => {
  const row = aRow('18-0009');
  const stays = [
    { tag: row.tag, ageYears: 11, decision: 'keep', reason: 'fond of her', on: '2026-11-10', hits: row.hits } as const,
  ];
  const { user, path } = await show(aView({ rows: [], stays }));
  expect(await screen.findByText('Nothing speaks against any of them')).toBeVisible();
  expect(screen.getByRole('list', { name: 'Stays, and why' })).toHaveTextContent(
    /“fond of her”.*Decided on 10 Nov 2026/,
  );
  await user.click(screen.getByRole('button', { name: 'Start the check job (2)' }));
  expect(path()).toContain('/race');
});

it('keeps the rules as the holding sets them; one that is nonsense is named', async () => {
  const { user, asked } = await show(aView(), { 'PATCH /api/holding': aHolding({ version: 2 }) });
  await user.click(await screen.findByRole('button', { name: 'Rules' }));
  const sheet = await screen.findByRole('dialog', { name: 'Rules for who should go' });
  const years = within(sheet).getByLabelText('Age, females: years');
  await user.clear(years);
  await user.type(years, 'ten');
  await user.click(within(sheet).getByRole('button', { name: 'Save' }));
  expect(within(sheet).getByRole('alert')).toHaveTextContent('“ten” is not an age from 0.5 to 40 years.');
  expect(years).toBeInvalid();
  await user.clear(years);
  await user.type(years, '9');
  await choose(user, within(sheet).getByLabelText('Prolapse, females: then'), 'no rule');
  await user.click(within(sheet).getByRole('button', { name: 'Save' }));
  await waitFor(() => expect(asked.some((a) => a.method === 'PATCH')).toBe(true));
  const sent = asked.find((a) => a.method === 'PATCH')?.body as { choosing: { rules: object[] } } | undefined;
  const rules = sent?.choosing.rules;
  expect(rules).toContainEqual(expect.objectContaining({ species: 'sheep', fact: 'age', sex: 'female', years: 9 }));
  expect(rules).not.toContainEqual(expect.objectContaining({ species: 'sheep', fact: 'prolapse' }));
  expect(rules).toContainEqual(expect.objectContaining({ species: 'goat', fact: 'prolapse' }));
});

it('looks five years ahead: how many to keep, and what keeping fewer does', async () => {
  await show();
  // A fifth goes each year: 48 x .2 = 9.6 a year are needed.
  expect(await screen.findByText(/Keep about 10 a year to stay at 48/)).toBeVisible();
  fireEvent.change(screen.getByRole('slider', { name: /Ewe lambs kept a year/ }), { target: { value: '4' } });
  expect(await screen.findByText(/Keeping 4 a year: about 29 in five years, 19 short/)).toBeVisible();
  fireEvent.click(screen.getByRole('button', { name: 'Shares it goes by' }));
  expect(screen.getByRole('table', { name: 'Shares by age' })).toHaveTextContent('4 %16 %0.600 %');
});

describe('breeding values by year of birth', () => {
  const none = { needed: 30, geneticSd: null, baseLevel: null, isExact: true };
  const born = { ...none, trait: 'young-born', state: 'too-few', records: 12, years: [] };

  it('stand with what came by dams and by sires', async () => {
    const years = [
      { year: 2024, head: 10, mean: -0.4, standardError: 0.2, dams: null, sires: null },
      {
        year: 2026,
        head: 12,
        mean: 0.6,
        standardError: null,
        dams: { young: 12, superiority: 0.25, gain: 1 },
        sires: null,
      },
    ];
    const growth = { ...none, trait: 'growth', state: 'values', records: 40, years };
    await show(aView(), { 'GET /api/choosing/trend': { species: 'sheep', isBehind: false, traits: [growth, born] } });
    const table = await screen.findByRole('table', { name: 'Growth by year of birth' });
    const cells = (row: HTMLElement): (string | null)[] => within(row).queryAllByRole('cell').map((c) => c.textContent); // prettier-ignore
    expect(within(table).getAllByRole('row').slice(2).map(cells)).toEqual([
      ['10', '−0.40', '–', '–', '–', '–'],
      ['12', '+0.60', '+0.25', '+1.00', '–', '–'],
    ]); // prettier-ignore
  });

  it('say what they lack where there are none', async () => {
    await show(aView(), { 'GET /api/choosing/trend': { species: 'sheep', isBehind: false, traits: [born] } });
    expect(await screen.findByText('Young born: 12 of 30 records needed.')).toBeVisible();
  });
});
