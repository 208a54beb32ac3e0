import type { SaleAheadView } from '@yaylak/contract';
import { screen, waitFor } from '@testing-library/react';
import { aTag } from '../../tests/builders';
import { renderPage } from '../../tests/renderPage';
import { SellingAhead } from './SellingAhead';

const ahead = (change: Partial<SaleAheadView> = {}): SaleAheadView => ({
  on: '2026-11-23',
  species: [
    {
      species: 'sheep',
      ready: 18,
      closing: 5,
      closesOn: '2026-12-15',
      outlets: [{ id: 'works', name: 'River works', goesOn: '2026-12-01', fits: 15 }],
    },
    { species: 'goat', ready: 0, closing: 0, closesOn: null, outlets: [] },
  ],
  loads: [{ id: 'load', on: '2026-11-26', species: 'sheep', outletName: 'Stone bridge', heads: 12, stopped: 1 }],
  reserved: [{ tag: aTag('26-0063'), species: 'sheep', buyer: 'Ms Hill', until: '2026-11-28' }],
  ...change,
});
const show = (view: SaleAheadView) => renderPage(<SellingAhead />, { answers: { 'GET /api/selling/ahead': view } });

it('says which load goes, who is ready, which outlet goes next, and whose reservation ends', async () => {
  show(ahead());
  expect(await screen.findByRole('link', { name: 'Goes 26 Nov: Stone bridge, 12 head, 1 may not go' })).toHaveAttribute(
    'href',
    '/selling/loads/load',
  );
  expect(
    screen.getByRole('link', { name: 'Sheep: 23 ready, 5 of them not for long, the first to 15 Dec' }),
  ).toBeVisible();
  expect(screen.getByText('River works goes 1 Dec: 15 fit.')).toBeVisible();
  expect(screen.getByText('kept for Ms Hill to 28 Nov')).toBeVisible();
  expect(screen.queryByText(/Goats/)).toBeNull();
});

it('says of a load whose day is over that it was to go', async () => {
  show(
    ahead({
      loads: [{ id: 'load', on: '2026-11-20', species: 'sheep', outletName: 'Stone bridge', heads: 1, stopped: 0 }],
    }),
  );
  expect(await screen.findByRole('link', { name: 'Was to go 20 Nov: Stone bridge, 1 head' })).toBeVisible();
});

it('is not there where nothing is to be sold', async () => {
  const { asked } = show(ahead({ species: [], loads: [], reserved: [] }));
  await waitFor(() => expect(asked.map((a) => a.path)).toContain('/api/selling/ahead'));
  expect(screen.queryByRole('heading', { name: 'Selling' })).toBeNull();
});
