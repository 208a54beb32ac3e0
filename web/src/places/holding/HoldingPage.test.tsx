import type { StandardSetting } from '@yaylak/contract';
import { screen, waitFor, within } from '@testing-library/react';
import { SPECIES_TABLE } from '@yaylak/core';
import { aGroup, aHolding, aRoster } from '../../tests/builders';
import { no, renderPage, type Answers } from '../../tests/renderPage';
import { HoldingPage, type HoldingPart } from './HoldingPage';
import { choose } from '../../tests/choose';

const showPart = async (part: HoldingPart, answers: Answers = {}) => {
  const shown = renderPage(<HoldingPage part={part} />, { answers });
  await screen.findByRole('link', { name: part === 'basics' ? 'Groups' : 'The holding' });
  return shown;
};
const changes = (asked: readonly { method: string; path: string; body: unknown }[]) =>
  asked.filter((a) => a.method !== 'GET').map((a) => [a.method, a.path, a.body]);
const bodyOf = (asked: Parameters<typeof changes>[0], n: number): unknown => changes(asked)[n]?.[2];

describe('the holding', () => {
  const show = (answers?: Answers) => showPart('basics', answers);
  it('is saved on the version it is seen in, and taken back to what it was', async () => {
    const { user, asked } = await show({ 'PATCH /api/holding': aHolding({ version: 2, name: 'Yukarı' }) });
    const name = screen.getByLabelText('Name');
    await user.clear(name);
    await user.type(name, 'Yukarı');
    await choose(user, screen.getByLabelText('Weights in'), 'pounds');
    await choose(user, screen.getByLabelText('Dates written as'), 'month, day, year');
    await choose(user, screen.getByLabelText('The week begins on'), 'Sunday');
    await user.click(screen.getByRole('checkbox', { name: 'Cattle' }));
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await screen.findByText('Saved the settings');
    expect(changes(asked)[0]?.[2]).toEqual({
      version: 1,
      name: 'Yukarı',
      keeper: 'Aylin',
      unit: 'lb',
      dateOrder: 'month-day',
      weekStart: 'sunday',
      currency: 'EUR',
      keeps: ['sheep', 'goat', 'rabbit'],
    });
    await user.click(screen.getByRole('button', { name: 'Take back (Ctrl+Z)' }));
    await screen.findByText('Taken back: saved the settings');
    expect(changes(asked)[1]?.[2]).toMatchObject({
      version: 2,
      name: 'Ardıçlı',
      unit: 'kg',
      weekStart: 'monday',
      keeps: ['sheep', 'goat', 'rabbit', 'cattle'],
    });
  });

  it('shows what is wrong and keeps what was typed', async () => {
    const { user, asked } = await show({
      'PATCH /api/holding': no(400, 'Some fields cannot be taken.', 'There is no such currency.'),
    });
    const currency = screen.getByLabelText('Currency');
    await user.clear(currency);
    await user.type(currency, 'money');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('Give the currency as three capital letters');
    expect(currency).toHaveValue('money');
    expect(asked.filter((a) => a.method === 'PATCH')).toEqual([]);
    await user.clear(currency);
    await user.type(currency, 'QQQ');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText(/There is no such currency\./)).toBeVisible();
    expect(currency).toHaveValue('QQQ');
  });
});

it('sets another currency only where the figures were meant in it, and says that none is converted', async () => {
  const { user, asked } = await showPart('basics', {
    'PATCH /api/holding': aHolding({ version: 2, currency: 'USD' }),
  });
  const currency = screen.getByLabelText('Currency');
  await user.clear(currency);
  await user.type(currency, 'USD');
  expect(screen.getByText(/6\.50 EUR would be read as 6\.50 USD/)).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Save' }));
  await screen.findByText('Saved the settings');
  expect(bodyOf(asked, 0)).not.toHaveProperty('keepsFigures');
  await user.click(screen.getByLabelText('The figures were meant in USD all along'));
  await user.click(screen.getByRole('button', { name: 'Save' }));
  await waitFor(() => expect(bodyOf(asked, 1)).toMatchObject({ currency: 'USD', keepsFigures: true }));
});

describe('figures of a species', () => {
  const show = (answers?: Answers) => showPart('figures', answers);
  it('are sent as a whole field laid over the table', async () => {
    const { user, asked } = await show({ 'PATCH /api/holding': aHolding({ version: 2 }) });
    await user.click(screen.getByRole('button', { name: 'Carrying' }));
    const mean = screen.getByLabelText('Carrying, days mean');
    expect(mean).toHaveValue('147');
    await user.clear(mean);
    await user.type(mean, '149,5');
    await user.click(screen.getByRole('button', { name: 'Save the figures' }));
    await waitFor(() =>
      expect(changes(asked)[0]?.[2]).toEqual({
        version: 1,
        species: { sheep: { gestationDays: { mean: 149.5, from: 142, to: 152 } } },
      }),
    );
  });

  it('are not sent while one is not a number', async () => {
    const { user, asked } = await show();
    await user.click(screen.getByRole('button', { name: 'Carrying' }));
    const mean = screen.getByLabelText('Carrying, days mean');
    await user.clear(mean);
    await user.type(mean, 'five months');
    await user.click(screen.getByRole('button', { name: 'Save the figures' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('Carrying, days: “five months” is not a number.');
    expect(changes(asked)).toEqual([]);
  });

  it('of the holding’s own go back to the shipped ones by one press', async () => {
    const own = { gestationDays: { mean: 149, from: 144, to: 154 }, heaviestKg: 300 };
    const { user, asked } = await show({
      'GET /api/holding': aHolding({
        overrides: { sheep: own },
        species: { ...SPECIES_TABLE, sheep: { ...SPECIES_TABLE.sheep, ...own } },
      }),
      'PATCH /api/holding': aHolding({ version: 2 }),
    });
    await user.click(screen.getByRole('button', { name: 'Carrying' }));
    await user.click(screen.getByRole('button', { name: 'Own figure. Back to 147, 142, 152' }));
    await waitFor(() =>
      expect(changes(asked)[0]?.[2]).toEqual({ version: 1, species: { sheep: { heaviestKg: 300 } } }),
    );
  });

  it('are shown species by species', async () => {
    const { user } = await show();
    await choose(user, screen.getByLabelText('Species'), 'Rabbits');
    await user.click(screen.getByRole('button', { name: 'Carrying' }));
    expect(screen.getByLabelText('Carrying, days mean')).toHaveValue('31');
  });

  it('are a few at a time, by question; what is typed of one question is kept and saved with another’s', async () => {
    const { user, asked } = await show({ 'PATCH /api/holding': aHolding({ version: 2 }) });
    expect(screen.getByText('When is one mated, by whom, and how often?')).toBeVisible();
    expect(screen.queryByLabelText('Carrying, days mean')).toBeNull();
    const least = screen.getByLabelText('First mating of a female, days old');
    await user.clear(least);
    await user.type(least, '230');
    await user.click(screen.getByRole('button', { name: 'Tags and slips' }));
    expect(screen.getByRole('button', { name: 'Mating (typed)' })).toBeVisible();
    const most = screen.getByLabelText('Heaviest reading taken, kg');
    await user.clear(most);
    await user.type(most, '180');
    await user.click(screen.getByRole('button', { name: 'Save the figures' }));
    await waitFor(() =>
      expect(changes(asked)[0]?.[2]).toEqual({
        version: 1,
        species: { sheep: { femaleFirstMatingDays: 230, heaviestKg: 180 } },
      }),
    );
  });

  it('are found by a word, whatever question they are of; those of the holding’s own go back together', async () => {
    const own = { weaningDays: { ...SPECIES_TABLE.sheep.weaningDays, opens: 70 }, heaviestKg: 300, longestCm: 150 };
    const { user, asked } = await show({
      'GET /api/holding': aHolding({
        overrides: { sheep: own },
        species: { ...SPECIES_TABLE, sheep: { ...SPECIES_TABLE.sheep, ...own } },
      }),
      'PATCH /api/holding': aHolding({ version: 2 }),
    });
    await user.type(screen.getByLabelText('Look for a figure'), 'slip of the finger');
    expect(screen.getByText('2 figures with “slip of the finger”')).toBeVisible();
    expect(screen.getByLabelText('Heaviest reading taken, kg')).toHaveValue('300');
    expect(screen.queryByLabelText('First mating of a female, days old')).toBeNull();
    await user.click(screen.getByRole('button', { name: 'All 2 own figures here back' }));
    await waitFor(() =>
      expect(changes(asked)[0]?.[2]).toEqual({ version: 1, species: { sheep: { weaningDays: own.weaningDays } } }),
    );
  });
});

describe('groups', () => {
  const show = (answers?: Answers) => showPart('groups', answers);
  const groups = [aGroup('Top paddock', { present: 4 }), aGroup('Old pen', { version: 2 })];

  it('are made, and taken back whole', async () => {
    const { user, asked } = await show({
      'GET /api/groups': groups,
      'POST /api/groups': ({ body }: { body: object }) => ({ ...aGroup('Low paddock'), ...body }),
    });
    await user.type(screen.getByLabelText('New group'), ' Low paddock ');
    await user.click(screen.getByRole('button', { name: 'Make it' }));
    await screen.findByText('Made the group “Low paddock”');
    const { id } = bodyOf(asked, 0) as { id: string };
    await user.keyboard('{Tab}');
    await user.click(screen.getByRole('button', { name: 'Take back (Ctrl+Z)' }));
    await waitFor(() => expect(changes(asked)[1]).toEqual(['DELETE', `/api/groups/${id}`, undefined]));
  });

  it('with nobody in them can be closed, and opened again by undo on the new version', async () => {
    const { user, asked } = await show({
      'GET /api/groups': groups,
      'PATCH /api/groups/id%20of%20Old%20pen': aGroup('Old pen', { version: 3, isClosed: true }),
    });
    expect(screen.queryByRole('button', { name: 'Close: Top paddock' })).toBeNull();
    await user.click(await screen.findByRole('button', { name: 'Close: Old pen' }));
    await screen.findByText('Closed the group “Old pen”');
    await user.click(screen.getByRole('button', { name: 'Take back (Ctrl+Z)' }));
    await waitFor(() => expect(changes(asked)).toHaveLength(2));
    expect(changes(asked).map(([, , body]) => body)).toEqual([
      { version: 2, isClosed: true },
      { version: 3, isClosed: false },
    ]);
  });

  it('of a name that is taken are refused where it was typed', async () => {
    const { user } = await show({
      'GET /api/groups': groups,
      'POST /api/groups': no(400, 'Some fields cannot be taken.', 'There is a group “Top paddock” already.'),
    });
    await user.type(screen.getByLabelText('New group'), 'top paddock');
    await user.click(screen.getByRole('button', { name: 'Make it' }));
    expect(await screen.findByText(/There is a group “Top paddock” already/)).toBeVisible();
    expect(screen.getByLabelText('New group')).toHaveValue('top paddock');
  });
});

describe('standards of the look-over', () => {
  const show = (answers?: Answers) => showPart('judging', answers);
  it('are the holding’s own: one is added, one is taken out after it was asked, and kept by name', async () => {
    const { user, asked } = await show({ 'PATCH /api/holding': aHolding({ version: 2 }) });
    await user.type(screen.getByLabelText('Standard'), 'Ears');
    await user.type(screen.getByLabelText('It fails when'), 'torn');
    await choose(user, screen.getByLabelText('Asked of'), 'females');
    await user.click(screen.getByRole('button', { name: 'Add it' }));
    await waitFor(() => expect(changes(asked)).toHaveLength(1));
    const added = changes(asked)[0]?.[2] as { standards: object[] };
    expect(added.standards.at(-1)).toMatchObject({
      species: 'sheep',
      name: 'Ears',
      fails: 'torn',
      sexes: ['female'],
      kind: 'go',
    });
    await user.click(screen.getByRole('button', { name: 'Take out the standard Colour' }));
    expect(changes(asked)).toHaveLength(1);
    await user.click(screen.getByRole('button', { name: 'Count Colour no more?' }));
    await waitFor(() => expect(changes(asked)).toHaveLength(2));
    const colours = (bodyOf(asked, 1) as { standards: StandardSetting[] }).standards.filter((s) => s.name === 'Colour');
    expect(colours.filter((s) => s.isOut).map((s) => s.species)).toEqual(['sheep']);
    expect(colours.length).toBeGreaterThan(1);
  });

  it('are changed where they stand, but for how they are judged, and moved up: the first failed decides', async () => {
    const { user, asked } = await show({ 'PATCH /api/holding': aHolding({ version: 2 }) });
    await user.click(screen.getByRole('button', { name: 'Change the standard Feet' }));
    const standards = within(screen.getByRole('list', { name: 'Standards' }));
    expect(standards.queryByLabelText('Judged by')).toBeNull();
    await user.clear(standards.getByLabelText('Standard'));
    await user.click(standards.getByRole('button', { name: 'Save' }));
    expect(await standards.findByText('Give it a name of up to 40 letters.')).toBeVisible();
    await user.type(standards.getByLabelText('Standard'), 'Claws');
    await choose(user, standards.getByLabelText('Whose rule'), 'pedigree');
    await user.click(standards.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(changes(asked)).toHaveLength(1));
    const before = aHolding().standards;
    const feet = before.find((s) => s.species === 'sheep' && s.name === 'Feet');
    const saved = (bodyOf(asked, 0) as { standards: StandardSetting[] }).standards;
    expect(saved).toHaveLength(before.length);
    expect(saved.find((s) => s.id === feet?.id)).toMatchObject({ name: 'Claws', rule: 'pedigree', kind: feet?.kind });

    const sheep = before.filter((s) => s.species === 'sheep').map((s) => s.name);
    await user.click(await screen.findByRole('button', { name: `Move the standard ${sheep[2] ?? ''} up` }));
    await waitFor(() => expect(changes(asked)).toHaveLength(2));
    const moved = (bodyOf(asked, 1) as { standards: StandardSetting[] }).standards;
    expect(moved.filter((s) => s.species === 'sheep').map((s) => s.name)).toEqual([
      sheep[0],
      sheep[2],
      sheep[1],
      ...sheep.slice(3),
    ]);
  });

  it('that were taken out can be put back', async () => {
    const standards = aHolding().standards.map((s) => ({ ...s, isOut: s.name === 'Colour' }));
    const { user, asked } = await show({
      'GET /api/holding': aHolding({ standards }),
      'PATCH /api/holding': aHolding({ version: 2 }),
    });
    await user.click(await screen.findByRole('button', { name: 'Put back the standard Colour' }));
    await waitFor(() => expect(changes(asked)).toHaveLength(1));
    const back = (bodyOf(asked, 0) as { standards: StandardSetting[] }).standards;
    expect(back.find((s) => s.species === 'sheep' && s.name === 'Colour')?.isOut).toBe(false);
  });
});

it('shows how each hand’s tape reads, and from when on it is used', async () => {
  const bias = { method: 'tape' as const, species: 'sheep' as const, low: 1.063, high: 1.08 };
  await showPart('judging', {
    'GET /api/roster': aRoster([], {
      biases: [
        { ...bias, by: 'Kerem', pairs: 12, ratio: 1.071, isUsed: true },
        { ...bias, by: 'Aylin', pairs: 3, ratio: 0.98, isUsed: false },
      ],
    }),
  });
  expect(
    await screen.findByRole('row', {
      name: /Kerem, tape, sheep reads 7.1.% high ?1.071 \(1.063 to 1.080\), 12 pairs, used/,
    }),
  ).toBeVisible();
  expect(
    screen.getByRole('row', { name: /Aylin, tape, sheep reads 2.0.% low.*3 pairs, used from 8 on/ }),
  ).toBeVisible();
});
