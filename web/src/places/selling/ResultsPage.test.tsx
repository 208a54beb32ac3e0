import type { ResultsView, SoldHeadView } from '@yaylak/contract';
import { screen, waitFor, within } from '@testing-library/react';
import { aTag } from '../../tests/builders';
import { renderPage } from '../../tests/renderPage';
import { ResultsPage } from './ResultsPage';

const aHead = (text: string, change: Partial<SoldHeadView> = {}): SoldHeadView => ({
  tag: aTag(text),
  how: 'slaughtered',
  liveKg: 44,
  carcass: { entryId: text, on: '2026-11-10', kg: 19.8, shape: 11, fat: 8 },
  priceMinor: 12_276,
  difference: {
    expectedMinor: 11_800,
    paidMinor: 12_076,
    weightMinor: 20,
    killingOutMinor: -30,
    classMinor: 306,
    priceMinor: -20,
    chargesMinor: 0,
  },
  ...change,
});
const habit = (mean: number | null) => ({
  pairs: mean === null ? 0 : 5,
  mean,
  halfWidth: 0.3,
  used: (mean ?? 0) / 2,
  sd: 2,
});
const aView = (change: Partial<ResultsView> = {}): ResultsView => ({
  species: 'sheep',
  years: [2026, 2025],
  year: 2026,
  outlets: [
    { id: 'bridge', name: 'Stone bridge' },
    { id: 'works', name: 'River works' },
  ],
  loads: [
    {
      outletId: 'bridge',
      buyer: 'Stone bridge',
      on: '2026-11-10',
      heads: [aHead('26-0031'), aHead('26-0032', { carcass: null, priceMinor: null, difference: null })],
      waiting: 1,
      expectedMinor: 11_800,
      paidMinor: 12_076,
      compared: 1,
    },
  ],
  killingOut: { share: 0.468, heads: 5, kind: 'lamb', usual: 0.46 },
  graders: [{ outletId: 'bridge', breedGroup: null, shape: habit(3), fat: habit(null) }],
  compared: [{ first: 'bridge', second: 'works', shape: { difference: 1.2, halfWidth: 0.4 }, fat: null }],
  ...change,
});
const show = async (view = aView()) => {
  const shown = renderPage(<ResultsPage />, {
    at: '/selling/results?species=sheep',
    answers: { 'GET /api/selling/results': view },
  });
  await screen.findByRole('heading', { name: view.loads.length > 0 ? 'Stone bridge' : /were sold yet/ });
  return shown;
};
const text = (element: HTMLElement): string => (element.textContent ?? '').replace(/\s+/g, ' ');

it('says what a year brought against what was expected, and of whom nothing came back', async () => {
  await show();
  expect(text(document.body)).toContain(
    '2026: 2 head were sold. 1 of them brought 120.76 EUR in the hand, 2.76 EUR more than expected. Nothing came back of 1 yet.',
  );
});

it('parts the difference of a load, and tells head by head what made most of it', async () => {
  await show();
  const row = screen.getByRole('row', { name: /26-0031/ });
  expect(text(row)).toContain('44.0 kg19.8 kgU 3118.00 EUR120.76 EUR+2.76class');
  const parts = screen.getAllByRole('term').map((t) => `${text(t)} ${text(t.nextElementSibling as HTMLElement)}`);
  expect(parts).toEqual([
    'weight +0.20 EUR',
    'killing-out −0.30 EUR',
    'class +3.06 EUR',
    'price −0.20 EUR',
    'what was taken off 0.00 EUR',
  ]);
});

it('tells what was learned of killing-out and of the graders', async () => {
  await show();
  expect(text(document.body)).toContain('Shape: 3.0 thirds better shaped (2.7 to 3.3), 5 head. Reckoned with: 1.5');
  expect(text(document.body)).toContain('Stone bridge against River works: shape, 1.2 thirds better shaped ± 0.4.');
});

it('takes a result by hand, in thirds and hundredths, and refuses what is not a class', async () => {
  const { user, entries } = await show();
  await user.click(screen.getByRole('button', { name: 'Type the result of 26-0032' }));
  const sheet = within(screen.getByRole('dialog'));
  const type = async (label: string, typed: string): Promise<void> => {
    await user.clear(sheet.getByLabelText(label));
    await user.type(sheet.getByLabelText(label), typed);
  };
  await type('Carcass, kg', '20,4');
  await type('Shape', 'S');
  await type('Paid, EUR', '112.60');
  await user.click(sheet.getByRole('button', { name: 'Save' }));
  expect(await sheet.findByText('P, O, R, U or E, with + or − where you can tell.')).toBeVisible();
  await type('Shape', 'R+');
  await user.click(sheet.getByRole('button', { name: 'Save' }));
  await waitFor(() => expect(entries()).toHaveLength(1));
  const [entry] = entries();
  expect(entry).toMatchObject({ type: 'carcass', on: '2026-11-10', carcassKg: 20.4, shape: 9, priceMinor: 11_260 });
  expect(entry).not.toHaveProperty('fat');
});

it('says where results come from before there are any', async () => {
  await show(aView({ loads: [], years: [], year: null }));
  expect(screen.getByText(/Once a load has left for an outlet/)).toBeVisible();
});
