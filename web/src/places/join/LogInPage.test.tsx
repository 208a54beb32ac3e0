import { screen, waitFor } from '@testing-library/react';
import type { PeopleView } from '@yaylak/contract';
import { aHolding } from '../../tests/builders';
import { no, renderPage, type Answers } from '../../tests/renderPage';
import { LogInPage } from './LogInPage';

const person = (name: string, isByPin: boolean) => ({ id: name, name, role: 'helper', isByPin }) as const;
const people = (me: string | null, ...others: PeopleView['people']): PeopleView => ({
  isAsked: true,
  me: me === null ? null : { ...person(me, true), hasPin: true, keys: [] },
  people: others,
});
const show = (view: PeopleView, answers: Answers = {}) =>
  renderPage(<LogInPage />, {
    at: '/log-in',
    route: '/log-in',
    answers: { 'GET /api/household/people': view, 'GET /api/holding': aHolding(), ...answers },
  });

it('logs in by name and password, and reads whose name stands under what is written before it goes on', async () => {
  const tries = [no(409, 'That is not the name and the password of anybody here.'), people('Hatice')];
  const { user, asked, path } = show(people(null), { 'POST /api/household/log-in': () => tries.shift() });
  await user.type(await screen.findByLabelText('Name'), 'hatice');
  await user.type(screen.getByLabelText('Password'), 'brown ewes');
  await user.click(screen.getByRole('button', { name: 'Log in' }));
  expect(await screen.findByRole('alert')).toHaveTextContent('That is not the name and the password of anybody here.');
  expect(path()).toBe('/log-in');
  await user.click(screen.getByRole('button', { name: 'Log in' }));
  await waitFor(() => expect(path()).toBe('/'));
  const said = asked.map((a) => `${a.method} ${a.path}`);
  expect(said.lastIndexOf('GET /api/holding')).toBeGreaterThan(said.lastIndexOf('POST /api/household/log-in'));
});

it('changes hands by a PIN where somebody else has one here', async () => {
  const { user, asked, path } = show(
    people('Hatice', person('Hatice', true), person('Kerem', true), person('Ali', false)),
    {
      'POST /api/household/switch': people('Kerem'),
    },
  );
  expect(await screen.findByRole('heading', { name: 'Who works here' })).toBeVisible();
  // One without a PIN, and who is here already, are not offered.
  expect(screen.queryByRole('button', { name: 'Ali' })).toBeNull();
  expect(screen.queryByRole('button', { name: 'Hatice' })).toBeNull();
  await user.click(screen.getByRole('button', { name: 'Kerem' }));
  await user.type(screen.getByLabelText('PIN of Kerem'), '12{Enter}');
  expect(await screen.findByText('A PIN has four to eight digits.')).toBeVisible();
  await user.type(screen.getByLabelText('PIN of Kerem'), '34{Enter}');
  await waitFor(() => expect(path()).toBe('/'));
  expect(asked.find((a) => a.path === '/api/household/switch')?.body).toEqual({ id: 'Kerem', pin: '1234' });
});

it('says why somebody cannot be logged out', async () => {
  const { user } = show(people('Hatice'), { 'DELETE /api/household/log-in': no(507, 'The disk is full.') });
  await user.click(await screen.findByRole('button', { name: 'Log out' }));
  expect(await screen.findByRole('alert')).toHaveTextContent('The disk is full.');
});

it('says where nobody has to log in', async () => {
  show({ isAsked: false, me: null, people: [] });
  expect(await screen.findByText(/^Nobody has to log in to this book/)).toBeVisible();
  expect(screen.getByRole('link', { name: 'Open the book' })).toHaveAttribute('href', '/');
});

it('leads a device in that is not let in', async () => {
  show(people(null), {
    'GET /api/household/people': no(401, 'This device is not let in.', undefined, '/problems/not-joined'),
  });
  expect(await screen.findByRole('link', { name: 'Let this device in' })).toHaveAttribute('href', '/join');
});
