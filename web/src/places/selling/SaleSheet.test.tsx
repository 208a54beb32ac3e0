import type { SaleSheetRow } from '@yaylak/contract';
import { screen } from '@testing-library/react';
import { renderPage } from '../../tests/renderPage';
import { saleCsv } from './saleFile';
import { SaleSheet } from './SaleSheet';

const row: SaleSheetRow = {
  id: 'lamb',
  species: 'sheep',
  sex: 'male',
  number: '26-0031',
  bornOn: '2026-04-10',
  birthKnownTo: null,
  strain: '=Hill',
  birthType: 2,
  worn: [
    { kind: 'visual', text: '26-0031', colour: 'yellow' },
    { kind: 'electronic', text: '900000000000031', colour: null },
  ],
  dam: '22-0004',
  sire: null,
  weight: { kg: 44, on: '2026-11-20' },
  genes: [{ gene: 'spider', result: 'free', on: '2026-06-01' }],
  treatments: [{ on: '2026-11-20', product: 'White drench', amount: 8, unit: 'ml', batch: 'B-7' }],
  withheld: [{ of: 'meat', from: '2026-11-20', until: '2026-12-04', clearFrom: '2026-12-05', product: 'White drench' }],
  left: { on: '2026-11-23', buyer: 'Hill market' },
};
const view = { on: '2026-11-23', rows: [row] };
const plain = (text: string | null): string => (text ?? '').replace(/\s+/g, ' ');

it('tells the buyer what each is, what it wears, what it was given and what is withheld', async () => {
  renderPage(<SaleSheet />, { at: '/selling/sheet?ids=lamb', answers: { 'GET /api/selling/sheet': view } });
  expect(await screen.findByRole('heading', { name: 'Sale sheet for Hill market' })).toBeVisible();
  const text = plain(document.body.textContent);
  expect(text).toContain('ram lamb; born 10 Apr 2026; twin; =Hill; dam 22-0004; 44.0 kg on 20 Nov 2026');
  expect(text).toContain('Wears: yellow 26-0031, electronic 900000000000031');
  expect(text).toContain('Meat withheld to the end of 4 Dec 2026, 11 more days (White drench)');
  expect(text).toContain('Gene tests: spider free, 1 Jun 2026');
  expect(screen.getByRole('row', { name: /White drench/ })).toHaveTextContent('8 ml');
  expect(screen.getByRole('link', { name: 'Passports' })).toHaveAttribute('href', '/api/passports?ids=lamb');
});

it('gives the same as CSV, with no cell a spreadsheet would run', () => {
  const [headings, cells] = saleCsv(view).split('\r\n');
  const of = (heading: string): string | undefined => cells?.split(',')[headings?.split(',').indexOf(heading) ?? -1];
  expect([of('number'), of('electronic'), of('meat withheld to'), of('days left'), of('to')]).toEqual([
    '26-0031',
    '900000000000031',
    '2026-12-04',
    '11',
    'Hill market',
  ]);
  expect(of('breed')).toBe("'=Hill");
});
