import { screen, waitFor, within } from '@testing-library/react';
import type { MatingRecordView, PedigreeView } from '@yaylak/contract';
import { aHolding, aToday } from '../../tests/builders';
import { dayShown, typeDay } from '../../tests/dates';
import { AWAY, no, renderPage, type Answers } from '../../tests/renderPage';
import { MalesPage } from './MalesPage';
import { MatingPage } from './MatingPage';
import { PedigreePage } from './PedigreePage';
import { RecordPage } from './RecordPage';
import { aFemale, aHeat, aMale, aMating, BUCK, DOE, OTHER, STRANGER_BUCK } from './testViews';
import { choose, offered } from '../../tests/choose';

const aPedigree = (change: Partial<PedigreeView> = {}): PedigreeView => ({
  genes: [],
  nodes: [
    { key: '', tag: DOE, inbreeding: 0.125, isRepeated: false, genes: [] },
    {
      key: 's',
      tag: BUCK,
      inbreeding: 0,
      isRepeated: true,
      genes: [
        { gene: 'wry jaw', tested: 'carrier', carries: 1, about: null, countsAs: null },
        { gene: 'cold skin', tested: 'free', carries: 1, about: null, countsAs: 'carrier' },
        { gene: 'stiff leg', tested: null, carries: 0.15, about: [0.12, 0.18], countsAs: null },
      ],
    },
    { key: 'ds', tag: BUCK, inbreeding: 0, isRepeated: true, genes: [] },
  ],
  inbreeding: 0.125,
  generations: 1.5,
  isShallow: true,
  ancestors: [{ tag: BUCK, inbreeding: 0.125 }],
  partners: [
    { tag: STRANGER_BUCK, groupName: 'Bucks', isReady: true, inbreeding: 0, refusal: null },
    {
      tag: BUCK,
      groupName: 'Bucks',
      isReady: true,
      inbreeding: 0.125,
      refusal: 'Juniper is her half-brother: their kids would be 13\u00a0% inbred.',
    },
  ],
  ...change,
});
const show = async (change: Partial<ReturnType<typeof aMating>> = {}, answers: Answers = {}) => {
  const shown = renderPage(<MatingPage />, {
    answers: { 'GET /api/mating': aMating(change), 'GET /api/mating/pedigree/f1': aPedigree(), ...answers },
    at: '/mating?species=goat',
  });
  await screen.findByRole('heading', { level: 1, name: /^Which does/ });
  return shown;
};

describe('the heats', () => {
  it('answer first who is served when', async () => {
    await show();
    expect(screen.getByText('Serve Thyme: best from Tue 04:00; 1 more doe may be mated.')).toBeVisible();
    expect(
      screen.getByRole('img', {
        name: 'perhaps open: opens 22:00, perhaps already 06:00, best Tue 04:00 to Tue 22:00, closes Wed 10:00',
      }),
    ).toBeVisible();
    expect(screen.getByText(/Standing since 10:00, not yet at Sun 18:00/)).toBeVisible();
  });

  it('say of a return what it means', async () => {
    await show({ heats: [aHeat({ returnAfterDays: 20 })] });
    expect(screen.getByText(/Back after 20 days: she did not hold to that service/)).toBeVisible();
  });

  it('tell how likely she carries, and how that came to be', async () => {
    const { user } = await show({
      females: [
        aFemale({
          tag: OTHER,
          isReady: false,
          chance: {
            servedOn: '2026-10-20',
            males: [BUCK],
            otherSire: null,
            probability: 0.9,
            story: [
              { kind: 'served', on: '2026-10-20', after: 0.7, weight: 1 },
              { kind: 'no-return', on: '2026-11-23', after: 0.9, weight: 1 },
            ],
            contradictions: [],
            returns: null,
            returnedOn: null,
            birthFrom: '2027-03-14',
            birthTo: '2027-03-24',
          },
        }),
      ],
    });
    expect(screen.getByText(/^90\s%$/)).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'How is In young, G-021 worked out?' }));
    expect(await screen.findByText(/Not seen back on heat, 23 Nov/)).toBeVisible();
  });

  it('tell of the others why they are not mated, and from when', async () => {
    await show({
      females: [
        aFemale({
          isReady: false,
          readyOn: '2026-12-20',
          reasons: [
            { code: 'resting', holds: true, words: 'resting since giving birth on 2026-11-05', until: '2026-12-20' },
          ],
        }),
      ],
      heats: [],
    });
    const row = screen.getByText(/resting since/).closest('tr');
    expect(row).toHaveTextContent('resting since giving birth on 2026-11-05');
    expect(row).toHaveTextContent('20 Dec 2026');
  });

  it('change the school by a figure of the species', async () => {
    const { user, asked } = await show({}, { 'PATCH /api/holding': {} });
    await choose(user, await screen.findByLabelText('Hour of service'), 'morning-evening');
    await waitFor(() => expect(asked.some((a) => a.method === 'PATCH')).toBe(true));
    expect(asked.find((a) => a.method === 'PATCH')?.body).toMatchObject({
      species: { goat: { mating: { heatSchool: 'morning-evening', signsNeeded: 2 } } },
    });
  });
});

it('a womb that is clean again is written down where she waits', async () => {
  const { user, entries } = await show({
    heats: [],
    females: [
      aFemale({ isReady: false, reasons: [{ code: 'womb', holds: true, words: 'womb not clean', until: null }] }),
    ],
  });
  await user.click(screen.getByRole('button', { name: 'Womb now clear' }));
  await waitFor(() =>
    expect(entries()).toMatchObject([{ type: 'check', animalId: 'f1', what: 'womb', isFound: false }]),
  );
});

describe('looking for heat', () => {
  it('goes by keys alone, and writes the others down as looked at', async () => {
    const { user, entries } = await show();
    await user.keyboard('n');
    await screen.findByRole('dialog', { name: 'Record heat check' });
    await user.keyboard('{ArrowDown}st');
    expect(screen.getByRole('option', { name: 'G-021 Sumac, 2 signs' })).toHaveAttribute('aria-selected', 'true');
    await user.click(screen.getByRole('button', { name: 'Save, the others without a sign' }));
    await waitFor(() => expect(entries()).toHaveLength(2));
    expect(entries()).toMatchObject([
      { type: 'heat', animalId: 'f1', at: '2026-11-23T11:00', signs: [] },
      { type: 'heat', animalId: 'f2', at: '2026-11-23T11:00', signs: ['stands', 'tail-wags'] },
    ]);
  });

  it('a letter pressed again takes the sign back, and with none there is nothing to write', async () => {
    const { user, entries } = await show();
    await user.keyboard('n');
    await screen.findByRole('dialog');
    await user.keyboard('ss');
    await user.click(screen.getByRole('button', { name: 'Only those with signs (0)' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('Tick a sign of one of them first');
    expect(entries()).toEqual([]);
  });
});

describe('serving', () => {
  const open = async (answers: Answers = {}) => {
    const shown = await show({}, answers);
    await shown.user.click(screen.getAllByRole('button', { name: 'Serve' })[0] as HTMLElement);
    const sheet = within(await screen.findByRole('dialog', { name: 'Serve Thyme' }));
    await waitFor(async () =>
      expect((await offered(shown.user, sheet.getByLabelText('Male'))).join()).toContain('Alder'),
    );
    return { ...shown, sheet };
  };

  it('says at once that it is too early, or too late', async () => {
    const { sheet, user } = await open();
    expect(
      sheet.getByText(
        'Perhaps too early: she began to stand between two looks, so the window opened between 06:00 and 22:00. Serve again later.',
      ),
    ).toBeVisible();
    await typeDay(user, 'When', '2026-11-23T05:00');
    expect(sheet.getByText('Too early: the window opens 22:00 and is best from Tue 04:00.')).toBeVisible();
    await typeDay(user, 'When', '2026-11-25T12:00');
    expect(sheet.getByText(/Too late: the window closed Wed 10:00/)).toBeVisible();
    await typeDay(user, 'When', '2026-11-24T09:00');
    expect(sheet.queryByText(/^Too/)).toBeNull();
  });

  it('stops a pair that is not to be, with the figure, until a reason is given', async () => {
    const { user, sheet, entries } = await open();
    expect(await offered(user, sheet.getByLabelText('Male'))).toContain('Juniper: 13\u00a0% inbred, not to be');
    await choose(user, sheet.getByLabelText('Male'), 'm1');
    expect(sheet.getByText(/Juniper is her half-brother: their kids would be 13\s% inbred/)).toBeVisible();
    await user.click(sheet.getByRole('button', { name: 'Record service' }));
    expect(await sheet.findByRole('alert')).toHaveTextContent('Choose another male, or give a reason');
    expect(entries()).toEqual([]);
    await user.type(sheet.getByLabelText(/Reason for going ahead/), 'no other buck');
    await user.click(sheet.getByRole('button', { name: 'Record service' }));
    await waitFor(() => expect(entries()).toHaveLength(1));
    expect(entries()[0]).toMatchObject({
      type: 'service',
      way: 'hand',
      at: '2026-11-23T11:00',
      maleIds: ['m1'],
      isWitnessed: true,
      reason: 'no other buck',
    });
  });

  it('takes a straw by its code', async () => {
    const { user, sheet, entries } = await open();
    await choose(user, sheet.getByLabelText('How'), 'insemination');
    await user.type(sheet.getByLabelText('Code of the straw'), 'ARD-7');
    await user.click(sheet.getByRole('button', { name: 'Record service' }));
    await waitFor(() => expect(entries()).toHaveLength(1));
    expect(entries()[0]).toMatchObject({ way: 'insemination', maleIds: [], straw: 'ARD-7' });
  });

  it('takes a male that is not in the book, by the words for him', async () => {
    const { user, sheet, entries } = await open();
    await choose(user, sheet.getByLabelText('How'), 'ran with him, not seen');
    await choose(user, sheet.getByLabelText('Male'), 'a male from elsewhere, or not known');
    await user.click(sheet.getByRole('button', { name: 'Record service' }));
    expect(await sheet.findByRole('alert')).toHaveTextContent('Say which male');
    await user.type(sheet.getByLabelText(/Which male/), 'the neighbour’s buck');
    await user.click(sheet.getByRole('button', { name: 'Record service' }));
    await waitFor(() => expect(entries()).toHaveLength(1));
    expect(entries()[0]).toMatchObject({ way: 'ran-with', maleIds: [], otherMale: 'the neighbour’s buck' });
  });

  it('writes a refusal down as a look', async () => {
    const { user, sheet, entries } = await open();
    await user.click(sheet.getByRole('button', { name: 'She refuses him' }));
    await waitFor(() => expect(entries()).toHaveLength(1));
    expect(entries()[0]).toMatchObject({ type: 'heat', signs: ['refuses'] });
  });

  it('holds her back where the womb is not clean, and lets her go when it is', async () => {
    const { user, sheet, entries } = await open();
    await user.click(sheet.getByRole('button', { name: 'Womb infection: hold off' }));
    await waitFor(() => expect(entries()).toMatchObject([{ type: 'check', what: 'womb', isFound: true }]));
  });

  it('keeps the sheet open with the book’s words when it says no', async () => {
    const { user, sheet } = await open({ 'POST /api/entries': no(400, 'Not taken', 'Alder left the holding.') });
    await choose(user, sheet.getByLabelText('Male'), 'm2');
    await user.click(sheet.getByRole('button', { name: 'Record service' }));
    expect(await sheet.findByRole('alert')).toHaveTextContent('Alder left the holding.');
  });
});

it('young males that are due are moved away from the females, a group at a time, and the later ones are told', async () => {
  const window = { opens: '2026-11-01', bestFrom: '2026-11-10', bestTo: '2026-11-19', closes: '2026-11-28' };
  const due = {
    tag: OTHER,
    groupId: '0191d5a0-0000-7000-8000-0000000000c1',
    groupName: 'Kids',
    window,
    isOpen: true,
    isLate: true,
  };
  const later = { ...due, tag: BUCK, isOpen: false, isLate: false, window: { ...window, opens: '2026-12-08' } };
  const { user, entries } = await show(
    { partings: [due, later, { ...later, tag: DOE, groupId: 'g2', groupName: 'Growing hutches' }] },
    { 'GET /api/groups': [{ id: 'g9', name: 'Buck kids', species: 'goat', isClosed: false, version: 1, present: 0 }] },
  );
  expect(screen.getByRole('heading', { name: 'Part from the females in Kids: 1 now' })).toBeVisible();
  expect(screen.getByText(/1 more from 8 Dec on/)).toBeVisible();
  expect(
    screen.getByRole('heading', { name: 'Part from the females in Growing hutches: 1 from 8 Dec on' }),
  ).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Move them' }));
  expect(await screen.findByRole('alert')).toHaveTextContent('Choose the group they go to.');
  await choose(user, screen.getByLabelText('Move it to'), 'g9');
  await user.click(screen.getByRole('button', { name: 'Move them' }));
  await waitFor(() => expect(entries()).toMatchObject([{ type: 'move', animalId: 'f2', groupId: 'g9' }]));
});

describe('the males', () => {
  const males = async (change: Partial<ReturnType<typeof aMale>> = {}) => {
    const shown = renderPage(<MalesPage />, {
      answers: { 'GET /api/mating': aMating({ males: [aMale(change)] }), 'POST /api/jobs': {} },
      at: '/mating/males?species=goat',
    });
    await screen.findByRole('heading', { level: 1, name: 'Are the bucks fit, and have they room?' });
    return shown;
  };

  it('show their load, their share with its range, and whom they must not meet', async () => {
    await males({
      load: 30,
      reasons: [{ code: 'old', holds: false, words: 'getting old: line up a replacement', until: null }],
    });
    expect(screen.getByText('30 of 25, too many')).toBeVisible();
    expect(screen.getByText(/^83\s% \(76 to 88\s%\) of 29$/)).toBeVisible();
    expect(screen.getByRole('link', { name: 'not with 1 of 2' })).toHaveAttribute('href', '/animals/m1/pedigree');
    expect(screen.getByText('4 years; getting old: line up a replacement')).toBeVisible();
  });

  it('are checked part by part', async () => {
    const { user, entries } = await males();
    await user.click(screen.getByRole('button', { name: 'Check' }));
    const sheet = within(await screen.findByRole('dialog', { name: 'Check Juniper before mating' }));
    await user.click(sheet.getByRole('button', { name: 'Save' }));
    expect(await sheet.findByRole('alert')).toHaveTextContent('Give at least one part a grade.');
    await user.click(within(sheet.getByRole('group', { name: 'Testicles' })).getByRole('button', { name: 'not fit' }));
    await user.type(sheet.getByLabelText('Around the testicles, cm'), '28,5');
    await user.click(sheet.getByRole('button', { name: 'Save' }));
    await waitFor(() =>
      expect(entries()).toMatchObject([{ type: 'male-check', grades: { testicles: 'fail' }, girthCm: 28.5 }]),
    );
  });

  it('are put in with a group, with a word where it is too many for him', async () => {
    const { user, entries } = await males({ capacity: 1 });
    await user.click(screen.getByRole('button', { name: 'Put in' }));
    const sheet = within(await screen.findByRole('dialog', { name: 'Put Juniper in' }));
    expect(sheet.getByRole('status')).toHaveTextContent('Does has 2, and he should have 1 at the most.');
    await choose(user, sheet.getByLabelText('Raddle or harness'), 'red');
    await user.click(sheet.getByRole('button', { name: 'Put him in' }));
    await waitFor(() =>
      expect(entries()).toMatchObject([
        { type: 'stay', groupId: '0191d5a0-0000-7000-8000-0000000000c1', colour: 'red' },
      ]),
    );
  });

  it('get another colour, are taken out, and their marks are read at the race', async () => {
    const stay = {
      stayId: 's1',
      groupId: '0191d5a0-0000-7000-8000-0000000000c1',
      groupName: 'Does',
      from: '2026-11-01',
      colour: 'red',
      colourFrom: '2026-11-01',
      isTeaser: false,
      females: 2,
    };
    const { user, entries, path } = await males({ stays: [stay] });
    await user.click(screen.getByRole('button', { name: 'Raddle, out' }));
    const sheet = within(await screen.findByRole('dialog'));
    await choose(user, sheet.getByLabelText('Raddle'), 'blue');
    await user.click(sheet.getByRole('button', { name: 'Change the raddle' }));
    await waitFor(() => expect(entries()).toMatchObject([{ type: 'harness', stayId: 's1', colour: 'blue' }]));
    await user.click(screen.getByRole('button', { name: 'Read the marks' }));
    await waitFor(() => expect(path()).toMatch(/^\/race\//));
  });
});

it('a pedigree marks who stands in it twice, and who may not be put to it', async () => {
  renderPage(<PedigreePage />, {
    answers: { 'GET /api/mating/pedigree/f1': aPedigree() },
    at: '/animals/f1/pedigree',
    route: '/animals/:id/pedigree',
  });
  expect(await screen.findByRole('heading', { name: 'Whom does Thyme come down from?' })).toBeVisible();
  expect(screen.getByText(/13\s% inbred; 1.5 full generations known, so kinship may be higher/)).toBeVisible();
  expect(document.querySelectorAll('[data-repeated]')).toHaveLength(2);
  expect(screen.getByText('wry jaw: carrier, tested')).toBeVisible();
  expect(screen.getByText('cold skin: tests contradict, counts as a carrier')).toBeVisible();
  expect(screen.getByText(/stiff leg: may carry, about 12.% to 18.%/)).toBeVisible();
  expect(screen.getByRole('heading', { name: 'Males for Thyme (1 of 2)' })).toBeVisible();
});

it('a male is checked from his pedigree', async () => {
  const { user, entries } = renderPage(<PedigreePage />, {
    answers: {
      'GET /api/mating/pedigree/f1': aPedigree(),
      'GET /api/animals/f1': { row: { sex: 'male' } },
    },
    at: '/animals/f1/pedigree',
    route: '/animals/:id/pedigree',
  });
  await user.click(await screen.findByRole('button', { name: 'Check him before mating' }));
  const sheet = within(await screen.findByRole('dialog'));
  await user.click(within(sheet.getByRole('group', { name: 'Temper' })).getByRole('button', { name: 'to watch' }));
  await user.click(sheet.getByRole('button', { name: 'Save' }));
  await waitFor(() => expect(entries()).toMatchObject([{ type: 'male-check', grades: { temper: 'watch' } }]));
});

it('the record holds males against each other and bars what fell after heat', async () => {
  const record: MatingRecordView = {
    species: 'goat',
    males: [
      {
        tag: BUCK,
        share: null,
        spells: 3,
        litters: 2,
        meanSize: 1.5,
        againstOthers: { mean: -0.25, halfWidth: 0.4, females: 5 },
      },
    ],
    pairs: [{ female: DOE, male: BUCK, litters: 1, meanSize: 2, otherwise: null, lastOn: '2026-02-21' }],
    quarters: [
      {
        year: 2027,
        quarter: 'winter',
        spells: 4,
        share: { share: 0.5, low: 0.3, high: 0.7, of: 4 },
        meanSize: 1.5,
        afterHeat: 4,
      },
    ],
    hot: [{ from: '2026-07-10', to: '2026-07-20', why: 'heat' }],
  };
  renderPage(<RecordPage />, {
    answers: { 'GET /api/mating/record': record },
    at: '/mating/record?species=goat',
  });
  expect(await screen.findByText('\u22120.25 ± 0.40, 5 females')).toBeVisible();
  expect(
    await screen.findByRole('img', { name: /Winter 2026–27: 50 % of 4 took, 1.5 young a litter, 4 of 4 after heat/ }),
  ).toBeVisible();
  expect(screen.getByText('1 litter: a guess')).toBeVisible();
});

describe('whose mating is looked at', () => {
  const head = [
    { species: 'sheep' as const, present: 0, grownFemales: 0 },
    { species: 'goat' as const, present: 14, grownFemales: 14 },
  ];

  it('is a species that is here, where none is named', async () => {
    const { asked } = renderPage(<MatingPage />, {
      answers: { 'GET /api/today': aToday({ head }), 'GET /api/mating': aMating() },
      at: '/mating',
    });
    await screen.findByRole('heading', { level: 1, name: /^Which does/ });
    await waitFor(() => expect(asked.some((a) => a.path.startsWith('/api/mating?species=goat'))).toBe(true));
    expect(screen.getByLabelText('Species')).toHaveTextContent('Goats');
  });

  it('is asked for anew by group', async () => {
    const answered: string[] = [];
    const { user } = await show(
      {},
      {
        'GET /api/mating': ({ query }: { query: URLSearchParams }) => {
          answered.push(query.get('groupId') ?? 'all');
          return aMating();
        },
      },
    );
    await choose(user, screen.getByLabelText('Group'), '0191d5a0-0000-7000-8000-0000000000c1');
    await waitFor(() => expect(answered.at(-1)).toBe('0191d5a0-0000-7000-8000-0000000000c1'));
  });

  it('says what to do where nobody is on heat, and where the server does not answer', async () => {
    await show({ heats: [], looks: [] });
    expect(screen.getByText(/Press N to record what you see/)).toBeVisible();
    expect(screen.getByText(/None recorded yet. Look twice a day/)).toBeVisible();
  });

  it('offers to ask again when the server is away', async () => {
    renderPage(<MatingPage />, { answers: { 'GET /api/mating': AWAY }, at: '/mating?species=goat' });
    expect(await screen.findByRole('button', { name: /again/i })).toBeVisible();
  });
});

it('a look for heat is kept on the device while the server is away', async () => {
  const { user, outbox } = await show({}, { 'POST /api/entries': AWAY });
  await user.keyboard('n');
  await screen.findByRole('dialog');
  await user.keyboard('s');
  await user.click(screen.getByRole('button', { name: 'Only those with signs (1)' }));
  expect(await screen.findByText(/It is kept on this device until the server is back/)).toBeVisible();
  await waitFor(() => expect(outbox.state().waiting).toBe(1));
  outbox.stop();
});

describe('rabbits', () => {
  it('have no hours, and are offered again for a check', async () => {
    const { user, entries } = renderPage(<MatingPage />, {
      answers: {
        'GET /api/mating': aMating({
          species: 'rabbit',
          school: 'none',
          heats: [],
          females: [
            aFemale({
              isReady: false,
              chance: {
                servedOn: '2026-11-16',
                males: [BUCK],
                otherSire: null,
                probability: 0.75,
                story: [{ kind: 'served', on: '2026-11-16', after: 0.75, weight: 1 }],
                contradictions: [],
                returns: null,
                returnedOn: null,
                birthFrom: '2026-12-15',
                birthTo: '2026-12-19',
              },
            }),
          ],
        }),
        'GET /api/mating/pedigree/f1': aPedigree(),
      },
      at: '/mating?species=rabbit',
    });
    expect(await screen.findByRole('heading', { name: 'Which does go to the buck?' })).toBeVisible();
    expect(screen.queryByLabelText('Hour of service')).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Offer again' }));
    const sheet = within(await screen.findByRole('dialog', { name: 'Serve Thyme' }));
    expect(sheet.getByRole('checkbox', { name: /^check mating/ })).toBeChecked();
    await choose(user, sheet.getByLabelText('Male'), 'm2');
    await user.click(sheet.getByRole('button', { name: 'Record service' }));
    await waitFor(() => expect(entries()).toMatchObject([{ type: 'service', isCheck: true, maleIds: ['m2'] }]));
  });
});

it('a teaser is put in without a word about kin or room', async () => {
  const { user, entries } = renderPage(<MalesPage />, {
    answers: { 'GET /api/mating': aMating({ males: [aMale({ capacity: 1 })] }) },
    at: '/mating/males?species=goat',
  });
  await user.click(await screen.findByRole('button', { name: 'Put in' }));
  const sheet = within(await screen.findByRole('dialog'));
  expect(sheet.getByText(/not to be put with 1 of the females/)).toBeVisible();
  await user.click(sheet.getByText('a teaser: finds heats, sires nothing'));
  expect(sheet.queryByText(/not to be put with/)).toBeNull();
  expect(sheet.queryByRole('status')).toBeNull();
  await user.click(sheet.getByRole('button', { name: 'Put him in' }));
  await waitFor(() => expect(entries()).toMatchObject([{ type: 'stay', isTeaser: true }]));
});

it('a gene test wants the disorder, and takes the result', async () => {
  const { user, entries } = renderPage(<PedigreePage />, {
    answers: { 'GET /api/mating/pedigree/f1': aPedigree({ nodes: aPedigree().nodes.slice(0, 1) }) },
    at: '/animals/f1/pedigree',
    route: '/animals/:id/pedigree',
  });
  await user.click(await screen.findByRole('button', { name: 'Record a gene test' }));
  const sheet = within(await screen.findByRole('dialog', { name: 'Gene test of Thyme' }));
  await user.click(sheet.getByRole('button', { name: 'Save' }));
  expect(await sheet.findByRole('alert')).toHaveTextContent('Type which disorder was tested');
  await user.type(sheet.getByLabelText('Name of the disorder'), 'wry jaw');
  await choose(user, sheet.getByLabelText('Result'), 'carrier');
  await user.type(sheet.getByLabelText('Laboratory'), 'Upland lab');
  await user.click(sheet.getByRole('button', { name: 'Save' }));
  await waitFor(() =>
    expect(entries()).toMatchObject([
      { type: 'gene-test', animalId: 'f1', gene: 'wry jaw', result: 'carrier', laboratory: 'Upland lab' },
    ]),
  );
});

it('a gene the species was tested for before is chosen, and another typed', async () => {
  const { user, entries } = renderPage(<PedigreePage />, {
    answers: { 'GET /api/mating/pedigree/f1': aPedigree({ genes: ['cold skin', 'wry jaw'] }) },
    at: '/animals/f1/pedigree',
    route: '/animals/:id/pedigree',
  });
  await user.click(await screen.findByRole('button', { name: 'Record a gene test' }));
  const sheet = within(await screen.findByRole('dialog', { name: 'Gene test of Thyme' }));
  expect(sheet.queryByLabelText('Name of the disorder')).toBeNull();
  await choose(user, sheet.getByLabelText('Disorder'), 'another');
  expect(sheet.getByLabelText('Name of the disorder')).toBeVisible();
  await choose(user, sheet.getByLabelText('Disorder'), 'wry jaw');
  await choose(user, sheet.getByLabelText('Result'), 'not affected');
  await user.click(sheet.getByRole('button', { name: 'Save' }));
  await waitFor(() => expect(entries()).toMatchObject([{ type: 'gene-test', gene: 'wry jaw', result: 'unaffected' }]));
});

it('a gene test opened before the holding is read waits for today', async () => {
  let answer: (holding: unknown) => void = () => undefined;
  const { user, entries } = renderPage(<PedigreePage />, {
    answers: {
      'GET /api/holding': new Promise((resolve) => (answer = resolve)),
      'GET /api/mating/pedigree/f1': aPedigree(),
    },
    at: '/animals/f1/pedigree',
    route: '/animals/:id/pedigree',
  });
  await user.click(await screen.findByRole('button', { name: 'Record a gene test' }));
  expect(screen.queryByRole('dialog')).toBeNull();
  answer(aHolding());
  const sheet = within(await screen.findByRole('dialog'));
  expect(dayShown('On')).toBe('23/11/2026');
  await user.type(sheet.getByLabelText('Name of the disorder'), 'wry jaw');
  await user.click(sheet.getByRole('button', { name: 'Save' }));
  await waitFor(() => expect(entries()).toMatchObject([{ type: 'gene-test', on: aHolding().today }]));
});
