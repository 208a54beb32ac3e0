import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { ChangeDraft, ChoosingView, KinView } from '@yaylak/contract';
import { aChoosing, aChoosingRow, aFailedAnimal, aHolding, anAdjusted } from '../../tests/builders';
import { AWAY, no, refuses, renderPage, type Answers } from '../../tests/renderPage';
import { ChoosingPage } from './ChoosingPage';
import { createCurveWorker } from './together';
import { workCurve } from './togetherClient';
import { choose, offered } from '../../tests/choose';

jest.mock('./togetherClient', () => ({ workCurve: jest.fn(), stopCurve: jest.fn() }));

const SETS = [
  { species: 'sheep', sex: 'female', from: '2026-11-19', to: '2026-11-20', count: 2 },
  { species: 'sheep', sex: 'female', from: '2026-04-06', to: '2026-05-07', count: 8 },
  { species: 'goat', sex: 'male', from: '2025-12-28', to: '2026-01-04', count: 2 },
  { species: 'cattle', sex: 'female', from: null, to: null, count: 4 },
];
const three = [aChoosingRow('26-0001', 1), aChoosingRow('26-0002', 2), aChoosingRow('26-0003', 3)];
type Step = 'eye' | 'numbers' | 'kin' | 'choice';

/** Shows a step of a set; the server keeps each change of the draft as it is told to. */
const show = async (step: Step, view: ChoosingView = aChoosing(three), answers: Answers = {}) => {
  const shown = renderPage(<ChoosingPage />, {
    at: `/choosing?step=${step}`,
    answers: {
      'GET /api/choosing/sets': SETS,
      'GET /api/choosing': view,
      'GET /api/choosing/strictness': { species: 'sheep', standards: [] },
      'POST /api/choosing/draft': view,
      ...answers,
    },
  });
  await screen.findByRole('tab', { name: /^By the numbers/ });
  const changes = () =>
    shown.asked.filter((a) => a.path === '/api/choosing/draft').map((a) => a.body as Partial<ChangeDraft>);
  return { ...shown, changes };
};
const row = (number: string): HTMLElement => screen.getByLabelText(`Choice for ${number}`).closest('tr') as HTMLElement;

describe('the sets', () => {
  it('are named by their months of birth; the first worth opening is open', async () => {
    const { user } = await show('numbers');
    expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('Choosing: ewe lambs of Apr to May 2026');
    expect(await offered(user, screen.getByLabelText('Among'))).toEqual([
      'ewe lambs of Nov 2026 (2)',
      'ewe lambs of Apr to May 2026 (8)',
      'buck kids of Dec 2025 to Jan 2026 (2)',
      'grown cows (4)',
    ]);
  });
  it('open at their address, and keep the step', async () => {
    const { user, path } = await show('eye');
    await choose(user, screen.getByLabelText('Among'), 'grown cows (4)');
    await waitFor(() => expect(path()).toContain('set=cattle+female+grown&step=eye'));
  });
  it('say so when there is nobody, and when the ranking cannot be read', async () => {
    renderPage(<ChoosingPage />, { answers: { 'GET /api/choosing/sets': [] } });
    expect(await screen.findByText('Nobody to choose from')).toBeVisible();
  });
  it('say when the ranking cannot be read', async () => {
    renderPage(<ChoosingPage />, {
      answers: { 'GET /api/choosing/sets': SETS, 'GET /api/choosing': no(503, 'The disk did not answer.') },
    });
    expect(await screen.findByText('The disk did not answer.')).toBeVisible();
  });
});

describe('by eye', () => {
  it('shows who failed what, struck, with day and scorer, and lets back with a reason only', async () => {
    const { user, changes } = await show('eye', aChoosing(three, { failed: [aFailedAnimal('26-0009')] }));
    expect(row('26-0009')).toHaveTextContent('Mouth, 3 Nov, Kerem');
    expect(row('26-0009')).toHaveAttribute('data-struck');
    await user.click(screen.getByRole('button', { name: 'Let 26-0009 back' }));
    const sheet = await screen.findByRole('dialog', { name: 'Let 26-0009 back?' });
    expect(within(sheet).getByRole('button', { name: 'Let back' })).toBeDisabled();
    await user.type(within(sheet).getByLabelText('Reason'), 'grown out');
    await user.click(within(sheet).getByRole('button', { name: 'Let back' }));
    await waitFor(() =>
      expect(changes()).toMatchObject([{ letBack: [{ animalId: 'id of 26-0009', reason: 'grown out' }] }]),
    );
  });
  it('leads those not looked at to the race', async () => {
    const eye = { state: 'not-looked', failed: [], graded: [], missing: ['Mouth'], letBack: null } as const;
    const { user, path } = await show('eye', aChoosing([aChoosingRow('26-0001', 1, { eye }), ...three.slice(1)]));
    await user.click(screen.getByRole('button', { name: 'Look over 1 at the race' }));
    expect(path()).toContain('/race');
  });
  it('says of the too young when they will be judged', async () => {
    const baby = { ...aChoosingRow('26-0065', 1), ageDays: 2 };
    await show('eye', aChoosing(three, { notRanked: [baby] }));
    expect(screen.getByText('2 days old. Nobody is judged before 42 days.')).toBeVisible();
    expect(screen.queryByLabelText('Choice for 26-0065')).toBeNull();
  });
  it('shows how many failed year by year, and how young of failed dams do', async () => {
    const year = (y: number, failed: number, share: number, low: number, high: number) => ({
      year: y,
      failed,
      of: 30,
      share,
      low,
      high,
    });
    const standards = [
      {
        standardId: null,
        name: 'Any standard',
        years: [year(2023, 12, 0.4, 0.3, 0.5), year(2026, 3, 0.1, 0.05, 0.2)],
        ofDams: {
          ofFailed: { failed: 6, of: 12 },
          ofPassed: { failed: 5, of: 20 },
          ratio: { value: 2, low: 1.08, high: 3.71 },
        },
      },
    ];
    await show('eye', aChoosing(three), { 'GET /api/choosing/strictness': { species: 'sheep', standards } });
    expect(await screen.findByText(/Fewer fail than before: 40 % in 2023, 10 % in 2026/)).toBeVisible();
    expect(screen.getByText(/Young of dams that failed fail 2.0 times as often \(1.1 to 3.7\)/)).toBeVisible();
  });
  it('sets what is sprayed on whom', async () => {
    let marks: object = { sell: { colour: 'red', place: 'rump' } };
    const { user, asked } = await show('eye', aChoosing(three), {
      'GET /api/holding': () => aHolding({ decisionMarks: marks }),
      'PATCH /api/holding': ({ body }: { body: { decisionMarks: object } }) => {
        marks = body.decisionMarks;
        return aHolding({ decisionMarks: marks, version: 2 });
      },
    });
    const sent = () =>
      asked.filter((a) => a.method === 'PATCH').map((a) => (a.body as { decisionMarks: object }).decisionMarks);
    await choose(user, await screen.findByLabelText('Keep', { selector: 'button' }), 'green');
    await waitFor(() =>
      expect(sent()).toEqual([{ sell: { colour: 'red', place: 'rump' }, keep: { colour: 'green', place: 'back' } }]),
    );
    await waitFor(() => expect(screen.getAllByLabelText('on the')).toHaveLength(2));
    await choose(user, screen.getByLabelText('Sell', { selector: 'button' }), 'no mark');
    await waitFor(() => expect(sent()[1]).toEqual({ keep: { colour: 'green', place: 'back' } }));
  });
});

describe('by the numbers', () => {
  it('counts who is too near a line to tell', async () => {
    await show('numbers', aChoosing([aChoosingRow('26-0001', 1), aChoosingRow('26-0002', 2, { isGrey: true })]));
    expect(screen.getByText(/2 animals; 1 too near a line to tell/)).toBeVisible();
  });
  it('moves a line by keys on it and in a row, and keeps it in the draft', async () => {
    const { user, changes } = await show('numbers');
    screen.getByRole('slider', { name: 'Keep' }).focus();
    await user.keyboard('{ArrowDown}');
    row('26-0001').focus();
    await user.keyboard('[[');
    await waitFor(() =>
      expect(changes()).toMatchObject([
        { keep: 2, second: 1 },
        { keep: 0, second: 1 },
      ]),
    );
  });
  it('drags a line, and sends where it was let go', async () => {
    const { changes } = await show('numbers');
    const line = screen.getByRole('slider', { name: 'Keep' });
    Object.assign(line, { setPointerCapture: () => undefined });
    fireEvent.pointerDown(line);
    // The page of the tests knows no pointer events with a place.
    fireEvent(line, new MouseEvent('pointermove', { bubbles: true, clientY: 500 }));
    // Without a layout all rows lie above 500.
    expect(line).toHaveAttribute('aria-valuenow', '3');
    expect(changes()).toEqual([]);
    fireEvent.pointerUp(line);
    await waitFor(() => expect(changes()).toMatchObject([{ keep: 3, second: 0 }]));
  });
  it('decides by key and by list, and takes a decision back that is as suggested', async () => {
    const { user, changes } = await show('numbers');
    row('26-0001').focus();
    await user.keyboard('x');
    await choose(user, screen.getByLabelText('Choice for 26-0002'), 'Cull');
    row('26-0003').focus();
    await user.keyboard('x');
    await waitFor(() =>
      expect(changes().map((c) => c.decide?.[0])).toEqual([
        { animalId: 'id of 26-0001', decision: 'sell' },
        { animalId: 'id of 26-0002', decision: 'cull' },
        { animalId: 'id of 26-0003', decision: 'as-suggested' },
      ]),
    );
  });
  it('sends nothing where what stands is taken again', async () => {
    const { user, changes } = await show('numbers');
    const choice = screen.getByLabelText('Choice for 26-0001');
    await choose(user, choice, choice.textContent);
    await waitFor(() => expect(choice).toHaveFocus());
    expect(changes()).toEqual([]);
  });
  it('keeps what is decided while the server is away, and sends it when it is back', async () => {
    jest.useFakeTimers({ advanceTimers: true });
    let isAway = true;
    const view = aChoosing(three);
    const { user, changes } = await show('numbers', view, {
      'POST /api/choosing/draft': () => (isAway ? AWAY : view),
    });
    await choose(user, screen.getByLabelText('Choice for 26-0001'), 'Sell');
    expect(await screen.findByText(/The server is away. 1 change waits here/)).toBeVisible();
    isAway = false;
    jest.advanceTimersByTime(3_100);
    await waitFor(() => expect(screen.queryByText(/The server is away/)).toBeNull());
    expect(changes().at(-1)).toMatchObject({ decide: [{ animalId: 'id of 26-0001', decision: 'sell' }] });
    jest.useRealTimers();
  });
  it('says what somebody else decided meanwhile', async () => {
    const { user } = await show('numbers', aChoosing(three), {
      'POST /api/choosing/draft': no(
        409,
        'Somebody else decided.',
        'Kerem set 26-0001 to “keep” after you opened this page.',
      ),
    });
    await choose(user, screen.getByLabelText('Choice for 26-0001'), 'Sell');
    expect(await screen.findByRole('alert')).toHaveTextContent(/Kerem set 26-0001 to “keep”/);
  });
  it('puts two to four side by side with the difference and its chance', async () => {
    const { user } = await show('numbers');
    for (const number of ['26-0001', '26-0003'])
      await user.click(screen.getByRole('checkbox', { name: `Compare ${number}` }));
    await user.click(screen.getByRole('button', { name: 'Side by side (2)' }));
    const sheet = await screen.findByRole('dialog', { name: 'Side by side' });
    expect(within(sheet).getByRole('row', { name: /^Worth/ })).toHaveTextContent('99.0 ± 1.3 points97.0 ± 1.3 points');
    // 2 apart, each with an error of 1: Phi(2 / 1.414) = .92; half the 80 % interval 1.28 x 1.414.
    expect(within(sheet).getByRole('row', { name: /^Difference/ })).toHaveTextContent(
      '2.0 ± 1.8 points less than 26-0001; 9 in 10 that 26-0001 is better.',
    );
  });
  it('weighs traits by slider and by typing, and keeps a way under a name', async () => {
    let choosing: object = { presets: [] };
    const { user, changes, asked } = await show('numbers', aChoosing(three), {
      'GET /api/holding': () => aHolding({ choosing: choosing as never }),
      'PATCH /api/holding': ({ body }: { body: { choosing: object } }) => {
        choosing = body.choosing;
        return aHolding({ choosing: choosing as never, version: 2 });
      },
    });
    const typed = screen.getByRole('spinbutton', { name: 'Growth, weight' });
    fireEvent.change(typed, { target: { value: '20' } });
    fireEvent.blur(typed);
    const slider = screen.getByRole('slider', { name: 'Last gain' });
    fireEvent.change(slider, { target: { value: '60' } });
    fireEvent.keyUp(slider);
    await waitFor(() => expect(changes()).toHaveLength(2));
    expect(changes()).toMatchObject([{ how: { own: { growth: 20 } } }, { how: { own: { lastGain: 60 } } }]);
    await user.type(await screen.findByLabelText('Keep this way as'), 'Milk{Tab}');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() =>
      expect(asked.find((a) => a.method === 'PATCH')?.body).toMatchObject({
        choosing: { presets: [{ species: 'sheep', name: 'Milk', how: { basis: 'own' } }] },
      }),
    );
  });
  it('keeps the last weight that counts, and says why', async () => {
    const how = { ...aChoosing(three).how, own: { growth: 40 } };
    const { changes } = await show('numbers', aChoosing(three, { how }));
    const typed = screen.getByRole('spinbutton', { name: 'Growth, weight' });
    fireEvent.change(typed, { target: { value: '0' } });
    fireEvent.blur(typed);
    expect(screen.getByText('One trait at least has to count: the last one keeps its weight.')).toBeVisible();
    expect(typed).toHaveValue(40);
    expect(changes()).toEqual([]);
  });
  it('says why there are no breeding values', async () => {
    const view = aChoosing(three);
    await show('numbers', {
      ...view,
      how: { ...view.how, basis: 'values' },
      traits: [
        { trait: 'growth', state: 'too-few', records: 12, needed: 30, geneticSd: null, baseLevel: null, isExact: true },
      ],
    });
    expect(screen.getByText(/so own records serve/)).toBeVisible();
    expect(screen.getByText(/Growth: 12 of 30 records needed/)).toBeVisible();
  });
});

describe('why it stands where it stands', () => {
  const heaviest = aChoosingRow('26-0009', 2, {
    placeByWeight: 1,
    birthType: 1,
    rearingType: 1,
    adjusted: anAdjusted(),
    // In grams: 5200 over the mean, of which 900 by age, 3500 by being single, 300 by the dam; 500 its own.
    breakdown: {
      totalGrams: 5200,
      parts: { age: 900, birthType: 3500, sex: 0, damAge: 300, likeForLike: 500 },
      setSize: 2,
      ageDaysAgainstMean: 4,
    } as never,
    ratio: 101.2,
    values: [
      {
        trait: 'growth',
        value: 1.3,
        standardError: 1,
        reliability: 0.31,
        word: 'fair',
        records: 1,
        parts: { own: 4.2, group: -1.9, kin: -1 },
      },
    ],
    parts: [
      { trait: 'growth', points: 4.6, value: 1.3 },
      { trait: 'young-born', points: -3.2, value: -0.1 },
    ],
    index: 51.4,
    standardError: 5,
    reasons: [{ code: 'not-measured', trait: 'lastGain' }],
  });
  const show2 = () => {
    const view = aChoosing([aChoosingRow('26-0001', 1, { placeByWeight: 2 }), heaviest]);
    return show('numbers', { ...view, basis: 'values', how: { ...view.how, basis: 'values' } });
  };
  const cells = (table: string) =>
    within(screen.getByTestId(table))
      .getAllByRole('row')
      .map((r) => r.textContent?.replaceAll('\u00a0', ' '));

  it('is told in points that add up, with the value behind each and how sure it is', async () => {
    await show2();
    expect(await screen.findByRole('heading', { name: 'Heaviest of them, but 2nd' })).toBeVisible();
    expect(cells('worth')).toEqual([
      'The mean of the base years50',
      'Growth +1.30 ± 1.28 kg, fair how?+4.6',
      'Young born −3.2',
      'Worth how?51.4 ± 6.4 points',
    ]);
  });
  it('is told in kilograms that add up', async () => {
    await show2();
    // 5.2 - 0.9 - 3.5 - 0.3 = 0.5
    await waitFor(() =>
      expect(cells('breakdown')).toEqual([
        'Weight on 6 Sept 2026, against the mean+5.2 kg',
        '4 days older than the mean−0.9 kg',
        'Born single, reared single−3.5 kg',
        'Dam’s age not known−0.3 kg',
        'Like for like+0.5 kg ± 1.3 kg',
      ]),
    );
    expect(screen.getByText('Last gain not measured: counted as average, and less sure because of it.')).toBeVisible();
  });
  it('and what its breeding value is made of', async () => {
    const { user } = await show2();
    await user.click(await screen.findByRole('button', { name: 'How is Growth of 26-0009 worked out?' }));
    const how = (await screen.findByRole('dialog')).textContent?.replaceAll('\u00a0', ' ');
    // 4.2 - 1.9 - 1.0 = 1.3
    expect(how).toContain('Own record against all+4.20');
    expect(how).toContain('Its group, season and like−1.90');
    expect(how).toContain('Kin, and what is held back of one record−1.00');
    expect(how).toContain('Breeding value, kg+1.30');
  });
  it('and how its weight was set, step by step, with the source of each factor', async () => {
    const { user } = await show2();
    await user.click(await screen.findByRole('button', { name: /How is Weight of 26-0009 set to 147 days/ }));
    const how = (await screen.findByRole('dialog')).textContent?.replaceAll('\u00a0', ' ');
    expect(how).toContain('Read 44.0 kg on 6 Sept 2026 at 150 days. Birth weight 4.5 kg.');
    expect(how).toContain('× 0.920 for birth and rearing 1-1, own records (120, weight 0.67)39.8 kg');
    expect(how).toContain('Gut fill and scale leave ± 1.3 kg (80 %).');
  });
});

describe('who is related', () => {
  // The first two are full sibs; the third is kin to nobody.
  const kin: KinView = {
    animalIds: three.map((r) => r.tag.animalId),
    sireIds: ['s', 's', 'r'],
    kinship: [0.25, 0, 0],
    withMates: null,
    mates: [],
  };
  const showKin = (change: Partial<ChoosingView> = {}) => {
    jest
      .mocked(workCurve)
      .mockImplementation((asked, onProgress) => Promise.resolve(createCurveWorker().curve(asked, onProgress)));
    return show('kin', aChoosing(three, { lines: { keep: 2, second: 0 }, ...change }), {
      'GET /api/choosing/kin': kin,
    });
  };
  it('slides from best worth to least kinship, says who comes in for whom, and keeps them', async () => {
    const { changes, user } = await showKin();
    const slider = await screen.findByRole('slider', { name: 'From best worth to least kinship' });
    expect(screen.getByText('The same 2 as by worth alone')).toBeVisible();
    fireEvent.change(slider, { target: { value: '1' } });
    expect(await screen.findByRole('heading', { name: '1 comes in for 1 of the plain order' })).toBeVisible();
    expect(screen.getByText('Comes in').parentElement).toHaveTextContent('26-0003 place 3, 97');
    expect(screen.getByText('Goes out').parentElement).toHaveTextContent('26-0002 place 2, 98');
    await user.click(screen.getByRole('button', { name: 'Keep these 2' }));
    await waitFor(() =>
      expect(changes()).toMatchObject([{ kin: { sireCap: 0, keptIds: ['id of 26-0001', 'id of 26-0003'] } }]),
    );
  });
  it('caps the sires, and says how many are possible', async () => {
    const { user } = await showKin({ lines: { keep: 3, second: 0 } });
    await user.type(await screen.findByLabelText(/At most of one sire/), '1');
    expect(
      await screen.findByText(/Not possible: with at most 1 of one sire no more than 2 can be kept/),
    ).toBeVisible();
  });
  it('says when the list is another than it was', async () => {
    await showKin({ isKinStale: true });
    expect(await screen.findByText(/The list or the number kept has changed/)).toBeVisible();
  });
});

describe('the choice', () => {
  const decided = (decision: 'sell' | 'undecided', reason?: string) =>
    ({ decision, ...(reason ? { reason } : {}), by: 'Aylin', at: '2026-11-20T09:00', version: 1 }) as const;

  it('asks the reason of each that is decided otherwise, and records all of them as one', async () => {
    let first = aChoosingRow('26-0001', 1, { decided: decided('sell') });
    const view = () => aChoosing([first, ...three.slice(1)], { failed: [aFailedAnimal('26-0009')] });
    const { user, entries } = await show('choice', view(), {
      'GET /api/choosing': view,
      'POST /api/choosing/draft': () => {
        first = aChoosingRow('26-0001', 1, { decided: decided('sell', 'bad mouth') });
        return view();
      },
    });
    await user.click(screen.getByRole('button', { name: 'Record the choice' }));
    const sheet = await screen.findByRole('dialog', { name: 'Record the choice' });
    expect(within(sheet).getByText(/One is decided otherwise than suggested, without a reason: 26-0001/)).toBeVisible();
    expect(within(sheet).getByRole('button', { name: 'Record' })).toBeDisabled();
    await user.type(within(sheet).getByLabelText('Reason for 26-0001'), 'bad mouth{Enter}');
    await waitFor(() => expect(within(sheet).getByRole('button', { name: 'Record' })).toBeEnabled());
    await user.click(within(sheet).getByRole('button', { name: 'Record' }));
    await screen.findByText('Recorded the choice among 4 animals');
    expect(entries()).toMatchObject([
      {
        animalId: 'id of 26-0001',
        decision: 'sell',
        suggested: 'keep',
        reason: 'bad mouth',
        place: 1,
        of: 3,
        among: 'ewe lambs of Apr to May 2026',
      },
      { animalId: 'id of 26-0002', decision: 'second', suggested: 'second' },
      { animalId: 'id of 26-0003', decision: 'sell', suggested: 'sell' },
      { animalId: 'id of 26-0009', decision: 'sell', suggested: 'sell' },
    ]);
    expect(entries()[1]).not.toHaveProperty('reason');
    expect(entries()[3]).not.toHaveProperty('place');
  });
  it('records nothing of the undecided, and stays open when the book refuses', async () => {
    const rows = [aChoosingRow('26-0001', 1, { decided: decided('undecided') }), ...three.slice(1)];
    const { user } = await show('choice', aChoosing(rows), {
      'POST /api/entries': refuses('choice', '26-0003 has left.'),
    });
    await user.click(screen.getByRole('button', { name: 'Record the choice' }));
    const sheet = await screen.findByRole('dialog');
    expect(within(sheet).getByText(/1 second string, 1 sell; 1 undecided, of which nothing is recorded/)).toBeVisible();
    await user.click(within(sheet).getByRole('button', { name: 'Record' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('26-0003 has left.');
  });
  it('says what changed since it was recorded, and who left', async () => {
    const written = { decision: 'keep', on: '2026-11-10', among: 'ewe lambs', reason: null } as const;
    const failed = aFailedAnimal('26-0009', { written: { ...written, on: '2026-11-01' } });
    const left = [{ tag: aChoosingRow('26-0012', 1).tag, how: 'sold', on: '2026-11-20', decision: 'keep' } as const];
    await show(
      'choice',
      aChoosing([aChoosingRow('26-0001', 1, { written }), aChoosingRow('26-0002', 2, { written })], {
        failed: [failed],
        left,
      }),
    );
    expect(screen.getByText(/keep on 10 Nov, now second string/)).toBeVisible();
    expect(screen.getByText(/keep on 1 Nov, now sell, failed mouth since/)).toBeVisible();
    expect(screen.getByText(/sold 20 Nov; it was to stay/)).toBeVisible();
  });
  it('sorts the recorded at the gate, with a gate for each decision made', async () => {
    const as = (decision: 'keep' | 'sell') =>
      ({ decision, on: '2026-11-20', among: 'ewe lambs', reason: null }) as const;
    const rows = [
      aChoosingRow('26-0001', 1, { written: as('keep') }),
      aChoosingRow('26-0002', 2, { written: as('sell') }),
    ];
    const { user, path } = await show('choice', aChoosing(rows), { 'GET /api/groups': [] });
    expect(screen.getByLabelText('Keep: 1')).toBeVisible();
    expect(screen.getByLabelText('Sell: 1')).toBeVisible();
    expect(screen.queryByLabelText(/Second string: /)).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Sort 2 animals' }));
    expect(path()).toContain('/race');
  });
});
