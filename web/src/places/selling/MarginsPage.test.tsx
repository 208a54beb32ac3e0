import { screen, within } from '@testing-library/react';
import type { MarginsView, YearMarginView } from '@yaylak/contract';
import { aHolding } from '../../tests/builders';
import { renderPage } from '../../tests/renderPage';
import { marginsCsv } from './marginsFile';
import { MarginsPage } from './MarginsPage';

const aYear = (year: number, leftMinor: number, change: Partial<YearMarginView> = {}): YearMarginView => ({
  year,
  heads: 12,
  parts: {
    priceMinor: leftMinor + 1_450,
    haulageMinor: 150,
    commissionMinor: 300,
    feedMinor: 1_000,
    remediesMinor: 0,
    purchaseMinor: 0,
  },
  leftMinor,
  noted: { feedMinor: 12, remediesMinor: 0, purchaseMinor: 3 },
  ...change,
});
const aView = (change: Partial<MarginsView> = {}): MarginsView => ({
  species: 'sheep',
  by: 'outlet',
  years: [2026, 2025],
  rows: [
    { key: 'm', name: '=Market', years: [aYear(2026, 8_700), aYear(2025, 7_300)] },
    { key: '', name: '', years: [aYear(2025, 6_000)] },
  ],
  all: [aYear(2026, 8_700), aYear(2025, 7_000)],
  unpaid: [{ year: 2026, heads: 2 }],
  ...change,
});
const show = async (view: MarginsView, at = '/selling/margins?species=sheep') => {
  const shown = renderPage(<MarginsPage />, {
    at,
    answers: { 'GET /api/selling/margins': view, 'GET /api/holding': aHolding() },
  });
  await screen.findByText('What was left per head?');
  return shown;
};
const cells = (row: HTMLElement): (string | null)[] =>
  within(row)
    .getAllByRole('cell')
    .map((c) => c.textContent);

it('shows what went off the price and what was left, beside the year before', async () => {
  await show(aView());
  const table = within(await screen.findByRole('region', { name: '2026 by outlet' }));
  // The head, the market, and all; who sold nothing in the year is not in its table.
  expect(table.getAllByRole('row')).toHaveLength(3);
  expect(cells(table.getByRole('row', { name: /Market/ }))).toEqual(
    ['12', '101.50', '−1.50', '−3.00', '−10.00', '–', '–', '87.00', '73.00'],
  ); // prettier-ignore
  expect(screen.getByText(/2026: 12 head sold, 87.00.EUR each after costs; in 2025 it was 70.00.EUR/)).toBeVisible();
  expect(screen.getByText(/2 more were sold without a price on record/)).toBeVisible();
  expect(screen.getByText(/feed of all, priced remedies of 0 of 12, a purchase price of 3 of 12/)).toBeVisible();
});

it('shows another year when it is asked for, and says so where nothing was paid', async () => {
  await show(aView(), '/selling/margins?species=sheep&year=2025');
  expect(await screen.findByRole('region', { name: '2025 by outlet' })).toHaveTextContent('no outlet named');
});

it('says what to do where nothing was paid yet', async () => {
  await show(aView({ years: [], rows: [], all: [], unpaid: [] }));
  expect(await screen.findByText('Nothing was paid for sheep yet')).toBeVisible();
});

it('is a file with a line for each row and year, its cells harmless', () => {
  const lines = marginsCsv(aView(), 'EUR').trim().split('\r\n');
  expect(lines[0]).toBe(
    'outlet,year,head,price EUR,haulage EUR,charges EUR,feed EUR,remedies EUR,bought for EUR,left EUR',
  );
  expect(lines[1]).toBe("'=Market,2026,12,101.50,1.50,3.00,10.00,0.00,0.00,87.00");
  expect(lines).toHaveLength(1 + 3 + 2);
});
