import { screen, within } from '@testing-library/react';
import type { HouseholdView } from '@yaylak/contract';
import { aHolding } from '../../tests/builders';
import { no, renderPage, type Answers } from '../../tests/renderPage';
import { HoldingPage } from './HoldingPage';

const household = (change: Partial<HouseholdView> = {}): HouseholdView => ({
  isHere: true,
  door: {
    joinAt: ['http://192.168.1.5:4879', 'http://barn.local:4879'],
    openAt: ['https://barn.local:4878', 'https://192.168.1.5:4878'],
    fingerprint: 'AB:CD:EF',
  },
  devices: [
    { id: 'b', name: 'Phone of Kerem', joinedOn: '2026-11-20', seenOn: '2026-11-23' },
    { id: 'a', name: 'Barn tablet', joinedOn: '2026-10-01', seenOn: '2026-11-02' },
  ],
  code: null,
  ...change,
});
const show = (view: HouseholdView, answers: Answers = {}) =>
  renderPage(<HoldingPage part="devices" />, {
    at: '/holding/devices',
    route: '/holding/devices',
    answers: { 'GET /api/household': view, 'GET /api/holding': aHolding(), ...answers },
  });

it('says how it is opened where Yaylak answers this computer only', async () => {
  show(household({ door: null, devices: [] }));
  expect(await screen.findByText('npm start -- --home')).toBeVisible();
  expect(screen.queryByRole('button', { name: 'Show a code' })).toBeNull();
});

it('shows a code, where a device goes with it, and for how long', async () => {
  const { user } = show(household(), {
    'POST /api/household/code': household({ code: { code: 'ABCD2345', seconds: 541 } }),
  });
  await user.click(await screen.findByRole('button', { name: 'Show a code' }));
  expect(await screen.findByText('ABCD 2345')).toBeVisible();
  expect(screen.getByText('http://192.168.1.5:4879/join')).toBeVisible();
  expect(screen.getByText('or http://barn.local:4879/join')).toBeVisible();
  expect(screen.getByText('For one device, good for 10 minutes more.')).toBeVisible();
  expect(screen.getByText('AB CD EF')).toBeInTheDocument();
});

it('turns a device away when asked twice, and no other', async () => {
  const { user, asked } = show(household(), {
    'POST /api/household/turn-away': household({ devices: household().devices.slice(1) }),
  });
  const row = (await screen.findByText('Barn tablet')).closest('tr') as HTMLElement;
  expect(row).toHaveTextContent('1 Oct 20262 Nov 2026');
  await user.click(screen.getByRole('button', { name: 'Turn away Phone of Kerem' }));
  expect(asked.filter((a) => a.method === 'POST')).toHaveLength(0);
  await user.click(within(screen.getByRole('dialog')).getByRole('button', { name: 'Turn away' }));
  expect(asked.find((a) => a.method === 'POST')?.body).toEqual({ id: 'b' });
  expect(screen.queryByText('Phone of Kerem')).toBeNull();
  expect(screen.getByText('Barn tablet')).toBeVisible();
});

it('says why a device could not be turned away, and leaves it in the list', async () => {
  const { user } = show(household(), { 'POST /api/household/turn-away': no(507, 'The disk is full.') });
  await user.click(await screen.findByRole('button', { name: 'Turn away Barn tablet' }));
  await user.click(within(screen.getByRole('dialog')).getByRole('button', { name: 'Turn away' }));
  expect(await screen.findByRole('alert')).toHaveTextContent('The disk is full.');
});

it('shows a device itself only, and that others are let in elsewhere', async () => {
  show(household({ isHere: false, devices: household().devices.slice(1) }));
  expect(await screen.findByRole('heading', { name: 'Barn tablet' })).toBeVisible();
  expect(
    screen.getByText(/^Let in since 1 Oct 2026\. Others are let in, or turned away, on the computer/),
  ).toBeVisible();
  expect(screen.queryByRole('button', { name: /Turn away|Show a code/ })).toBeNull();
});
