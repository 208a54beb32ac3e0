import { screen } from '@testing-library/react';
import { writeDatesAs, type RegisterView } from '@yaylak/contract';
import { aHolding, aTag } from '../../tests/builders';
import { renderPage } from '../../tests/renderPage';
import { RegisterPage } from './RegisterPage';

const register: RegisterView = {
  total: 1,
  rows: [
    {
      entryId: 'one',
      on: '2026-11-18',
      tag: aTag('24-0001'),
      numbers: ['24-0001'],
      species: 'goat',
      product: 'Grey injection',
      batch: 'GI-77',
      amount: 5.2,
      unit: 'ml',
      route: 'muscle',
      doseKg: 52,
      doseMethod: 'tape',
      reason: 'hard quarter',
      prescribedBy: null,
      by: 'Kerem',
      isOffLabel: false,
      meatUntil: '2026-12-26',
      milkUntil: null,
    },
  ],
};

afterEach(() => writeDatesAs('day-month'));

it.each([
  ['day-month', '18 Nov 2026', 'meat 26 Dec 2026', '1 treatment from 23 Nov 2025'],
  ['month-day', 'Nov 18, 2026', 'meat Dec 26, 2026', '1 treatment from Nov 23, 2025'],
  ['year-month', '2026 Nov 18', 'meat 2026 Dec 26', '1 treatment from 2025 Nov 23'],
] as const)('writes every day in the holding’s order: %s', async (dateOrder, given, meat, lead) => {
  renderPage(<RegisterPage />, {
    answers: { 'GET /api/holding': aHolding({ dateOrder }), 'GET /api/remedies/register': register },
  });
  expect(await screen.findByText(given)).toBeVisible();
  expect(screen.getByText(meat)).toBeVisible();
  expect(screen.getByText(lead)).toBeVisible();
  expect(screen.getByText('for 52.0 kg by tape')).toBeVisible();
});
