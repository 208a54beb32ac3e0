import { screen, waitFor, within } from '@testing-library/react';
import type { ChoosingView } from '@yaylak/contract';
import { aChoosing, aChoosingRow, aHolding, anAdjusted } from '../../tests/builders';
import { no, refuses, renderPage, type Answers } from '../../tests/renderPage';
import { ChoosingPage } from './ChoosingPage';

const SETS = [
  { species: 'sheep', sex: 'female', bornIn: 2026, count: 3 },
  { species: 'goat', sex: 'male', bornIn: 2026, count: 2 },
];
const three = [aChoosingRow('26-0001', 1), aChoosingRow('26-0002', 2), aChoosingRow('26-0003', 3)];

const show = async (view: ChoosingView = aChoosing(three), answers: Answers = {}) => {
  const shown = renderPage(<ChoosingPage />, {
    answers: { 'GET /api/choosing/sets': SETS, 'GET /api/choosing': view, ...answers },
  });
  await screen.findByRole('checkbox', { name: /^Compare 26-0001/ });
  return shown;
};
const row = (number: string): HTMLElement =>
  screen.getByRole('checkbox', { name: `Compare ${number}` }).closest('tr') as HTMLElement;

it('counts who stays, and who is too near to a line to tell', async () => {
  await show(aChoosing([aChoosingRow('26-0001', 1), aChoosingRow('26-0002', 2, { isGrey: true })]));
  expect(screen.getByText('1 keep, 1 second string, 0 sell; 1 too near to a line to tell')).toBeVisible();
});

it('says so when there is nobody to choose from', async () => {
  renderPage(<ChoosingPage />, { answers: { 'GET /api/choosing/sets': [] } });
  expect(await screen.findByText('Nobody to choose from')).toBeVisible();
});

it('asks the server for the line where it was moved to, by keys on the line and in a row', async () => {
  const { user, asked } = await show();
  screen.getByRole('slider', { name: 'Keep' }).focus();
  await user.keyboard('{ArrowDown}');
  await waitFor(() => expect(asked.some((a) => a.path.includes('keep=2&second=1'))).toBe(true));
  row('26-0001').focus();
  await user.keyboard('[[');
  await waitFor(() => expect(asked.some((a) => a.path.includes('keep=0'))).toBe(true));
});

it('chooses another set and begins its line anew', async () => {
  const { user, asked } = await show();
  await user.selectOptions(screen.getByLabelText('Among'), 'buck kids of 2026 (2)');
  await waitFor(() => expect(asked.map((a) => a.path)).toContain('/api/choosing?species=goat&sex=male&bornIn=2026'));
});

it('ranks within a group, and says in the choice which one it was among', async () => {
  const groups = [
    { id: 'g1', name: 'Top paddock', count: 2 },
    { id: 'g2', name: 'Low paddock', count: 1 },
  ];
  const { user, asked, entries } = await show(aChoosing(three, { groups }));
  await user.selectOptions(screen.getByLabelText('Group'), 'Top paddock (2)');
  await waitFor(() => expect(asked.some((a) => a.path.includes('groupId=g1'))).toBe(true));
  await user.click(screen.getByRole('button', { name: 'Write down the choice' }));
  await user.click(await screen.findByRole('button', { name: 'Write it down' }));
  await waitFor(() => expect(entries()).toHaveLength(3));
  expect(entries()[0]).toMatchObject({ type: 'choice', among: 'ewe lambs of 2026, Top paddock' });
});

it('wants a reason for each choice against the ranking, and writes all of them down as one', async () => {
  const { user, entries } = await show();
  row('26-0001').focus();
  await user.keyboard('x');
  expect(row('26-0001')).toHaveTextContent('Sell');
  await user.click(screen.getByRole('button', { name: 'Write down the choice' }));
  expect(await screen.findByText(/A choice against the ranking wants a reason: 26-0001/)).toBeVisible();
  expect(screen.getByRole('button', { name: 'Write it down' })).toBeDisabled();
  await user.type(screen.getByLabelText('Why, for 26-0001'), 'bad mouth');
  await user.click(screen.getByRole('button', { name: 'Write it down' }));
  await screen.findByText('Wrote down the choice among 3 animals');
  expect(entries()).toMatchObject([
    { animalId: 'id of 26-0001', decision: 'sell', suggested: 'keep', reason: 'bad mouth', place: 1, of: 3 },
    { animalId: 'id of 26-0002', decision: 'second', suggested: 'second' },
    { animalId: 'id of 26-0003', decision: 'sell', suggested: 'sell' },
  ]);
  expect(entries()[1]).not.toHaveProperty('reason');
});

it('keeps the sheet and its reasons open when the book refuses', async () => {
  const { user } = await show(aChoosing(three), { 'POST /api/entries': refuses('choice', '26-0003 has left.') });
  await user.click(screen.getByRole('button', { name: 'Write down the choice' }));
  await user.click(await screen.findByRole('button', { name: 'Write it down' }));
  expect(await screen.findByRole('alert')).toHaveTextContent('26-0003 has left.');
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
    parts: [
      { trait: 'growth', points: 1.4, value: 39.75 },
      { trait: 'damRecord', points: -3.2, value: 1 },
      { trait: 'lastGain', points: 0, value: undefined },
    ],
    reasons: [{ code: 'not-measured', trait: 'lastGain' }],
  });
  const show2 = () => show(aChoosing([aChoosingRow('26-0001', 1, { placeByWeight: 2 }), heaviest]));

  it('is told in kilograms that add up', async () => {
    await show2();
    expect(await screen.findByRole('heading', { name: 'Heaviest of them, but 2nd' })).toBeVisible();
    const rows = within(screen.getByTestId('breakdown')).getAllByRole('row');
    expect(rows.map((r) => r.textContent?.replaceAll('\u00a0', ' '))).toEqual([
      'Weight on 6 Sept 2026, against the mean+5.2 kg',
      '4 days older than the mean−0.9 kg',
      'Born single, reared single−3.5 kg',
      "Dam's age not known−0.3 kg",
      'Like for like+0.5 kg ± 1.3 kg',
    ]);
    // 5.2 - 0.9 - 3.5 - 0.3 = 0.5
    expect(screen.getByText('Last gain not measured: taken as the mean, and less sure for it.')).toBeVisible();
  });

  it('and how its weight was set, step by step, with the source of each factor', async () => {
    const { user } = await show2();
    await user.click(await screen.findByRole('button', { name: /How is Weight of 26-0009 set to 147 days/ }));
    const how = (await screen.findByRole('dialog')).textContent?.replaceAll('\u00a0', ' ');
    expect(how).toContain('Read 44.0 kg on 6 Sept 2026 at 150 days. Birth weight 4.5 kg.');
    expect(how).toContain('× 0.920 for birth and rearing 1-1, own records (120, weight 0.67)39.8 kg');
    expect(how).toContain("× 1.000 for dam's age (not known), table");
    expect(how).toContain('Gut fill and scale leave ± 1.3 kg (80 %).');
  });

  it('and how its points come together', async () => {
    const { user } = await show2();
    await user.click(await screen.findByRole('button', { name: 'How is Worth of 26-0009 worked out?' }));
    expect(await screen.findByRole('dialog')).toHaveTextContent(
      "The mean of the set50Growth1.4Dam's litters−3.2Last gain0.0",
    );
  });
});

it('puts two side by side, the third taking the place of the first', async () => {
  const { user } = await show();
  for (const number of ['26-0001', '26-0002', '26-0003'])
    await user.click(screen.getByRole('checkbox', { name: `Compare ${number}` }));
  await user.click(screen.getByRole('button', { name: 'Compare two (2)' }));
  const sheet = await screen.findByRole('dialog', { name: 'Side by side' });
  expect(within(sheet).queryByText('26-0001')).toBeNull();
  expect(within(sheet).getByRole('row', { name: /^Worth/ })).toHaveTextContent('98.0 ± 1.3 points97.0 ± 1.3 points');
});

it('weighs the points anew, and takes it back', async () => {
  const { user, asked } = await show(aChoosing(three), { 'PATCH /api/holding': { version: 2 } });
  expect(screen.queryByRole('button', { name: 'Save the points' })).toBeNull();
  const slider = screen.getByRole('slider', { name: /Growth/ });
  slider.focus();
  const { fireEvent } = await import('@testing-library/react');
  fireEvent.change(slider, { target: { value: '20' } });
  await user.click(await screen.findByRole('button', { name: 'Save the points' }));
  await screen.findByText('Saved the settings');
  await user.keyboard('{Control>}z{/Control}');
  await screen.findByText('Taken back: saved the settings');
  const patches = asked.filter((a) => a.method === 'PATCH').map((a) => a.body);
  expect(patches).toMatchObject([
    { version: 1, pointsWeights: { growth: 20 } },
    { version: 2, pointsWeights: { growth: 50 } },
  ]);
});

it('says when the ranking cannot be read', async () => {
  renderPage(<ChoosingPage />, {
    answers: { 'GET /api/choosing/sets': SETS, 'GET /api/choosing': no(503, 'The disk did not answer.') },
  });
  expect(await screen.findByText('The disk did not answer.')).toBeVisible();
});

it('sets what is sprayed on whom it keeps, puts second or sells, and takes it away again', async () => {
  let marks: object = { sell: { colour: 'red', place: 'rump' } };
  const { user, asked } = await show(aChoosing(three), {
    'GET /api/holding': () => aHolding({ decisionMarks: marks }),
    'PATCH /api/holding': ({ body }: { body: { decisionMarks: object } }) => {
      marks = body.decisionMarks;
      return aHolding({ decisionMarks: marks, version: 2 });
    },
  });
  const sent = () =>
    asked.filter((a) => a.method === 'PATCH').map((a) => (a.body as { decisionMarks: object }).decisionMarks);
  await user.selectOptions(await screen.findByLabelText('Keep', { selector: 'select' }), 'green');
  await waitFor(() =>
    expect(sent()).toEqual([{ sell: { colour: 'red', place: 'rump' }, keep: { colour: 'green', place: 'back' } }]),
  );
  await waitFor(() => expect(screen.getAllByLabelText('on the')).toHaveLength(2));
  await user.selectOptions(screen.getByLabelText('Sell', { selector: 'select' }), 'no mark');
  await waitFor(() => expect(sent()[1]).toEqual({ keep: { colour: 'green', place: 'back' } }));
});
