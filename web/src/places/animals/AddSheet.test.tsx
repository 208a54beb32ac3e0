import { screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { aGroup, anIdentifier } from '../../tests/builders';
import { typeDay } from '../../tests/dates';
import { AWAY, refuses, renderPage, type Answers } from '../../tests/renderPage';
import { AddSheet } from './AddSheet';
import { choose } from '../../tests/choose';

/** The sheet as a page has it: open until it closes itself. */
function Opened() {
  const [isOpen, setOpen] = useState(true);
  return isOpen ? <AddSheet isOpen onClose={() => setOpen(false)} /> : <p>closed</p>;
}
const show = (answers: Answers = {}) =>
  renderPage(<Opened />, { answers: { 'GET /api/strains': ['Hill'], ...answers } });
const ready = () => screen.findByPlaceholderText('26-0001');

it('adds one with the next free number when none is typed', async () => {
  const { user, entries } = show();
  await ready();
  await user.click(screen.getByRole('button', { name: 'Add it' }));
  await screen.findByText(/^Added .*The next one, or close\.$/);
  expect(entries()).toMatchObject([
    { type: 'arrival', how: 'bought', species: 'sheep', sex: 'female', on: '2026-11-23' },
    { type: 'identifier', text: '26-0001', colour: 'yellow' },
  ]);
  expect(entries()[0]).not.toHaveProperty('bornOn');
});

it('adds a run of them, each an animal of its own', async () => {
  const { user, entries } = show();
  await ready();
  await user.clear(screen.getByLabelText('How many'));
  await user.type(screen.getByLabelText('How many'), '3');
  await screen.findByText('Numbers 26-0001 to 26-0003');
  await user.click(screen.getByRole('button', { name: 'Add 3' }));
  await screen.findByText('Added 3 animals. The next one, or close.');
  const arrivals = entries().filter((e) => e.type === 'arrival');
  expect(new Set(arrivals.map((e) => e.animalId)).size).toBe(3);
});

it('asks for a whole number of animals', async () => {
  const { user, entries } = show();
  await ready();
  await user.clear(screen.getByLabelText('How many'));
  await user.type(screen.getByLabelText('How many'), '2,5');
  await user.click(screen.getByRole('button', { name: /^Add/ }));
  expect(await screen.findByRole('alert')).toHaveTextContent('give a whole number from 1 to 200, not “2,5”');
  expect(entries()).toEqual([]);
});

it('finds the dam by her number, and says when nobody wears it', async () => {
  const { user, entries } = show({ 'GET /api/identifiers': [anIdentifier('22-0001')] });
  await ready();
  await user.type(screen.getByLabelText('Dam'), '22-9999');
  await user.click(screen.getByRole('button', { name: 'Add it' }));
  expect(await screen.findByRole('alert')).toHaveTextContent(
    'Dam: no animal is tagged “22-9999”. Type the whole number.',
  );
  await user.clear(screen.getByLabelText('Dam'));
  await user.type(screen.getByLabelText('Dam'), '22 0001');
  await choose(user, screen.getByLabelText('Born as'), 'twin');
  await user.click(screen.getByRole('button', { name: 'Add it' }));
  await waitFor(() => expect(entries()).toHaveLength(2));
  expect(entries()[0]).toMatchObject({ how: 'born', damId: 'id of 22-0001', birthType: 2, rearingType: 2 });
});

it('shows the book’s reason where it was typed and keeps what was typed', async () => {
  const { user } = show({ 'POST /api/entries': refuses('identifier', 'Yellow 26-0009 is already on another.') });
  await ready();
  await user.type(screen.getByLabelText('Number'), '26-0009');
  await user.click(screen.getByRole('button', { name: 'Add it' }));
  expect(await screen.findByRole('alert')).toHaveTextContent('Yellow 26-0009 is already on another.');
  expect(screen.getByLabelText('Number')).toHaveValue('26-0009');
  expect(screen.queryByText('closed')).toBeNull();
});

it('keeps the animal on this device while the server is away, and says so', async () => {
  const { user, outbox } = show({ 'POST /api/entries': AWAY });
  await ready();
  await user.click(screen.getByRole('button', { name: 'Add it' }));
  expect(await screen.findByText(/Added 26-0001. It is kept on this device until the server is back/)).toBeVisible();
  expect(outbox.state().waiting).toBe(2);
  outbox.stop();
});

it('is taken back by one press: the number is struck out first, then the arrival', async () => {
  const { user, entries } = show();
  await ready();
  await user.click(screen.getByRole('button', { name: 'Add it' }));
  await screen.findByText('Added 26-0001');
  await user.click(await screen.findByRole('button', { name: 'Take it back' }));
  await screen.findByText('Taken back. The next one, or close.');
  const [arrival, identifier, ...strikes] = entries();
  expect(strikes).toMatchObject([
    { type: 'strike', entryId: identifier?.id },
    { type: 'strike', entryId: arrival?.id },
  ]);
});

it('stays open for the next one with what they have in common, and has the keyboard where the next is typed', async () => {
  const { user, entries } = show({ 'GET /api/groups': [aGroup('Hill')] });
  await ready();
  expect(screen.getByLabelText('Species')).toHaveFocus();
  await choose(user, screen.getByLabelText('Tag colour'), 'pink');
  await choose(user, await screen.findByLabelText('Group'), 'Hill');
  await user.type(screen.getByLabelText('Born'), '3.2024');
  await user.type(screen.getByLabelText('Breed'), 'Hill');
  await user.type(screen.getByLabelText('Paid for it, EUR'), '140');
  await user.type(screen.getByLabelText('Number'), '77{Enter}');
  await screen.findByText('Added 77. The next one, or close.');
  expect(screen.getByLabelText('Number')).toHaveFocus();
  await user.keyboard('78{Enter}');
  await screen.findByText('Added 78. The next one, or close.');
  const second = entries().filter((e) => e.type === 'arrival')[1];
  expect(second).toMatchObject({ bornOn: '2024-03-15', birthKnownTo: 'month', strain: 'Hill', boughtMinor: 14_000 });
  expect(entries().filter((e) => e.type === 'identifier')[1]).toMatchObject({ text: '78', colour: 'pink' });
  expect(entries().filter((e) => e.type === 'move')).toHaveLength(2);
});

it('adds several with numbers of their own, as many as are given', async () => {
  const { user, entries } = show();
  await ready();
  await user.clear(screen.getByLabelText('How many'));
  await user.type(screen.getByLabelText('How many'), '3');
  await user.type(screen.getByLabelText('Their own numbers, one a line'), '101{Enter}102');
  await user.click(screen.getByRole('button', { name: 'Add 3' }));
  expect(await screen.findByRole('alert')).toHaveTextContent('These are 2 numbers for 3 animals.');
  await user.type(screen.getByLabelText('Their own numbers, one a line'), '{Enter}103');
  await user.click(screen.getByRole('button', { name: 'Add 3' }));
  await screen.findByText('Added 3 animals. The next one, or close.');
  expect(entries().flatMap((e) => (e.type === 'identifier' ? [e.text] : []))).toEqual(['101', '102', '103']);
});

it('adds one by its name alone, and one with a tattoo that came earlier', async () => {
  const { user, entries } = show();
  await ready();
  await choose(user, screen.getByLabelText('Species'), 'Rabbits');
  await choose(user, screen.getByLabelText('It wears'), 'nothing yet');
  await user.type(screen.getByLabelText('Name'), 'Pamuk{Enter}');
  await screen.findByText('Added Pamuk. The next one, or close.');
  expect(screen.getByLabelText('Name')).toHaveFocus();
  expect(entries()).toMatchObject([
    { type: 'arrival', species: 'rabbit' },
    { kind: 'name', text: 'Pamuk' },
  ]);
  await choose(user, screen.getByLabelText('It wears'), 'a tattoo');
  await typeDay(user, 'Came on (empty: today)', '2026-10-01');
  await user.type(screen.getByLabelText('Number'), 'K9{Enter}');
  await waitFor(() => expect(entries()).toHaveLength(4));
  expect(entries().slice(2)).toMatchObject([
    { type: 'arrival', on: '2026-10-01' },
    { kind: 'tattoo', text: 'K9', on: '2026-10-01' },
  ]);
});

it('makes a group where it is chosen', async () => {
  const made: object[] = [];
  const { user, entries } = show({
    'POST /api/groups': () => {
      made.push({ ...aGroup('Orchard'), id: 'g7' });
      return made[0];
    },
    'GET /api/groups': () => [...made],
  });
  await ready();
  await choose(user, screen.getByLabelText('Group'), 'a new group …');
  await user.type(screen.getByLabelText('Name of the new group'), 'Orchard{Enter}');
  await waitFor(() => expect(screen.getByLabelText('Group')).toHaveTextContent('Orchard'));
  expect(entries()).toEqual([]);
  await user.type(screen.getByLabelText('Number'), '5{Enter}');
  await waitFor(() => expect(entries()).toMatchObject([{}, {}, { type: 'move', groupId: 'g7' }]));
});

it('says what a birth looks like when it is none', async () => {
  const { user, entries } = show();
  await ready();
  await user.type(screen.getByLabelText('Born'), 'spring');
  await user.click(screen.getByRole('button', { name: 'Add it' }));
  expect(await screen.findByRole('alert')).toHaveTextContent(
    'Give the day it was born, its month as 3.2024 or its year',
  );
  expect(entries()).toEqual([]);
});
