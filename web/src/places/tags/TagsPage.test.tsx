import { screen, waitFor, within } from '@testing-library/react';
import type { TagNeedView, TagsView } from '@yaylak/contract';
import { aHolding, anIdentifier, aTag } from '../../tests/builders';
import { refuses, renderPage, type Answers } from '../../tests/renderPage';
import { TagsPage } from './TagsPage';
import { choose } from '../../tests/choose';

const aNeed = (text: string, change: Partial<TagNeedView> = {}): TagNeedView => ({
  tag: aTag(text),
  species: 'sheep',
  sex: 'female',
  bornOn: '2026-04-01',
  dam: '24-0009',
  groupName: 'Top paddock',
  need: 'too-few',
  advised: 2,
  worn: [{ kind: 'visual', text, colour: 'yellow' }],
  lost: [],
  ...change,
});
const lostOne = aNeed('24-0001', {
  need: 'lost-one',
  worn: [{ kind: 'electronic', text: '792000000120001', colour: null }],
  lost: [{ kind: 'visual', text: '24-0001', colour: 'blue', on: '2026-05-01', how: 'lost' }],
});
const few = aNeed('26-0002');
const aView = (needs: TagNeedView[], change: Partial<TagsView> = {}): TagsView => ({
  needs,
  counts: {
    'none-worn': needs.filter((n) => n.need === 'none-worn').length,
    'lost-one': needs.filter((n) => n.need === 'lost-one').length,
    'too-few': needs.filter((n) => n.need === 'too-few').length,
  },
  present: 40,
  shared: [],
  later: [],
  marks: [],
  ...change,
});
const show = async (view: TagsView, answers: Answers = {}) => {
  const shown = renderPage(<TagsPage />, {
    answers: { 'GET /api/tags': view, 'GET /api/identifiers': [anIdentifier('26-0004')], ...answers },
  });
  await screen.findByDisplayValue('{YY}-{NNNN}');
  return shown;
};

it('says who needs one and why, and narrows to one reason', async () => {
  const { user } = await show(aView([lostOne, few]));
  expect(screen.getByText('2 animals of 40 present')).toBeVisible();
  expect(screen.getByText('Lost: blue 24-0001, 1 May 2026')).toBeVisible();
  expect(screen.getByText('Has 1 of 2 tags it should')).toBeVisible();
  await user.click(screen.getByRole('button', { name: '1 lost one' }));
  expect(screen.queryByText('Has 1 of 2 tags it should')).toBeNull();
  expect(screen.getByText(/tagged electronic 792 000 000 120 001/)).toBeVisible();
});

it('tells young without a number apart by their birth and their dam', async () => {
  const young = (id: string, change: Partial<TagNeedView>) =>
    aNeed('', { tag: { ...aTag(''), animalId: id }, need: 'none-worn', worn: [], ...change });
  await show(
    aView([
      young('1', { bornOn: '2026-11-18', dam: 'A-10' }),
      young('2', { bornOn: '2026-11-20', dam: 'A-11', sex: 'male' }),
      young('3', { bornOn: null, dam: null }),
    ]),
  );
  expect(screen.getByText('Ewe lamb, born 18 Nov, of A-10, Top paddock')).toBeVisible();
  expect(screen.getByText('Ram lamb, born 20 Nov, of A-11, Top paddock')).toBeVisible();
  expect(screen.getByText('Ewe, Top paddock')).toBeVisible();
});

it('says so when nobody does', async () => {
  await show(aView([]));
  expect(screen.getByText('Nobody: all 40 properly tagged')).toBeVisible();
});

it('fits the number it lost again, in its colour, and takes it back', async () => {
  const { user, entries } = await show(aView([lostOne]));
  await user.click(screen.getByRole('button', { name: 'Fit one to 24-0001' }));
  expect(screen.getByLabelText('Number or name')).toHaveValue('24-0001');
  expect(screen.getByLabelText('Colour')).toHaveTextContent('blue');
  await user.click(screen.getByRole('button', { name: 'Fit it' }));
  await screen.findByText('Fitted 24-0001');
  expect(entries()).toMatchObject([
    { type: 'identifier', kind: 'visual', text: '24-0001', colour: 'blue', on: '2026-11-23' },
  ]);
  await user.click(screen.getByRole('button', { name: 'Take back (Ctrl+Z)' }));
  await waitFor(() => expect(entries()[1]).toMatchObject({ type: 'strike', entryId: entries()[0]?.id }));
});

it('offers the kind that is missing, and keeps what was typed when the book refuses', async () => {
  const { user } = await show(aView([few]), { 'POST /api/entries': refuses('identifier', 'It has 14 digits.') });
  await user.click(screen.getByRole('button', { name: 'Fit one to 26-0002' }));
  expect(screen.getByLabelText('Kind')).toHaveTextContent('electronic');
  await user.type(screen.getByLabelText('Number or name'), '79200000012603{Enter}');
  expect(await screen.findByRole('alert')).toHaveTextContent('It has 14 digits.');
  expect(screen.getByLabelText('Number or name')).toHaveValue('79200000012603');
});

it('offers the next free number of the birth year, and asks before another colour of one that is worn', async () => {
  const bare = aNeed('none', {
    need: 'none-worn',
    worn: [],
    tag: aTag('none', { kind: 'none' }),
    bornOn: '2025-05-01',
  });
  const { user, entries } = await show(aView([bare]), {
    'GET /api/identifiers': [anIdentifier('26-0004'), anIdentifier('25-0011')],
  });
  await user.click(screen.getByRole('button', { name: 'Fit one to none' }));
  await user.type(screen.getByLabelText('Number or name'), '26-0004');
  await choose(user, screen.getByLabelText('Colour'), 'pink');
  await user.click(screen.getByRole('button', { name: 'Fit it' }));
  expect(
    await screen.findByText(
      'yellow 26-0004 is already on another that is here; this one would be pink. Can the two be told apart?',
    ),
  ).toBeVisible();
  expect(entries()).toEqual([]);
  await user.click(screen.getByRole('button', { name: 'Next free: 25-0012' }));
  await user.click(screen.getByRole('button', { name: 'Fit it' }));
  await screen.findByText('Fitted 25-0012');
  expect(entries()).toMatchObject([{ text: '25-0012', colour: 'pink' }]);
});

describe('an electronic number', () => {
  it('is linked by scan, Enter, number, Enter, and the next can be scanned at once', async () => {
    const { user, entries } = await show(aView([few]));
    await user.type(screen.getByLabelText('Scanned'), '792000000120009{Enter}');
    expect(screen.getByLabelText('Number on its tag')).toHaveFocus();
    await user.keyboard('26-0004{Enter}');
    await screen.findByText('Linked 792000000120009 to 26-0004');
    expect(entries()).toMatchObject([{ kind: 'electronic', text: '792000000120009', animalId: 'id of 26-0004' }]);
    expect(screen.getByLabelText('Scanned')).toHaveFocus();
    expect(screen.getByLabelText('Scanned')).toHaveValue('');
  });
  it('stays typed when nobody wears the other number', async () => {
    const { user, entries } = await show(aView([few]));
    await user.type(screen.getByLabelText('Scanned'), '792000000120009{Enter}');
    await user.keyboard('99{Enter}');
    expect(await screen.findByText('No animal is tagged “99”. Type the whole number.')).toBeVisible();
    expect(screen.getByLabelText('Scanned')).toHaveValue('792000000120009');
    expect(entries()).toEqual([]);
  });
});

describe('numbers to come', () => {
  it('are shown as the template is typed, past every number worn', async () => {
    const { user } = await show(aView([]));
    const list = await screen.findByRole('list', { name: 'The next ten' });
    await waitFor(() => expect(within(list).getAllByRole('listitem')[0]).toHaveTextContent('26-0005'));
    const field = screen.getByLabelText('How a number is made');
    await user.clear(field);
    await user.type(field, 'A{{NN}');
    const numbers = within(screen.getByRole('list', { name: 'The next ten' })).getAllByRole('listitem');
    expect(numbers.map((n) => n.textContent)).toEqual([
      'A01',
      'A02',
      'A03',
      'A04',
      'A05',
      'A06',
      'A07',
      'A08',
      'A09',
      'A10',
    ]);
  });
  it('are not kept while the template has no running number', async () => {
    const { user } = await show(aView([]));
    const field = screen.getByLabelText('How a number is made');
    await user.clear(field);
    await user.type(field, '{{YY}');
    expect(await screen.findByText('It needs one running number, such as {NNNN}.')).toBeVisible();
    expect(screen.getByRole('button', { name: 'Keep this way' })).toBeDisabled();
  });
  it('are kept for the species alone', async () => {
    const { user, asked } = await show(aView([]), { 'PATCH /api/holding': aHolding({ version: 2 }) });
    await choose(user, screen.getByLabelText('Species'), 'Goats');
    const field = screen.getByLabelText('How a number is made');
    await user.clear(field);
    await user.type(field, 'Z{{N}');
    await user.click(screen.getByRole('button', { name: 'Keep this way' }));
    await screen.findByText('Saved the settings');
    expect(asked.find((a) => a.method === 'PATCH')?.body).toEqual({
      version: 1,
      species: { goat: { numberTemplate: 'Z{N}' } },
    });
  });
});

it('says what the marks in the field mean, and on whom they are', async () => {
  await show(
    aView([], {
      marks: [
        {
          colour: 'blue',
          place: 'rump',
          purpose: 'second string',
          until: '2026-12-01',
          isUntilForAll: false,
          tags: [aTag('26-0001'), aTag('26-0002')],
          groups: [{ name: 'Top paddock', count: 2 }],
        },
      ],
    }),
  );
  expect(screen.getByText('blue on the rump: second string')).toBeVisible();
  expect(screen.getByText('2 in Top paddock; the first until 1 Dec')).toBeVisible();
  expect(screen.getByRole('link', { name: /26-0002/ })).toBeVisible();
});

it('tells which animal a number of some year means', async () => {
  const wearers = [
    { tag: aTag('20-0007'), from: '2020-04-01', until: '2024-06-01' },
    { tag: aTag('7'), from: '2025-04-01', until: null },
  ];
  await show(aView([few], { shared: [{ kind: 'visual', text: '7', colour: 'yellow', isNow: false, wearers }] }));
  expect(screen.getByText('1 Apr 2020 to 1 Jun 2024')).toBeVisible();
  expect(screen.getByText('1 Apr 2025 to now')).toBeVisible();
});

describe('blank tags', () => {
  const bag = { id: 'b', species: 'sheep', colour: 'green', shape: 'flag', first: '26-0001', last: '26-0006' } as const;
  it('are counted less what has been fitted, with the next of them', async () => {
    await show(aView([]), { 'GET /api/holding': aHolding({ blankTags: [bag] }) });
    expect(await screen.findByText('5 of 6 left, next 26-0001')).toBeVisible();
  });
  it('are put in as a bag, and a bag that is none cannot be', async () => {
    const { user, asked } = await show(aView([]), { 'PATCH /api/holding': aHolding() });
    await user.click(screen.getByRole('button', { name: 'Add a bag' }));
    await user.type(screen.getByLabelText('First number'), '26-0040');
    await user.type(screen.getByLabelText('Last number'), '27-0049');
    await user.click(screen.getByRole('button', { name: 'Put it in' }));
    expect(await screen.findByRole('alert')).toHaveTextContent(/^The same text before a running number/);
    expect(asked.some((a) => a.method === 'PATCH')).toBe(false);
    await user.clear(screen.getByLabelText('Last number'));
    await user.type(screen.getByLabelText('Last number'), '26-0049');
    expect(screen.getByText('10 tags')).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Put it in' }));
    await waitFor(() =>
      expect(asked.find((a) => a.method === 'PATCH')?.body).toMatchObject({
        blankTags: [{ species: 'sheep', colour: 'yellow', shape: 'flag', first: '26-0040', last: '26-0049' }],
      }),
    );
  });
});
