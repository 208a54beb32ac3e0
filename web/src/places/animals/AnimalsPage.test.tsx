import { screen, waitFor, within } from '@testing-library/react';
import type { AnimalPage } from '@yaylak/contract';
import { aGroup, anIdentifier, aRoster, aRosterAnimal, aRow, aTag } from '../../tests/builders';
import { typeDay } from '../../tests/dates';
import { no, refuses, renderPage, type Answers } from '../../tests/renderPage';
import { AnimalsPage } from './AnimalsPage';
import { choose } from '../../tests/choose';

const rows = [
  aRow('26-0001'),
  aRow('26-0002', { group: null, dam: null, lastKg: null, lastOn: null, gain: null }),
  aRow('25-0003', { isPresent: false }),
];
const page = (change: Partial<AnimalPage> = {}): AnimalPage => ({
  rows,
  total: rows.length,
  nextCursor: null,
  ...change,
});
const show = async (answers: Answers = {}, at = '/animals') => {
  const shown = renderPage(<AnimalsPage />, {
    at,
    route: '/animals',
    answers: {
      'GET /api/animals': page(),
      'GET /api/groups': [aGroup('Top paddock', { present: 2 }), aGroup('Rams'), aGroup('Old', { isClosed: true })],
      ...answers,
    },
  });
  await screen.findByRole('grid', { name: 'Animals' });
  return shown;
};
const line = (number: string): HTMLElement => {
  const found = screen.getByRole('checkbox', { name: `Choose ${number}` }).closest('[role=row]');
  return found as HTMLElement;
};
const cell = (number: string, words: string): HTMLElement =>
  within(line(number)).getByText(words).closest('[role=gridcell]') as HTMLElement;

it('shows each animal with its tag, group, dam, weight and gain', async () => {
  await show();
  expect(line('26-0001')).toHaveTextContent(
    /26-0001.*ewe lamb.*Top paddock.*7 months.*22-0001.*42.5\s?kg, 21 Nov.*200 ± 38\s?g\/day/,
  );
  expect(line('26-0002')).toHaveTextContent('no group');
});

it('keeps the filter in the address and asks the server for it', async () => {
  const { user, asked, path } = await show();
  await user.click(screen.getByRole('button', { name: 'Goats' }));
  await user.click(screen.getByRole('button', { name: 'females' }));
  await waitFor(() => expect(path()).toBe('/animals?species=goat&sex=female'));
  await waitFor(() => expect(asked.some((a) => a.path.includes('species=goat&sex=female'))).toBe(true));
  await user.click(await screen.findByRole('button', { name: 'Goats' }));
  await waitFor(() => expect(path()).toBe('/animals?sex=female'));
});

it('sorts by a heading, and the other way round on the second press', async () => {
  const { user, path } = await show();
  await user.click(screen.getByRole('button', { name: /^Last weight/ }));
  await waitFor(() => expect(path()).toContain('sort=weight&direction=up'));
  await user.click(await screen.findByRole('button', { name: /^Last weight/ }));
  await waitFor(() => expect(path()).toContain('direction=down'));
});

it('offers to show all when no animal fits', async () => {
  const { user, path } = renderPage(<AnimalsPage />, {
    at: '/animals?species=cattle',
    route: '/animals',
    answers: { 'GET /api/animals': page({ rows: [], total: 0 }) },
  });
  await screen.findByText('No animal fits');
  await user.click(screen.getByRole('button', { name: 'Show all' }));
  await waitFor(() => expect(path()).toBe('/animals'));
});

it('says what happened when the server cannot be read, and tries again', async () => {
  let isDown = true;
  const { user } = renderPage(<AnimalsPage />, {
    answers: { 'GET /api/animals': () => (isDown ? no(503, 'The disk did not answer.', 'Check the disk.') : page()) },
  });
  await screen.findByText(/The disk did not answer/);
  isDown = false;
  await user.click(screen.getByRole('button', { name: /again/i }));
  expect(await screen.findByRole('grid', { name: 'Animals' })).toBeVisible();
});

it('goes along the rows and their cells by arrows, ticks by space, opens by Enter', async () => {
  const { user, path } = await show();
  line('26-0001').focus();
  await user.keyboard('{ArrowDown}');
  expect(line('26-0002')).toHaveFocus();
  await user.keyboard(' ');
  expect(screen.getByRole('checkbox', { name: 'Choose 26-0002' })).toBeChecked();
  await user.keyboard('{ArrowRight}{ArrowRight}');
  expect(cell('26-0002', 'no group')).toHaveFocus();
  await user.keyboard('{ArrowLeft}{ArrowLeft}{Enter}');
  await waitFor(() => expect(path()).toBe('/animals/id of 26-0002'));
});

describe('changing a fact in its row', () => {
  // What is beside an open list is out of reach until it is closed.
  const field = (name: string): HTMLElement => screen.getByRole('combobox', { name, hidden: true });

  it('moves to another group, and back by Ctrl+Z', async () => {
    const { user, entries } = await show();
    await user.click(cell('26-0001', 'Top paddock'));
    expect(screen.getAllByRole('option').map((o) => o.textContent)).toEqual(['Top paddock', 'Rams']);
    await choose(user, field('Group of 26-0001'), 'Rams');
    await screen.findByText('Moved 26-0001 to Rams');
    expect(entries()).toMatchObject([
      { type: 'move', animalId: 'id of 26-0001', groupId: 'id of Rams', on: '2026-11-23' },
    ]);
    await user.keyboard('{Control>}z{/Control}');
    await screen.findByText('Taken back: moved 26-0001 to Rams');
    expect(entries()[1]).toMatchObject({ type: 'strike', entryId: entries()[0]?.id });
  });

  it('by keyboard alone: Enter on the cell, Enter to save, and the cell has the focus again', async () => {
    const { user, asked } = await show({
      'GET /api/identifiers': [anIdentifier('21-0009')],
      'PATCH /api/animals/id%20of%2026-0001': aRow('26-0001', { version: 4, dam: aTag('21-0009') }),
    });
    cell('26-0001', '22-0001').focus();
    await user.keyboard('{Enter}');
    const field = await screen.findByRole('textbox', { name: 'Dam of 26-0001' });
    await user.clear(field);
    await user.type(field, '21-0009{Enter}');
    await screen.findByText('Changed the record of 26-0001');
    expect(asked.find((a) => a.method === 'PATCH')?.body).toEqual({ version: 3, damId: 'id of 21-0009' });
    expect(cell('26-0001', '22-0001')).toHaveFocus();
  });

  it('says what stands against it and keeps what was typed', async () => {
    const { user, asked } = await show({ 'GET /api/identifiers': [] });
    await user.click(cell('26-0002', 'not known'));
    await user.type(screen.getByRole('textbox', { name: 'Dam of 26-0002' }), '99-1{Enter}');
    expect(await screen.findByRole('alert')).toHaveTextContent('Dam: no animal is tagged “99-1”');
    expect(screen.getByRole('textbox', { name: 'Dam of 26-0002' })).toHaveValue('99-1');
    expect(asked.some((a) => a.method === 'PATCH')).toBe(false);
  });

  it('is told when somebody else changed it meanwhile', async () => {
    const { user } = await show({
      'PATCH /api/animals/id%20of%2026-0001': no(409, 'This animal was changed meanwhile.', 'Look and save again.'),
    });
    await user.click(cell('26-0001', 'ewe lamb'));
    await choose(user, field('Sex of 26-0001'), 'male');
    expect(await screen.findByRole('alert')).toHaveTextContent(
      'What you typed is still here; saved again it goes over theirs.',
    );
    expect(field('Sex of 26-0001')).toHaveTextContent('male');
    expect(field('Sex of 26-0001')).toHaveFocus();
  });

  it('leaves it as it was on Escape, and sends nothing when nothing was changed', async () => {
    const { user, asked } = await show();
    const isClosed = () => waitFor(() => expect(screen.queryByRole('listbox')).toBeNull());
    await user.click(cell('26-0001', 'ewe lamb'));
    await user.keyboard('{ArrowDown}{Escape}');
    await isClosed();
    expect(cell('26-0001', 'ewe lamb')).toHaveFocus();
    await user.keyboard('{Enter}');
    await choose(user, field('Sex of 26-0001'), 'female');
    await isClosed();
    await user.click(cell('26-0001', '22-0001'));
    await user.keyboard('{Enter}');
    await waitFor(() => expect(screen.queryByRole('textbox', { name: 'Dam of 26-0001' })).toBeNull());
    expect(asked.filter((a) => a.method !== 'GET')).toEqual([]);
  });

  it('saves once when the field is left by going elsewhere', async () => {
    const { user, asked } = await show({ 'PATCH /api/animals/id%20of%2026-0001': aRow('26-0001', { version: 4 }) });
    await user.click(cell('26-0001', '22-0001'));
    await user.clear(await screen.findByRole('textbox', { name: 'Dam of 26-0001' }));
    await user.click(screen.getByLabelText('Words'));
    await screen.findByText('Changed the record of 26-0001');
    expect(asked.filter((a) => a.method === 'PATCH')).toHaveLength(1);
  });
});

describe('with some chosen', () => {
  it('moves them as one, or none of them', async () => {
    const { user, entries } = await show({ 'POST /api/entries': refuses('move', '26-0002 had left by then.') });
    await user.click(screen.getByRole('checkbox', { name: 'Choose all that are loaded' }));
    expect(screen.getByText('3 animals chosen')).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Move to a group' }));
    await choose(user, screen.getByLabelText('To'), 'Rams');
    await user.click(screen.getByRole('button', { name: 'Move them' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('26-0002 had left by then.');
    expect(entries()).toHaveLength(3);
  });

  it('keeps them in the address, until something else is asked for', async () => {
    const { user, path } = await show();
    await user.click(screen.getByRole('checkbox', { name: 'Choose 26-0001' }));
    await user.click(screen.getByRole('checkbox', { name: 'Choose 26-0002' }));
    await waitFor(() => expect(path()).toBe('/animals?picked=id+of+26-0001.id+of+26-0002'));
    await user.click(screen.getByRole('button', { name: 'females' }));
    await waitFor(() => expect(path()).toBe('/animals?sex=female'));
    expect(screen.queryByRole('region', { name: 'Chosen animals' })).not.toBeInTheDocument();
  });

  it('of an address are there, read on as far as they stand', async () => {
    const [first, , last] = rows.map((r) => r.tag.animalId);
    await show(
      {
        'GET /api/animals': ({ query }) =>
          query.has('cursor') ? page({ rows: rows.slice(1) }) : page({ rows: rows.slice(0, 1), nextCursor: 'on' }),
      },
      `/animals?picked=${first}.${last}`,
    );
    expect(await screen.findByText('2 animals chosen')).toBeVisible();
    expect(screen.getByRole('checkbox', { name: 'Choose 26-0002' })).not.toBeChecked();
  });

  it('marks them with colour, place and purpose', async () => {
    const { user, entries } = await show();
    await user.click(screen.getByRole('checkbox', { name: 'Choose 26-0001' }));
    await user.click(screen.getByRole('button', { name: 'Mark' }));
    await user.click(screen.getByRole('button', { name: 'Record the mark' }));
    expect(await screen.findByText('Say what the mark means.')).toBeVisible();
    await user.type(screen.getByLabelText('What it means'), 'for the buyer');
    await user.click(screen.getByRole('button', { name: 'Record the mark' }));
    await screen.findByText('Marked 1 animal blue on the rump');
    expect(entries()).toMatchObject([{ type: 'mark', colour: 'blue', place: 'rump', purpose: 'for the buyer' }]);
  });

  it('takes their weights out of the notebook on an earlier day, those that left kept out of it', async () => {
    const { user, entries } = await show({
      'GET /api/roster': aRoster([aRosterAnimal('26-0001'), aRosterAnimal('26-0002'), aRosterAnimal('26-0009')]),
    });
    await user.click(screen.getByRole('checkbox', { name: 'Choose all that are loaded' }));
    await user.click(screen.getByRole('button', { name: 'Type weights' }));
    const sheet = await screen.findByRole('dialog', { name: 'Weights from the notebook' });
    expect(await within(sheet).findByText('1 of the ticked are no longer here and are left out.')).toBeVisible();
    expect(within(sheet).queryByLabelText('Weight of 26-0009, kg')).toBeNull();
    await typeDay(user, 'Weighed on', '2026-11-20');
    await user.type(within(sheet).getByLabelText('Weight of 26-0002, kg'), '31.5');
    await user.keyboard('{Escape}');
    expect(await within(sheet).findByText('What you typed is not saved yet.')).toBeVisible();
    await user.click(within(sheet).getByRole('button', { name: 'Keep editing' }));
    await user.click(within(sheet).getByRole('button', { name: 'Save 1 weight' }));
    await screen.findByText('Recorded 1 weight');
    expect(entries()).toMatchObject([{ type: 'weight', animalId: 'id of 26-0002', on: '2026-11-20', kg: 31.5 }]);
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  });

  it('prints cards of them', async () => {
    const { user } = await show();
    await user.click(screen.getByRole('checkbox', { name: 'Choose 26-0001' }));
    expect(screen.getByRole('link', { name: 'Pen cards' })).toHaveAttribute('href', '/animals/cards?ids=id of 26-0001');
  });
});

it('says why the list is not written as a workbook', async () => {
  const { user } = await show({ 'GET /api/files/animals.csv': no(500, 'No.') });
  await user.click(screen.getByRole('button', { name: 'Write as .xlsx' }));
  expect(await screen.findByText('The server did not give the list. Try again.')).toBeVisible();
  expect(screen.getByRole('button', { name: 'Write as .xlsx' })).toBeEnabled();
});

it('remembers the columns chosen, and writes the same ones as CSV', async () => {
  const { user } = await show();
  await user.click(screen.getByRole('button', { name: 'Columns' }));
  await user.click(await screen.findByRole('checkbox', { name: 'Born' }));
  await user.keyboard('{Escape}');
  expect(await screen.findByRole('columnheader', { name: /^Born$|^Born / })).toBeVisible();
  expect(localStorage.getItem('yaylak-animal-columns')).toContain('born');
  expect(screen.getByRole('link', { name: 'Write as CSV' }).getAttribute('href')).toContain('born');
});
