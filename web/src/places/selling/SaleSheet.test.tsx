import type { SaleSheetRow } from '@yaylak/contract';
import { screen } from '@testing-library/react';
import { parse } from 'papaparse';
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
  damDam: null,
  damSire: '20-R01',
  sireDam: null,
  sireSire: null,
  photo: null,
  inbreeding: null,
  weight: { kg: 44, on: '2026-11-20' },
  genes: [{ gene: 'spider', result: 'free', on: '2026-06-01' }],
  treatments: [
    {
      on: '2026-11-20',
      product: 'White drench',
      amount: 8,
      unit: 'ml',
      batch: 'B-7',
      meatUntil: '2026-12-04',
      milkUntil: null,
    },
    {
      on: '2026-11-21',
      product: 'Lice dust',
      amount: 5,
      unit: 'g',
      batch: null,
      meatUntil: '2026-11-21',
      milkUntil: '2026-11-22',
    },
    { on: '2026-11-22', product: 'Old pot', amount: 1, unit: 'ml', batch: null, meatUntil: null, milkUntil: null },
  ],
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
  expect(text).toContain('Tagged: yellow 26-0031, electronic 900000000000031');
  expect(text).toContain('Meat withheld to the end of 4 Dec 2026, 11 more days (White drench)');
  expect(text).toContain('Gene tests: spider free, 1 Jun 2026');
  expect(screen.getByRole('row', { name: /White drench/ })).toHaveTextContent(/8 ml.*meat to 4 Dec 2026/);
  expect(screen.getByRole('row', { name: /Lice dust/ })).toHaveTextContent('meat not at allmilk to 22 Nov 2026');
  expect(screen.getByRole('row', { name: /Old pot/ })).toHaveTextContent('not recorded: see the label');
  expect(screen.getByRole('link', { name: 'Passports' })).toHaveAttribute('href', '/api/passports?ids=lamb');
});

it('shows a breeder with its pedigree, as far as it is known', async () => {
  const bred = {
    ...row,
    sire: '24-R05',
    sireSire: '21-R02',
    sireDam: '20-0011',
    inbreeding: 0.0156,
  };
  const { user } = renderPage(<SaleSheet />, {
    at: '/selling/sheet?ids=lamb',
    answers: { 'GET /api/selling/sheet': { ...view, rows: [bred, { ...row, id: 'other', dam: null }] } },
  });
  await user.click(await screen.findByRole('checkbox', { name: 'With pedigree' }));
  const text = plain(document.body.textContent);
  expect(text).toContain(
    'By 24-R05 (by 21-R02 out of 20-0011), out of 22-0004 (by 20-R01). Inbreeding 1.6 %, as far as the pedigree is known.',
  );
  expect(text).toContain('Its parents are not on record.');
  expect(text).not.toContain('dam 22-0004');
});

it('gives the same as CSV, with no cell a spreadsheet would run', () => {
  const [cells] = parse<Record<string, string>>(saleCsv(view), { header: true }).data;
  const of = (heading: string): string | undefined => cells?.[heading];
  expect([of('number'), of('electronic'), of('meat withheld to'), of('days left'), of('to')]).toEqual([
    '26-0031',
    '900000000000031',
    '2026-12-04',
    '11',
    'Hill market',
  ]);
  expect(of('sire of dam')).toBe('20-R01');
  expect(of('treatments')).toContain('2026-11-20 White drench 8 ml, meat to 2026-12-04; 2026-11-21 Lice dust');
  expect(of('breed')).toBe("'=Hill");
});
