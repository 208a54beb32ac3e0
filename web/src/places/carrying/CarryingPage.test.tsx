import { act, screen, waitFor, within } from '@testing-library/react';
import { SPECIES_TABLE } from '@yaylak/core';
import { aHolding } from '../../tests/builders';
import { AWAY, no, renderPage, type Answers } from '../../tests/renderPage';
import { AgeingPage } from './AgeingPage';
import { CarryingPage } from './CarryingPage';
import { aCarrying, aChance, aFemale, aTubeOut, aWhatNow, BUCK, DOE, SECOND } from './testViews';
import { choose } from '../../tests/choose';

const show = async (change: Partial<ReturnType<typeof aCarrying>> = {}, answers: Answers = {}) => {
  const shown = renderPage(<CarryingPage />, {
    answers: { 'GET /api/carrying': aCarrying(change), ...answers },
    at: '/carrying?species=goat',
  });
  await screen.findByRole('heading', { level: 1, name: 'How many does are in young?' });
  return shown;
};
/** jsdom's files cannot be read as bytes. */
const pick = (name: string, text: string): File =>
  Object.assign(new File([text], name, { type: 'text/csv' }), {
    arrayBuffer: () => Promise.resolve(Uint8Array.from(Buffer.from(text)).buffer),
  });

describe('the answer', () => {
  it('counts who is sure, who is not known and who is empty, each once', async () => {
    await show({
      females: [
        aFemale({ state: 'in-young', chance: aChance({ probability: 0.999 }) }),
        aFemale({ tag: SECOND, state: 'doubtful', chance: aChance({ probability: 0.92 }) }),
        aFemale({ tag: { ...SECOND, animalId: 'f3' }, state: 'too-soon', chance: aChance({ probability: 0.8 }) }),
        aFemale({ tag: { ...SECOND, animalId: 'f4' }, state: 'empty', chance: aChance({ probability: 0.03 }) }),
        aFemale({ tag: { ...SECOND, animalId: 'f5' }, state: 'not-served', chance: null }),
      ],
    });
    expect(
      screen.getByText('2 of 5 does very likely in young, 1 too soon to say, 1 empty, 1 not served.'),
    ).toBeVisible();
  });

  it('looks back at a season that is over', async () => {
    await show({ isCurrent: false, females: [], testing: [], births: null });
    expect(
      screen.getByText('Nobody is served now. Of the season from 26 Sept 2026, 50 % of 14 does took.'),
    ).toBeVisible();
  });

  it('says what to do where nobody was ever served, and where the server does not answer', async () => {
    await show({ curve: null, seasons: [], season: null, females: [], testing: [], births: null, isCurrent: false });
    expect(screen.getByText('No doe was served yet.')).toBeVisible();
    expect(screen.getByRole('link', { name: 'Mating' })).toHaveAttribute('href', '/mating?species=goat');
  });

  it('offers to ask again when the server is away', async () => {
    renderPage(<CarryingPage />, { answers: { 'GET /api/carrying': AWAY }, at: '/carrying?species=goat' });
    expect(await screen.findByRole('alert')).toHaveTextContent('The server is away');
  });

  it('lists those that ran with a raddled male and wear no mark by themselves, and asks what came of the long overdue', async () => {
    await show({
      females: [
        aFemale({ tag: SECOND, state: 'not-marked', chance: null, birth: null }),
        aFemale({ state: 'unanswered', chance: null }),
      ],
    });
    expect(
      screen.getByText('1 with no outcome on record, 1 ran with him and not marked.', { exact: false }),
    ).toBeVisible();
    const unmarked = screen.getByRole('heading', { name: 'Ran with a raddled male, no mark (1)' });
    expect(
      within(unmarked.parentElement as HTMLElement).getByText('ran with a raddled male, no mark seen'),
    ).toBeVisible();
    expect(screen.getByText('what came of her?')).toBeVisible();
    expect(screen.getByText('was due 25 Feb')).toBeVisible();
  });

  it('opens the sheet of a loss for whom it was sent here, and closes it for good', async () => {
    const { user, path } = renderPage(<CarryingPage />, {
      answers: { 'GET /api/carrying': aCarrying({ females: [aFemale()] }) },
      at: '/carrying?species=goat&lost=f1',
    });
    const sheet = within(await screen.findByRole('dialog', { name: 'Thyme: a test, a look or a loss' }));
    expect(sheet.getByLabelText('What')).toHaveTextContent(/lost/i);
    await user.keyboard('{Escape}');
    await waitFor(() => expect(path()).toBe('/carrying?species=goat'));
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  it('asks anew for a group, a male or a season', async () => {
    const { user, asked, path } = await show();
    await choose(user, screen.getByLabelText('Served by'), 'm1');
    await choose(user, screen.getByLabelText('Season of mating'), '2025-09-10');
    await waitFor(() => expect(asked.at(-1)?.path).toBe('/api/carrying?species=goat&maleId=m1&season=2025-09-10'));
    await choose(user, screen.getByLabelText('Species'), 'sheep');
    expect(path()).toBe('/carrying?species=sheep');
  });
});

it('draws the curve in words, with rates, the base and who left it', async () => {
  await show();
  expect(
    await screen.findByRole('img', {
      name: '50\u00a0% of 14 does known or very likely in young; 75\u00a0% expected of those served so far',
    }),
  ).toBeVisible();
  for (const [what, figure] of [
    ['First cycle (21 days)', '50 %'],
    ['Half in young', 'day 2, 28 Sept'],
    ['Not served', '3'],
    ['Sold or dead', '1'],
    ['Scanned', '175 kids per 100 does (4)'],
  ])
    expect(screen.getByText(what ?? '').nextSibling).toHaveTextContent(figure ?? '');
});

it('tells births to come with how sure, pens that are too few, and what else falls into the week', async () => {
  await show();
  expect(screen.getByText(/most in the week of 20 Feb to 26 Feb: 1.0 ± 0.4/)).toBeVisible();
  expect(
    screen.getByText(/0 pens there: too few on 3 days\. In the same week about 4\.2 births of sheep\. 1 is over/),
  ).toBeVisible();
});

describe('the tests', () => {
  it('stand by way with the best day and the cost; others’ days with their reason', async () => {
    const { user } = await show();
    const blood = within(screen.getByRole('group', { name: 'blood test' }));
    expect(
      blood.getByText(
        /^now 1 of 2; best on 15 Dec: 2 of 2 can be tested, 2 at their best time; 9\.00 EUR a head, 18\.00 EUR for all 2$/,
      ),
    ).toBeVisible();
    await user.click(blood.getByText('1 comes later'));
    expect(
      blood.getByText('Blood test on day 10 after the service of 13 Nov 2026; it can tell from day 30, 13 Dec 2026.'),
    ).toBeVisible();
    expect(screen.queryByRole('group', { name: 'scan' })).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Other ways too' }));
    expect(screen.getByRole('group', { name: 'scan' })).toBeVisible();
  });

  it('by blood go to the race to have the first tube looked at, a scan starts at once', async () => {
    const { user, path } = await show();
    await user.click(screen.getByRole('button', { name: 'Plan tubes for 1' }));
    expect(path()).toBe('/race');
  });

  it('start a scan with those it can tell of', async () => {
    const { user, path, outbox } = await show();
    await user.click(screen.getByRole('button', { name: 'Other ways too' }));
    await user.click(screen.getByRole('button', { name: 'Scan 1' }));
    await waitFor(() => expect(path()).toMatch(/^\/race\/.+/));
    expect(outbox).toBeDefined();
  });
});

describe('one by one', () => {
  it('says what contradicts, and which service an age fits', async () => {
    const sign = { on: '2026-11-12', after: 0.9, weight: 48 };
    await show({
      females: [
        aFemale({
          state: 'doubtful',
          chance: aChance({
            contradictions: [
              {
                earlier: { kind: 'returned', on: '2026-11-02', after: 0.1, weight: 0.04 },
                later: {
                  kind: 'tested',
                  ...sign,
                  test: { on: '2026-11-12', way: 'scan', result: 'carrying', isTooSoon: false },
                },
              },
            ],
          }),
          tests: [{ on: '2026-11-12', way: 'scan', result: 'carrying', young: 2, ageDays: 41, findings: ['unequal'] }],
          fit: {
            scannedOn: '2026-11-12',
            ageDays: 41,
            conceivedOn: '2026-10-02',
            servedOn: '2026-10-01',
            daysOff: -1,
            sires: [
              { tag: BUCK, probability: 0.8 },
              { tag: SECOND, probability: 0.2 },
            ],
          },
        }),
      ],
    });
    const row = within(screen.getByRole('row', { name: /G-01/ }));
    expect(row.getByText(/scan 12 Nov: 2 kids, 41 days, unequal in size/)).toBeVisible();
    expect(
      row.getByText(
        'Seen back on heat (2 Nov) and scan: in young (12 Nov) contradict each other: one of the two is wrong.',
      ),
    ).toBeVisible();
    expect(row.getByText(/The age fits 1 Oct: Juniper 80 %, Sage 20 %/)).toBeVisible();
  });

  it('says that an age fits nobody, and that a tube is out', async () => {
    await show({
      females: [
        aFemale({
          tubeOut: { tube: 'B-022', on: '2026-11-20' },
          fit: {
            scannedOn: '2026-11-12',
            ageDays: 20,
            conceivedOn: '2026-10-23',
            servedOn: null,
            daysOff: 22,
            sires: [],
          },
        }),
      ],
    });
    expect(screen.getByText('20 days fit no service: conceived about 23 Oct.')).toBeVisible();
    expect(screen.getByText(/blood taken 20 Nov, tube B-022 not answered yet/)).toBeVisible();
  });

  it('a loss is written down with what was seen', async () => {
    const { user, entries } = await show();
    await user.click(screen.getByRole('button', { name: 'Record for G-01' }));
    const sheet = within(await screen.findByRole('dialog', { name: /^Thyme: a test/ }));
    await choose(user, sheet.getByLabelText('What'), 'loss');
    await user.type(sheet.getByLabelText('What was seen'), 'two, by the hedge');
    await user.click(sheet.getByRole('button', { name: 'Save' }));
    await waitFor(() =>
      expect(entries()).toMatchObject([
        { type: 'loss', animalId: 'f1', on: '2026-11-23', how: 'slipped', words: 'two, by the hedge' },
      ]),
    );
  });

  it('a scan takes whole figures only, and is asked why where it comes too soon', async () => {
    const { user, entries } = await show({
      females: [
        aFemale({
          chance: aChance({ servedOn: '2026-11-03' }),
          windows: [
            {
              way: 'scan',
              window: { opens: '2026-12-08', bestFrom: '2026-12-18', bestTo: '2027-02-01', closes: '2027-02-26' },
              isDone: false,
              tooSoon: {
                way: 'scan',
                after: 'service',
                since: '2026-11-03',
                days: 20,
                daysNeeded: 35,
                validFrom: '2026-12-08',
              },
            },
          ],
        }),
      ],
    });
    await user.click(screen.getByRole('button', { name: 'Record for G-01' }));
    const sheet = within(await screen.findByRole('dialog'));
    await choose(user, sheet.getByLabelText('By'), 'scan');
    expect(sheet.getByRole('status')).toHaveTextContent('it can tell from day 35, 8 Dec 2026');
    await user.type(sheet.getByLabelText('Young'), 'two');
    await user.click(sheet.getByRole('button', { name: 'Save' }));
    expect(await sheet.findByRole('alert')).toHaveTextContent('Type how many, as a whole number.');
    await user.clear(sheet.getByLabelText('Young'));
    await user.type(sheet.getByLabelText('Young'), '2');
    await user.type(sheet.getByLabelText('Age, days'), '20');
    await user.click(sheet.getByText('unequal in size'));
    await user.type(sheet.getByLabelText(/^Reason for going ahead/), 'the van leaves');
    await user.click(sheet.getByRole('button', { name: 'Save' }));
    await waitFor(() =>
      expect(entries()).toMatchObject([
        { type: 'pregnancy-test', way: 'scan', young: 2, ageDays: 20, findings: ['unequal'], reason: 'the van leaves' },
      ]),
    );
  });
});

describe('what now', () => {
  const asking = { females: [aFemale({ state: 'empty', chance: aChance({ probability: 0.2 }), whatNow: aWhatNow() })] };

  it('shows the costs, the break-even and what it hangs on', async () => {
    const { user } = await show(asking);
    expect(screen.getByRole('row', { name: 'Test again first 11.89\u00a0EUR' })).toBeVisible();
    expect(screen.getByText(/Selling pays only below 32 % in young\. 1 season empty so far of 2/)).toBeVisible();
    await user.click(screen.getByText('What this depends on'));
    expect(
      screen.getByRole('img', { name: 'cost of keeping her: from −9.00\u00a0EUR to 4.00\u00a0EUR' }),
    ).toBeVisible();
    expect(screen.getByText('then sell now')).toBeVisible();
  });

  it('takes what is cheapest without a word, and asks why for anything else', async () => {
    const { user, entries } = await show(asking);
    await choose(user, screen.getByLabelText('Decide'), 'sell');
    await user.click(screen.getByRole('button', { name: 'Record decision' }));
    expect(screen.getByRole('alert')).toHaveTextContent('Why: say why sell now goes before what is cheapest.');
    await choose(user, screen.getByLabelText('Decide'), 'test-again');
    await user.click(screen.getByRole('button', { name: 'Record decision' }));
    await waitFor(() =>
      expect(entries()).toMatchObject([
        { type: 'way-on', decision: 'test-again', suggested: 'test-again', chance: 0.2 },
      ]),
    );
    expect(entries()[0]).toMatchObject({ evidence: expect.stringContaining('sell now 27.89') as string });
  });

  it('keeps the sheet with the book’s words when it says no', async () => {
    const { user } = await show(asking, { 'POST /api/entries': no(400, 'The book is shut.') });
    await user.click(screen.getByRole('button', { name: 'Record decision' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('The book is shut.');
  });
});

describe('results of a laboratory', () => {
  const tubes = [aTubeOut(1, DOE), aTubeOut(2, SECOND), aTubeOut(3, BUCK, { purpose: 'gene', probability: null })];
  const open = async () => {
    const shown = await show({}, { 'GET /api/carrying/tubes': tubes });
    await shown.user.click(screen.getByRole('button', { name: 'Read in results (2 tubes out)' }));
    const dialog = within(await screen.findByRole('dialog', { name: 'Read in results' }));
    await dialog.findByText(/3 tubes are out/);
    const read = async (text: string, name = 'results.csv') => {
      const input = document.querySelector<HTMLInputElement>('input[type=file]');
      if (!input) throw new Error('no file to choose');
      await shown.user.upload(input, pick(name, text));
    };
    return { ...shown, dialog, read };
  };

  it('that fit are written down by their tubes, genes by the same door', async () => {
    const { dialog, read, user, entries } = await open();
    await read('tube,animal,result,gene\nB-001,G-01,positive,\nB-003,,carrier,wry jaw\n');
    expect(await dialog.findByText(/2 fit their tubes, none needs a look, 1 tube without an answer/)).toBeVisible();
    await user.type(dialog.getByLabelText(/^Laboratory/), 'Upland');
    await user.click(dialog.getByRole('button', { name: 'Record 2 results' }));
    await waitFor(() =>
      expect(entries()).toMatchObject([
        {
          type: 'pregnancy-test',
          animalId: 'f1',
          on: '2026-11-20',
          way: 'blood',
          result: 'carrying',
          sampleId: 's1',
          laboratory: 'Upland',
        },
        { type: 'gene-test', animalId: 'm1', gene: 'wry jaw', result: 'carrier', sampleId: 's3' },
      ]),
    );
  });

  it('are held against the tubes as the book knows them, where the device kept an older list', async () => {
    let come: (tubes: unknown) => void = () => undefined;
    const late = new Promise((resolve) => (come = resolve));
    const asked = [[], late];
    const { user } = await show({}, { 'GET /api/carrying/tubes': () => asked.shift() ?? tubes });
    await user.click(screen.getByRole('button', { name: 'Read in results (2 tubes out)' }));
    const dialog = within(await screen.findByRole('dialog', { name: 'Read in results' }));
    await dialog.findByText('No tube is out.');
    const input = document.querySelector<HTMLInputElement>('input[type=file]') as HTMLInputElement;
    await user.upload(input, pick('results.csv', 'tube,animal,result,gene\nB-001,G-01,positive,\n'));
    expect(await dialog.findByText(/0 fit their tubes, none needs a look, 1 of no tube of ours/)).toBeVisible();
    // Looked at again, the page is read anew.
    act(() => void window.dispatchEvent(new Event('visibilitychange')));
    await act(() => Promise.resolve(come(tubes)));
    expect(await dialog.findByText(/1 fits its tube, none needs a look, 2 tubes without an answer/)).toBeVisible();
  });

  it('that look swapped are held until somebody says whose they are', async () => {
    const { dialog, read, user, entries } = await open();
    await read('tube;animal;result\nB-001;G-02;positive\nB-002;G-01;empty\nX-9;;positive\n');
    expect(await dialog.findAllByText(/^Looks swapped/)).toHaveLength(2);
    expect(dialog.getByRole('button', { name: 'Record 0 results' })).toBeDisabled();
    expect(dialog.getByText(/no tube of this number is out; not taken \(line 4\)/)).toBeVisible();
    await choose(user, dialog.getByLabelText('Line 2'), 'exchange');
    await choose(user, dialog.getByLabelText('Line 3'), 'as-said');
    await user.click(dialog.getByRole('button', { name: 'Record 2 results' }));
    // Of these two only one says it is the other's: the book will say that the tube is answered already.
    await waitFor(() => expect(entries()).toMatchObject([{ sampleId: 's2' }, { sampleId: 's2' }]));
  });

  it.each([
    ['number;weight\n1;2\n', /has no column “tube” and no “result”; its headings are number, weight/],
    ['', /is empty\. Choose another file\./],
    ['tube;result\n', /has headings and no rows/],
  ])('a file that is none says what is wrong', async (text, words) => {
    const { dialog, read } = await open();
    await read(text);
    expect(await dialog.findByRole('alert')).toHaveTextContent(words);
  });

  it('says what it cannot read, and what stands twice', async () => {
    const { dialog, read } = await open();
    await read('tube,result\nB-001,maybe\nB-002,positive\nB-002,negative\n');
    expect(await dialog.findByText('“maybe” is not an answer to what this tube was taken for.')).toBeVisible();
    expect(dialog.getByText('Stands in the file twice with two answers; see line 3.')).toBeVisible();
  });
});

it('the steps before a birth are the holding’s own', async () => {
  const { user, asked } = await show({}, { 'PATCH /api/holding': aHolding() });
  await user.click(screen.getByRole('button', { name: 'Steps before a birth' }));
  const sheet = within(await screen.findByRole('dialog', { name: 'Before kidding' }));
  const shipped = SPECIES_TABLE.goat.carryingSteps.length;
  await user.click(await sheet.findByRole('button', { name: 'Add a step' }));
  await user.click(sheet.getByRole('button', { name: 'Keep the steps' }));
  const step = within(sheet.getByRole('group', { name: `Step ${shipped + 1}` }));
  expect((await step.findAllByRole('alert')).map((a) => a.textContent)).toEqual([
    'Say what is done.',
    'Give whole days, 0 to 999.',
  ]);
  expect(step.getByLabelText('What')).toHaveFocus();
  await user.type(step.getByLabelText('What'), 'Own vaccine');
  await user.type(step.getByLabelText('Days before'), '28');
  await user.click(sheet.getByRole('button', { name: 'Keep the steps' }));
  await waitFor(() =>
    expect(asked.find((a) => a.method === 'PATCH')?.body).toMatchObject({
      species: {
        goat: {
          carryingSteps: [
            ...SPECIES_TABLE.goat.carryingSteps,
            { kind: 'give', name: 'Own vaccine', daysBefore: 28, slackDays: 3 },
          ],
        },
      },
    }),
  );
});

it('a learner’s ages are told in days, with the share within five', async () => {
  const ages = {
    learner: 'Kerem',
    scanner: 'Selin',
    pairs: [
      [66, 61],
      [61, 59],
    ],
    bias: 3.5,
    biasHalfWidth: 4.6,
    sd: 2.1,
    limits: [-0.7, 7.7],
    withinFive: 1,
  };
  renderPage(<AgeingPage />, { answers: { 'GET /api/carrying/ageing': [ages] } });
  expect(await screen.findByText('Kerem reads 3.5 days too old; 100 % of 2 are within five days.')).toBeVisible();
  expect(await screen.findByRole('img', { name: 'Differences of 2 ages: bias 3.5 days' })).toBeVisible();
});
