import { screen } from '@testing-library/react';
import { useState } from 'react';
import { anIdentifier } from '../../tests/builders';
import { AWAY, refuses, renderPage, type Answers } from '../../tests/renderPage';
import { AddSheet } from './AddSheet';

/** The sheet as a page has it: open until it closes itself. */
function Opened() {
  const [isOpen, setOpen] = useState(true);
  return isOpen ? <AddSheet isOpen onClose={() => setOpen(false)} /> : <p>closed</p>;
}
const closed = () => screen.findByText('closed');

const next: Answers = {
  'GET /api/holding/next-numbers/sheep': ({ query }: { query: URLSearchParams }) => ({
    numbers: Array.from({ length: Number(query.get('count')) }, (_, i) => `26-000${i + 1}`),
  }),
};
const show = (answers: Answers = {}) => renderPage(<Opened />, { answers: { ...next, ...answers } });
const ready = () => screen.findByPlaceholderText('26-0001');

it('adds one with the next free number when none is typed', async () => {
  const { user, entries } = show();
  await ready();
  await user.click(screen.getByRole('button', { name: 'Add it' }));
  await closed();
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
  await screen.findByText('Added 3 animals');
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
  expect(await screen.findByRole('alert')).toHaveTextContent('Dam: no animal wears “22-9999”. Type the whole number.');
  await user.clear(screen.getByLabelText('Dam'));
  await user.type(screen.getByLabelText('Dam'), '22 0001');
  await user.selectOptions(screen.getByLabelText('Born as'), 'twin');
  await user.click(screen.getByRole('button', { name: 'Add it' }));
  await closed();
  expect(entries()[0]).toMatchObject({ how: 'born', damId: 'id of 22-0001', birthType: 2, rearingType: 2 });
});

it('shows the book’s reason where it was typed and keeps what was typed', async () => {
  const { user } = show({ 'POST /api/entries': refuses('identifier', 'Yellow 26-0009 is worn by another.') });
  await ready();
  await user.type(screen.getByLabelText('Number'), '26-0009');
  await user.click(screen.getByRole('button', { name: 'Add it' }));
  expect(await screen.findByRole('alert')).toHaveTextContent('Yellow 26-0009 is worn by another.');
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
  await user.click(screen.getByRole('button', { name: 'Take back (Ctrl+Z)' }));
  await screen.findByText('Taken back: added 26-0001');
  const [arrival, identifier, ...strikes] = entries();
  expect(strikes).toMatchObject([
    { type: 'strike', entryId: identifier?.id },
    { type: 'strike', entryId: arrival?.id },
  ]);
});
