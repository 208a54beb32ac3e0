import { screen, waitFor, within } from '@testing-library/react';
import type { HouseholdView, MeView, PeopleView } from '@yaylak/contract';
import { aHolding } from '../../tests/builders';
import { no, renderPage, type Answers } from '../../tests/renderPage';
import { HoldingPage } from './HoldingPage';

const house = (change: Partial<HouseholdView> = {}): HouseholdView => ({
  isHere: true,
  door: { joinAt: [], openAt: [], fingerprint: 'AB' },
  devices: [],
  code: null,
  ...change,
});
const aylin: MeView = { id: 'a', name: 'Aylin', role: 'owner', isByPin: false, hasPin: false, keys: [] };
const hatice = { id: 'h', name: 'Hatice', role: 'helper', isByPin: false } as const;
const of = (me: MeView | null, ...others: PeopleView['people']): PeopleView => ({
  isAsked: true,
  me,
  people: [...(me ? [me] : []), ...others],
});
const NOBODY: PeopleView = { isAsked: false, me: null, people: [] };
const show = (people: PeopleView, answers: Answers = {}) =>
  renderPage(<HoldingPage part="people" />, {
    at: '/holding/people',
    route: '/holding/people',
    answers: {
      'GET /api/household/people': people,
      'GET /api/household': house(),
      'GET /api/holding': aHolding(),
      ...answers,
    },
  });
const field = (label: string) => within(screen.getByRole('dialog')).getByLabelText(label);
const press = (name: string) => within(screen.getByRole('dialog')).getByRole('button', { name });

it('adds the first person, an owner, on the computer with the book', async () => {
  let now = NOBODY;
  const { user, asked } = show(NOBODY, {
    'GET /api/household/people': () => now,
    'POST /api/household/people': () => (now = of(aylin)),
  });
  await user.click(await screen.findByRole('button', { name: 'Add the first person' }));
  expect(screen.queryByLabelText('Role')).toBeNull();
  await user.type(field('Name'), 'Aylin');
  await user.type(field('Password'), 'ewes');
  await user.click(press('Add'));
  expect(await screen.findByText(/^A password has 10 characters at least/)).toBeVisible();
  expect(asked.filter((a) => a.method === 'POST')).toEqual([]);
  await user.type(field('Password'), ', all of them');
  await user.click(press('Add'));
  expect(await screen.findByRole('heading', { name: 'The household' })).toBeVisible();
  expect(asked.find((a) => a.method === 'POST')?.body).toMatchObject({
    name: 'Aylin',
    role: 'owner',
    password: 'ewes, all of them',
  });
});

it.each([
  [{ door: null }, 'People are for a book that is open to the house: start Yaylak with npm start -- --home.'],
  [{ isHere: false }, 'The first person is added on the computer with the book.'],
])('says where people are added when it is not here: %p', async (change, said) => {
  show(NOBODY, { 'GET /api/household': house(change) });
  expect(await screen.findByText(said)).toBeVisible();
  expect(screen.queryByRole('button', { name: 'Add the first person' })).toBeNull();
});

it('gives somebody another role, and says what stands against it', async () => {
  const answers = [no(409, 'That is the only owner.', 'Make somebody else an owner first.'), of(aylin, hatice)];
  const { user, asked } = show(of(aylin, hatice), { 'PUT /api/household/people/h': () => answers.shift() });
  await user.click(await screen.findByRole('button', { name: 'Change Hatice' }));
  await user.click(within(screen.getByRole('dialog')).getByRole('button', { name: /helper/ }));
  await user.click(await screen.findByRole('option', { name: 'keeper' }));
  await user.click(press('Save'));
  expect(await screen.findByText(/^That is the only owner\./)).toBeVisible();
  await user.click(press('Save'));
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  // The password they have stays.
  expect(asked.findLast((a) => a.method === 'PUT')?.body).toEqual({ role: 'keeper' });
});

it('lets somebody in no more only when asked twice', async () => {
  const { user, asked } = show(of(aylin, hatice), { 'DELETE /api/household/people/h': of(aylin) });
  await user.click(await screen.findByRole('button', { name: 'Change Hatice' }));
  await user.click(press('Let in no more'));
  expect(asked.filter((a) => a.method === 'DELETE')).toEqual([]);
  await user.click(press('Let Hatice in no more?'));
  await waitFor(() => expect(screen.queryByText('Hatice')).toBeNull());
});

it('changes one’s own PIN with the password as it is now', async () => {
  const { user, asked } = show(of(aylin), { 'PUT /api/household/own': of({ ...aylin, hasPin: true }) });
  await user.click(await screen.findByRole('button', { name: 'Password and PIN' }));
  await user.type(field('Your password as it is now'), 'three brown ewes');
  await user.click(press('Save'));
  expect(await screen.findByText('Type a new PIN, or a new password.')).toBeVisible();
  await user.type(field('PIN'), '24');
  await user.click(press('Save'));
  expect(await screen.findByText('A PIN has four to eight digits.')).toBeVisible();
  await user.type(field('PIN'), '68');
  await user.click(press('Save'));
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  expect(asked.find((a) => a.method === 'PUT')?.body).toEqual({ password: 'three brown ewes', pin: '2468' });
  expect(screen.getByText(/With your PIN you take over/)).toBeVisible();
});

it('shows a key once, and ends one', async () => {
  const key = { id: 'k', name: 'barn scales', madeOn: '2026-11-23', usedOn: null };
  const { user } = show(of(aylin), {
    'POST /api/household/keys': { people: of({ ...aylin, keys: [key] }), key: 'a.secret' },
    'DELETE /api/household/keys/k': of(aylin),
  });
  await user.click(await screen.findByRole('button', { name: 'Keys for scripts' }));
  await user.click(press('Make a key'));
  expect(await screen.findByText('Type what the key is for.')).toBeVisible();
  await user.type(field('What it is for'), 'barn scales');
  await user.click(press('Make a key'));
  expect(await screen.findByText('a.secret')).toBeVisible();
  expect(screen.getByText('made 23 Nov 2026, not used yet')).toBeVisible();
  await user.click(press('End the key barn scales'));
  await user.click(press('End it for good?'));
  await waitFor(() => expect(screen.queryByText('barn scales')).toBeNull());
});

it('shows a helper their own only', async () => {
  show(of({ ...aylin, role: 'helper' }, hatice));
  expect(await screen.findByRole('heading', { name: 'You' })).toBeVisible();
  expect(screen.queryByRole('heading', { name: 'The household' })).toBeNull();
});
