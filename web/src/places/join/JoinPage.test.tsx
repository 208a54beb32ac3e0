import { screen } from '@testing-library/react';
import type { HouseholdView } from '@yaylak/contract';
import { no, renderPage, type Answers } from '../../tests/renderPage';
import { JoinPage } from './JoinPage';

const household = (change: Partial<HouseholdView> = {}): HouseholdView => ({
  isHere: false,
  door: null,
  devices: [],
  code: null,
  ...change,
});
const show = (view: HouseholdView, answers: Answers = {}) =>
  renderPage(<JoinPage />, { at: '/join', route: '/join', answers: { 'GET /api/household': view, ...answers } });
afterEach(() => window.history.replaceState(null, '', '/'));

it('takes the code along that was scanned, and asks for the device’s name only', async () => {
  window.history.replaceState(null, '', '/join#ABCD2345');
  const { user, asked } = show(household(), { 'POST /api/household/join': no(409, 'That code does not work.') });
  expect(await screen.findByLabelText('Code')).toHaveValue('ABCD2345');
  const letIn = screen.getByRole('button', { name: 'Let in' });
  expect(letIn).toBeDisabled();
  await user.type(screen.getByLabelText('What this device is called'), 'Barn tablet');
  await user.click(letIn);
  expect(await screen.findByRole('alert')).toHaveTextContent('That code does not work.');
  expect(asked.find((a) => a.path === '/api/household/join')?.body).toMatchObject({
    code: 'ABCD2345',
    name: 'Barn tablet',
  });
  // It can be typed anew.
  expect(letIn).toBeEnabled();
});

it('sends one that is let in on to the book', async () => {
  show(household({ devices: [{ id: 'a', name: 'Barn tablet', joinedOn: '2026-10-01', seenOn: '2026-11-02' }] }));
  expect(await screen.findByText('This device is let in as Barn tablet since 1 Oct 2026.')).toBeVisible();
  expect(screen.getByRole('link', { name: 'Open the book' })).toHaveAttribute('href', '/');
});

it('on the computer with the book leads to where others are let in', async () => {
  show(household({ isHere: true }));
  expect(await screen.findByRole('link', { name: 'Let a device in' })).toHaveAttribute('href', '/holding/devices');
});
