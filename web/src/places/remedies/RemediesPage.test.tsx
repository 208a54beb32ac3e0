import { screen, waitFor, within } from '@testing-library/react';
import type { RegisterView, RemediesView } from '@yaylak/contract';
import { aHolding, aProduct, aTag, TODAY } from '../../tests/builders';
import { renderPage, type Answers } from '../../tests/renderPage';
import { RegisterPage } from './RegisterPage';
import { RemediesPage } from './RemediesPage';
import { choose } from '../../tests/choose';

const VIEW: RemediesView = {
  products: [
    aProduct(
      'White drench',
      {},
      {
        batches: [
          { batch: 'K0', expiresOn: '2026-11-01', amount: 500, left: 120, state: 'expired' },
          { batch: 'K1', expiresOn: '2026-12-10', amount: 500, left: 80, state: 'expires-soon' },
        ],
        left: 80,
        isLow: true,
      },
    ),
  ],
  withheld: [
    {
      tag: aTag('26-0001', { withheld: { meat: '2026-12-04' } }),
      species: 'sheep',
      groupName: 'Ram lambs',
      of: 'meat',
      from: '2026-11-20',
      until: '2026-12-04',
      clearFrom: '2026-12-05',
      product: 'White drench',
    },
  ],
  due: [
    {
      key: 'due',
      productId: 'id of White drench',
      product: 'Stone bolus',
      nth: null,
      groupName: 'Upland flock',
      animalIds: ['a', 'b'],
      tags: [aTag('22-0001')],
      done: 3,
      window: { opens: '2026-10-25', bestFrom: '2026-11-01', bestTo: '2026-11-16', closes: '2026-11-30' },
      isOpen: true,
    },
  ],
  present: 40,
};
const show = (answers: Answers = {}) =>
  renderPage(<RemediesPage />, {
    at: '/remedies',
    route: '/remedies',
    answers: { 'GET /api/remedies': VIEW, 'GET /api/holding': aHolding(), 'GET /api/groups': [], ...answers },
  });

it('says first what is withheld and to when, and what is due', async () => {
  show();
  expect(await screen.findByText('1 animal of 40 withheld, 1 round to be given now')).toBeVisible();
  const held = within(screen.getByRole('list', { name: 'Withheld' }));
  expect(held.getByText('Meat clear from Saturday 5 December')).toBeVisible();
  expect(held.getByRole('img', { name: /held from 20 Nov to the end of 4 Dec, 12 days to go/ })).toBeVisible();
  expect(held.getByRole('link', { name: /tag 26-0001, meat withheld to 4 Dec/ })).toBeVisible();
  expect(screen.getByText('2 animals, 3 done')).toBeVisible();
});

it('warns of what is over, soon over and running low', async () => {
  show();
  const shelf = within(await screen.findByRole('list', { name: 'Products' }));
  expect(shelf.getByText('80 ml left, running low')).toBeVisible();
  expect(shelf.getByText('K0 expired on 1 Nov 2026; 120 ml to hand in')).toBeVisible();
  expect(shelf.getByText('K1 expires on 10 Dec 2026')).toBeVisible();
});

it('takes a label in, and says what is missing in it', async () => {
  const { user, asked } = show({ 'POST /api/remedies/products': {} });
  await user.click(await screen.findByRole('button', { name: 'Add a product' }));
  await user.click(screen.getByRole('button', { name: 'Save the label' }));
  expect(await screen.findByText('Name: type what stands on the bottle.')).toBeVisible();
  await user.type(screen.getByLabelText('Name'), 'Blue drops');
  await choose(user, screen.getByLabelText('Dose by, goats'), 'kg');
  await user.type(screen.getByLabelText('Dose, goats'), '0,4');
  await user.type(screen.getByLabelText('Meat days, goats'), '14');
  await user.click(screen.getByRole('button', { name: 'Save the label' }));
  await waitFor(() => expect(asked.some((a) => a.path === '/api/remedies/products')).toBe(true));
  expect(asked.find((a) => a.path === '/api/remedies/products')?.body).toMatchObject({
    name: 'Blue drops',
    doses: [{ species: 'goat', by: 'kg', perKg: 0.4 }],
    withdrawals: [{ species: 'goat', route: 'mouth', meatDays: 14 }],
  });
});

it('asks about a dose no animal is given before the label is saved, and takes its least age and weight', async () => {
  const { user, asked } = show();
  const posted = () => asked.filter((a) => a.path === '/api/remedies/products');
  await user.click(await screen.findByRole('button', { name: 'Add a product' }));
  await user.type(screen.getByLabelText('Name'), 'Blue drops');
  await choose(user, screen.getByLabelText('Dose by, sheep'), 'kg');
  await user.type(screen.getByLabelText('Dose, sheep'), '99999');
  await user.type(screen.getByLabelText('Least age, days, sheep'), '30');
  await user.type(screen.getByLabelText('Least weight, kg, sheep'), '12,5');
  await user.click(screen.getByRole('button', { name: 'Save the label' }));
  expect(await screen.findByText(/Dose, sheep: 6499935 ml for one of 65\.0\skg is far more than usual/)).toBeVisible();
  expect(posted()).toEqual([]);
  await user.clear(screen.getByLabelText('Dose, sheep'));
  await user.type(screen.getByLabelText('Dose, sheep'), '0.2');
  await user.click(screen.getByRole('button', { name: 'Save the label' }));
  await waitFor(() => expect(posted()).toHaveLength(1));
  expect(posted()[0]?.body).toMatchObject({
    doses: [{ species: 'sheep', by: 'kg', perKg: 0.2, fromDays: 30, fromKg: 12.5 }],
  });
});

it('the register shows who got what, and to when it is withheld', async () => {
  const view: RegisterView = {
    total: 1,
    rows: [
      {
        entryId: 'e',
        on: TODAY,
        tag: aTag('26-0001'),
        numbers: ['26-0001', '792000000126031'],
        species: 'sheep',
        product: 'White drench',
        batch: 'K1',
        amount: 8.5,
        unit: 'ml',
        route: 'mouth',
        doseKg: 41,
        doseMethod: 'scale',
        reason: 'worms',
        prescribedBy: null,
        by: 'Aylin',
        isOffLabel: false,
        meatUntil: '2026-12-07',
        milkUntil: null,
      },
    ],
  };
  renderPage(<RegisterPage />, {
    at: '/remedies/register',
    route: '/remedies/register',
    answers: {
      'GET /api/remedies': VIEW,
      'GET /api/holding': aHolding(),
      'GET /api/remedies/register': view,
    },
  });
  expect(await screen.findByText('1 treatment from 23 Nov 2025')).toBeVisible();
  expect(
    screen.getByRole('row', {
      name: /26-0001.*792000000126031.*White drench.*K1.*8.5 ml by mouth.*41.0.kg.*worms.*Aylin.*meat 7 Dec 2026/,
    }),
  ).toBeVisible();
  expect(screen.getByRole('link', { name: 'As a file (CSV)' })).toHaveAttribute(
    'href',
    '/api/remedies/register.csv?from=2025-11-23',
  );
});
