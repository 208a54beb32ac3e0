import { screen, waitFor, within } from '@testing-library/react';
import type { LifeView, LittersView, LitterView, RearedView, RearingView } from '@yaylak/contract';
import { aGain, aGroup, aHolding, anIdentifier, aTag, aToday, TODAY } from '../../tests/builders';
import { typeDay } from '../../tests/dates';
import { no, renderPage } from '../../tests/renderPage';
import { LifeSheet } from './LifeSheet';
import { LittersPage } from './LittersPage';
import { RearingPage } from './RearingPage';
import { weanEntries, type WeanTyped } from './weanDraft';
import { choose } from '../../tests/choose';

/** Chosen in a form, which holds it to what an id is. */
const GROUP = '0191d5a0-0000-7000-8000-0000000000c2';
const DOE = aTag('K-D01', { animalId: 'd1' });
const window = { opens: '2026-11-16', bestFrom: '2026-11-23', bestTo: '2026-11-23', closes: '2026-12-07' };
const aKit = (n: number, change: Partial<RearedView> = {}): RearedView => ({
  tag: aTag('no number', { animalId: `k${n}`, kind: 'none' }),
  sex: 'unknown',
  version: 1,
  bornOn: '2026-10-12',
  ageDays: 42,
  birthType: 3,
  rearingType: 3,
  bornOf: null,
  lastKg: 1.2 - n * 0.1,
  lastOn: TODAY,
  gain: aGain({ verdict: 'above' }),
  isRunt: false,
  place: n,
  of: 3,
  weaning: { window, isReady: true, step: 'last', waits: null },
  points: [
    [35, 0.9],
    [42, 1.2 - n * 0.1],
  ],
  ...change,
});
const aLitter = (change: Partial<LitterView> = {}): LitterView => ({
  dam: DOE,
  isByHand: false,
  species: 'rabbit',
  bornOn: '2026-10-12',
  ageDays: 42,
  bornAlive: 4,
  bornDead: 1,
  lost: 1,
  young: [
    aKit(1),
    aKit(2),
    aKit(3, {
      isRunt: true,
      weaning: { window: { ...window, bestFrom: '2026-11-25' }, isReady: false, step: 'last', waits: 'smaller' },
    }),
  ],
  days: [
    { ageDays: 35, count: 4, totalKg: 3.5 },
    { ageDays: 42, count: 3, totalKg: 3 },
  ],
  last: {
    kind: 'gain',
    heads: 3,
    kg: 0.378,
    kgPerDay: 0.054,
    kgPerHeadPerDay: 0.018,
    days: 7,
    died: 1,
    left: 0,
    joined: 0,
  },
  daysWithout: 0,
  toWeigh: 'each',
  weaning: { way: 'biggest-first', ready: 2, window },
  damNext: { isReady: false, readyOn: '2026-12-10' },
  ...change,
});
const aView = (change: Partial<RearingView> = {}): RearingView => ({
  on: TODAY,
  species: 'rabbit',
  way: 'biggest-first',
  malesApartDays: 75,
  groups: [{ id: GROUP, name: 'Growing hutches' }],
  litters: [aLitter()],
  losses: [{ tag: aTag('x'), dam: DOE, on: '2026-11-20', ageDays: 17, cause: 'scour' }],
  clusters: [{ cause: 'scour', count: 3, from: '2026-11-18', to: '2026-11-20', dams: [DOE] }],
  survival: { reared: 90, of: 100 },
  seasons: [],
  isByLitter: true,
  ...change,
});
const page = (view = aView(), at = '/rearing?species=rabbit', more: object = {}) =>
  renderPage(<RearingPage />, {
    answers: { 'GET /api/rearing': view, 'GET /api/today': aToday(), ...more },
    at,
  });

it.each([
  [true, 'Litters', '3', 'Born alive a litter', '7.3'],
  [false, 'Gave birth', '2', 'Born alive', '180'],
])(
  'by litter: %s: tells a season to a litter or to a hundred females',
  async (isByLitter, what, count, born, figure) => {
    const season = {
      from: '2026-02-01',
      to: '2026-09-01',
      isOpen: true,
      females: 2,
      gaveBirth: 2,
      litters: 3,
      scannedFemales: 0,
      scanned: 0,
      bornAlive: 22,
      bornDead: 1,
      reared: 12,
      withHer: 4,
      scannedPercent: null,
      bornPercent: 180,
      rearedPercent: 150,
      bornALitter: 22 / 3,
      rearedALitter: 4,
      lost: { beforeBirth: 0, atBirth: 1, inRearing: 6 },
    };
    page(aView({ isByLitter, seasons: [season] }));
    const row = (name: string) => screen.getByRole('row', { name: new RegExp(`^${name}`) });
    await screen.findByRole('heading', { name: /^Season by season/ });
    expect(row('Births of')).toHaveTextContent('Feb to Sept 2026');
    expect(row('Females')).toHaveTextContent('Females2');
    expect(row(what)).toHaveTextContent(`${what}${count}`);
    expect(row(`${born} `.trim())).toHaveTextContent(new RegExp(`^${born}${figure}`));
    expect(row('Reared')).toHaveTextContent(/so far$/);
  },
);

it('tells no gain of a litter weighed together with other heads in it', async () => {
  const last = { kind: 'means', fromKg: 0.8, toKg: 1, days: 7, died: 1, left: 1, joined: 0 } as const;
  page(aView({ litters: [aLitter({ last })] }));
  const card = within(await screen.findByRole('group', { name: 'Litter of K-D01' }));
  expect(
    card.getByText(/A head weighed .* on average 7 days before .*not the same heads \(1 died, 1 left the litter\)/),
  ).toBeVisible();
  expect(card.queryByText(/a head over 7 days/)).toBeNull();
});

it('says who falls behind, what died of what, and how the litter gains per head', async () => {
  page();
  expect(
    await screen.findByText('3 kits with 1 dam; 1 to look at; 2 to wean now; 90 % of 100 reached weaning.'),
  ).toBeVisible();
  expect(screen.getByText('3 died of scour from 18 Nov to 20 Nov.')).toBeVisible();
  const card = within(screen.getByRole('group', { name: 'Litter of K-D01' }));
  expect(card.getByText('Born 12 Oct: 4 alive, 1 dead; 1 died since; weighed today; 2 to wean.')).toBeVisible();
  expect(card.getByText(/The 3 there both times 54.g\/day, 18.g\/day a head over 7 days \(1 died\)\./)).toBeVisible();
  // The one to watch stands first, whatever its weight.
  expect(card.getAllByRole('row')[1]).toHaveTextContent('3. kitsmall: watch');
  expect(card.getByText('smaller: from 25 Nov')).toBeVisible();
});

it('weighs each kit in three presses from Today', async () => {
  const { user, entries } = page(aView(), '/rearing?species=rabbit&litter=d1&do=weigh');
  const sheet = within(await screen.findByRole('dialog', { name: 'Weigh the litter of K-D01' }));
  await user.type(sheet.getByLabelText('1. kit, g'), '1150');
  await user.type(sheet.getByLabelText('3. kit, g'), '905');
  await user.click(sheet.getByRole('button', { name: 'Save' }));
  await waitFor(() =>
    expect(entries()).toMatchObject([
      { type: 'weight', animalId: 'k1', kg: 1.15, method: 'scale' },
      { type: 'weight', animalId: 'k3', kg: 0.905 },
    ]),
  );
});

it('weighs the litter together, and says what is missing', async () => {
  const young = aLitter({ bornOn: '2026-11-18', ageDays: 5, toWeigh: 'together' });
  const { user, entries } = page(aView({ litters: [young] }));
  await user.click(await screen.findByRole('button', { name: 'Weigh the litter of K-D01' }));
  const sheet = within(await screen.findByRole('dialog'));
  await user.click(sheet.getByRole('button', { name: 'Save' }));
  expect(sheet.getByRole('alert')).toHaveTextContent('Type what the scale says in g.');
  await user.type(sheet.getByLabelText('Together, g'), '640');
  await user.click(sheet.getByRole('button', { name: 'Save' }));
  await waitFor(() =>
    expect(entries()).toMatchObject([{ type: 'litter-weight', animalId: 'd1', totalKg: 0.64, count: 3 }]),
  );
});

it.each([
  ['6,4', '3', /Check the reading: 2\s?g each\. At 5 days old .* Did you mean 640\s?g together\?/],
  ['64000', '3', /Check the reading: 21333\s?g each\. .* Did you mean 6400?\s?g together\?/],
  ['640', '4', /4 on the scale, and the litter has 3\. Count again\./],
])('asks about a litter of %s g for %s before it is kept', async (total, count, words) => {
  const young = aLitter({ bornOn: '2026-11-18', ageDays: 5, toWeigh: 'together' });
  const { user, entries } = page(aView({ litters: [young] }));
  await user.click(await screen.findByRole('button', { name: 'Weigh the litter of K-D01' }));
  const sheet = within(await screen.findByRole('dialog'));
  await user.type(sheet.getByLabelText('Together, g'), total);
  await user.clear(sheet.getByLabelText('How many'));
  await user.type(sheet.getByLabelText('How many'), count);
  await user.click(sheet.getByRole('button', { name: 'Save' }));
  expect(await sheet.findByRole('alert')).toHaveTextContent(words);
  expect(entries()).toEqual([]);
  await user.click(sheet.getByRole('button', { name: 'Save' }));
  await waitFor(() => expect(entries()).toHaveLength(1));
});

it('takes no litter weighed before its birth', async () => {
  const young = aLitter({ bornOn: '2026-11-18', ageDays: 5, toWeigh: 'together' });
  const { user, entries } = page(aView({ litters: [young] }));
  await user.click(await screen.findByRole('button', { name: 'Weigh the litter of K-D01' }));
  const sheet = within(await screen.findByRole('dialog'));
  await user.type(sheet.getByLabelText('Together, g'), '640');
  await typeDay(user, 'On', '2026-11-17');
  await user.click(sheet.getByRole('button', { name: 'Save' }));
  expect(await sheet.findByRole('alert')).toHaveTextContent(
    '17 Nov 2026 is before the birth on 18 Nov 2026. Correct the date.',
  );
  expect(entries()).toEqual([]);
});

it('weans the biggest first with numbers and sexes, and offers the doe', async () => {
  const { user, entries, asked } = page(aView(), '/rearing?species=rabbit&litter=d1&do=wean', {
    'PATCH /api/animals/k1': {},
    'GET /api/identifiers': [anIdentifier('K-26-89')],
    'GET /api/groups': [aGroup('Growing hutches', { id: GROUP, species: 'rabbit' })],
  });
  const sheet = within(await screen.findByRole('dialog', { name: 'Wean, K-D01' }));
  expect(sheet.getByRole('checkbox', { name: '1. kit' })).toBeChecked();
  expect(sheet.getByRole('checkbox', { name: '3. kit' })).not.toBeChecked();
  expect(sheet.getByLabelText('Number of 2. kit')).toHaveValue('K-26-91');
  await choose(user, sheet.getByLabelText('Sex of 1. kit'), 'female');
  await choose(user, sheet.getByLabelText('To the group'), 'Growing hutches');
  await user.type(sheet.getByLabelText('Her condition, 1 to 5'), '3');
  await user.click(sheet.getByRole('button', { name: 'Save' }));
  const after = within(await screen.findByRole('dialog', { name: 'Weaning, K-D01' }));
  expect(after.getByText('1 stay with her; they come up again when it is their day.')).toBeVisible();
  expect(
    after.getByText(/^Feed the young freely .* Part the males from the females by day 75, 26 Dec 2026\.$/),
  ).toBeVisible();
  expect(after.getByText('K-D01 may be mated again from 10 Dec 2026.')).toBeVisible();
  expect(after.getByRole('link', { name: 'To her next mating' })).toHaveAttribute(
    'href',
    '/mating?species=rabbit&serve=d1',
  );
  expect(entries().map((e) => e.type)).toEqual([
    'weaning',
    'identifier',
    'move',
    'weaning',
    'identifier',
    'move',
    'score',
  ]);
  expect(asked.filter((a) => a.method === 'PATCH')).toMatchObject([{ body: { version: 1, sex: 'female' } }]);
});

it('keeps saying what was weaned when the last of the litter is gone from the page', async () => {
  let litters = [aLitter({ young: [aKit(1)] })];
  const { user } = page(aView(), '/rearing?species=rabbit&litter=d1&do=wean', {
    'GET /api/rearing': () => aView({ litters }),
  });
  const sheet = within(await screen.findByRole('dialog', { name: 'Wean, K-D01' }));
  litters = [];
  await user.click(sheet.getByRole('button', { name: 'Save' }));
  expect(await screen.findByText(/^No kits are with their dams/)).toBeInTheDocument();
  expect(screen.getByText('Weaned 1 kit of K-D01.')).toBeVisible();
});

it('says what was kept when the sexes could not be written', async () => {
  const { user } = page(aView(), '/rearing?species=rabbit&litter=d1&do=wean', {
    'PATCH /api/animals/k1': no(409, 'Somebody changed this animal'),
  });
  const sheet = within(await screen.findByRole('dialog', { name: 'Wean, K-D01' }));
  await choose(user, sheet.getByLabelText('Sex of 1. kit'), 'male');
  await user.click(sheet.getByRole('button', { name: 'Save' }));
  expect(await sheet.findByRole('alert')).toHaveTextContent('Weaned 2 kits of K-D01. The sexes were not recorded');
});

describe('the entries of a weaning', () => {
  const typed: WeanTyped = {
    on: TODAY,
    chosen: ['k1'],
    numbers: { k1: 'K-26-90' },
    sexes: {},
    groupId: GROUP,
    damScore: '',
    udder: '',
  };
  const how = { young: [aKit(1), aKit(2)], damId: 'd1', isFirstStep: false, scoredBy: 'Aylin', udderId: 'u' };
  it('of the first of two steps leave number and group for the second', () => {
    expect(weanEntries(typed, { ...how, isFirstStep: true })).toEqual([
      { type: 'weaning', animalId: 'k1', on: TODAY, isDone: false },
    ]);
  });
  it.each([
    [{ chosen: [] }, 'Tick at least one that is weaned.'],
    [{ damScore: '7' }, 'Her condition: “7” is not a score. They go from 1 to 5 by halves or quarters.'],
  ])('say what is missing', (change, words) => expect(weanEntries({ ...typed, ...change }, how)).toBe(words));
  it('look at the dam’s udder where there is a standard of it', () => {
    expect(weanEntries({ ...typed, udder: 'fail' }, how)).toContainEqual({
      type: 'look',
      animalId: 'd1',
      on: TODAY,
      grades: { u: 'fail' },
    });
  });
});

it('what a litter ate goes into the book with its price', async () => {
  const litters = { species: 'rabbit', feeds: [{ feed: 'Plain pellet', priceMinor: 1690, litters: 2 }] };
  const { user, entries } = page(aView(), undefined, {
    'GET /api/rearing/litters': litters,
    'GET /api/holding': aHolding(),
  });
  await user.click(await screen.findByRole('button', { name: 'Feed of K-D01' }));
  const sheet = within(await screen.findByRole('dialog', { name: 'Feed of K-D01 and her litter' }));
  await user.click(await sheet.findByRole('button', { name: 'Plain pellet' }));
  await user.type(sheet.getByLabelText('Eaten, kg'), '14.5');
  await user.click(sheet.getByRole('button', { name: 'Save' }));
  await waitFor(() =>
    expect(entries()).toMatchObject([
      { type: 'feed', animalId: 'd1', since: '2026-10-12', feed: 'Plain pellet', kg: 14.5, priceMinor: 1690 },
    ]),
  );
});

const litters: LittersView = {
  on: TODAY,
  species: 'rabbit',
  currency: 'TRY',
  by: 'doe',
  value: 'reared',
  litters: 12,
  mean: 6.5,
  groups: [{ name: 'K-D01', tags: [DOE], litters: 3, mean: 8, difference: 0.4, halfWidth: 0.6, sureness: 'guess' }],
  trends: [
    {
      tag: DOE,
      sizes: [9, 8, 6, 4],
      kind: 'falling',
      litters: 4,
      perLitter: -0.8,
      low: -1.3,
      high: -0.3,
      also: [{ of: 'weaned-kg', kind: 'falling', perLitter: -0.9, low: -1.4, high: -0.4 }],
      suggestion: 'Retire her: 0.8 fewer each litter over 4, and that is not chance.',
      lastScore: 2.5,
      alarm: null,
    },
  ],
  feeds: [
    { feed: 'Green pellet', priceMinor: 2150, litters: 3 },
    { feed: 'Plain pellet', priceMinor: 1690, litters: 2 },
  ],
  trial: {
    kind: 'found',
    dearer: {
      feed: 'Green pellet',
      priceMinor: 2150,
      records: 3,
      leftOut: 0,
      feedPerKgGained: 2.8,
      costMinorPerKg: 6020,
    },
    cheaper: {
      feed: 'Plain pellet',
      priceMinor: 1690,
      records: 2,
      leftOut: 1,
      feedPerKgGained: 3.2,
      costMinorPerKg: 5408,
    },
    differenceMinor: -612,
    halfWidthMinor: 900,
    verdict: 'cannot-tell',
    perYoungMinor: -390,
    youngKg: 0.64,
    moreNeeded: 7,
  },
};

it('litters compared say how sure they are, who falls, and whether a feed was worth it', async () => {
  renderPage(<LittersPage />, {
    answers: { 'GET /api/rearing/litters': litters },
    at: '/rearing/litters?species=rabbit',
  });
  expect(await screen.findByText('12 litters of three years, 6.5 reared on average.')).toBeVisible();
  expect(screen.getByText('+0.40 ± 0.60')).toBeVisible();
  expect(screen.getByText('3 litters: guess')).toBeVisible();
  expect(screen.getByText('weight weaned falling')).toBeVisible();
  expect(screen.getByText(/^Retire her: 0.8 fewer each litter over 4/)).toBeVisible();
  expect(
    screen.getByText(/^One cannot tell yet: 6.12 TRY ± 9.00 TRY a kilogram gained\. About 7 more litters on each/),
  ).toBeVisible();
});

it('says in pounds what a pound gained costs, and which litters tell nothing of it', async () => {
  renderPage(<LittersPage />, {
    answers: { 'GET /api/rearing/litters': litters, 'GET /api/holding': { ...aHolding(), unit: 'lb' } },
    at: '/rearing/litters?species=rabbit',
  });
  // 60.20 a kilogram are 27.31 a pound; feed for a pound gained is as many pounds.
  const dearer = within(await screen.findByRole('row', { name: /^Green pellet/ }));
  expect(await dearer.findByText(/^27.31.TRY$/)).toBeVisible();
  expect(dearer.getByText('2.80 lb')).toBeVisible();
  expect(within(screen.getByRole('row', { name: /^Plain pellet/ })).getByText('1 not weighed, left out')).toBeVisible();
  expect(screen.getByText(/2.78.TRY ± 4.08.TRY a pound gained/)).toBeVisible();
});

it('the record of a life stands beside the others', async () => {
  const life: LifeView = {
    on: TODAY,
    tag: DOE,
    species: 'rabbit',
    sex: 'female',
    bornOn: '2025-01-10',
    groupName: 'Does',
    dam: null,
    sire: aTag('K-B1'),
    litters: [
      {
        on: '2026-10-12',
        sires: [aTag('K-B1')],
        alive: 8,
        dead: 1,
        ease: 'pulled-hard',
        fosteredAway: 2,
        fosteredTo: 0,
        lost: 1,
        reared: 5,
        withHer: 0,
        weanedKg: 5.5,
        intervalDays: null,
        here: [],
      },
    ],
    sums: {
      litters: 1,
      born: 8,
      dead: 1,
      reared: 5,
      perYear: { perYear: 5, standardError: 1.8, low: 2.7, high: 7.3, litters: 1, weaned: 5, reared: 5, years: 1 },
      weaned: { litters: 1, kgALitter: 5.5 },
      meanIntervalDays: null,
      hardBirths: 1,
      forWeight: { kgAYear: 5.5, forAKg: 1.25, damKg: 4.4 },
    },
    others: { females: 5, bornALitter: 7.5, rearedALitter: 6.9, intervalDays: 80 },
    trend: null,
  };
  renderPage(<LifeSheet />, {
    answers: { 'GET /api/rearing/life/d1': life },
    at: '/rearing/life/d1',
    route: '/rearing/life/:id',
  });
  expect(
    await screen.findByText(
      '1 birth; 8 kits alive and 1 dead; 5 reared, 5.0 a year (2.7 to 7.3) over 1.0 years; 5500 g weaned a litter (1 of 1 weighed); 5500 g weaned a year, 1.25 times her own weight of 4400 g; 1 hard birth.',
    ),
  ).toBeVisible();
  expect(screen.getByText('A litter: 8.0 alive, the 5 other does 7.5; 5.0 reared, the others 6.9.')).toBeVisible();
  expect(within(screen.getByRole('row', { name: /12 Oct 2026/ })).getByText('2 away')).toBeVisible();
});
