import type { SaleSheetRow, SaleSheetView } from '@yaylak/contract';
import { neutralCell } from '@yaylak/core';
import { unparse } from 'papaparse';
import { saveFile } from '../../words/saveFile';
import { daysLeft, lastWithheld } from '../../words/withheld';
import { say } from '@yaylak/contract';

type Cell = string | number | null | undefined;
const worn = (row: SaleSheetRow, kind: string): Cell =>
  row.worn
    .filter((w) => w.kind === kind)
    .map((w) => w.text)
    .join(' ');
const held = (row: SaleSheetRow, of: 'meat' | 'milk'): string | undefined =>
  lastWithheld(row.withheld.filter((w) => w.of === of));

const treatmentText = ({
  on,
  product,
  amount,
  unit,
  meatUntil,
  milkUntil,
}: SaleSheetRow['treatments'][number]): string =>
  [
    `${on} ${product} ${amount} ${unit}`,
    ...(meatUntil === null ? [] : [say('meat to {meatUntil}', { meatUntil })]),
    ...(milkUntil === null ? [] : [say('milk to {milkUntil}', { milkUntil })]),
  ].join(', ');

const COLUMNS: readonly (readonly [heading: string, cell: (row: SaleSheetRow, today: string) => Cell])[] = [
  ['number', (r) => r.number],
  ['electronic', (r) => worn(r, 'electronic')],
  ['tattoo', (r) => worn(r, 'tattoo')],
  ['species', (r) => r.species],
  ['sex', (r) => r.sex],
  ['breed', (r) => r.strain],
  ['born', (r) => r.bornOn],
  [say('born as'), (r) => r.birthType],
  ['dam', (r) => r.dam],
  ['sire', (r) => r.sire],
  [say('dam of dam'), (r) => r.damDam],
  [say('sire of dam'), (r) => r.damSire],
  [say('dam of sire'), (r) => r.sireDam],
  [say('sire of sire'), (r) => r.sireSire],
  ['inbreeding %', (r) => (r.inbreeding === null ? null : Math.round(r.inbreeding * 10_000) / 100)],
  [say('last weight kg'), (r) => r.weight?.kg],
  [say('weighed on'), (r) => r.weight?.on],
  [say('gene tests'), (r) => r.genes.map((g) => `${g.gene}: ${g.result}`).join('; ')],
  ['treatments', (r) => r.treatments.map(treatmentText).join('; ')],
  [say('meat withheld to'), (r) => held(r, 'meat')],
  [say('milk withheld to'), (r) => held(r, 'milk')],
  [
    say('days left'),
    (r, today) => {
      const until = lastWithheld(r.withheld);
      return until === undefined ? null : daysLeft(until, r.left?.on ?? today);
    },
  ],
  [say('left on'), (r) => r.left?.on],
  ['to', (r) => r.left?.buyer],
];

/** The sheet's rows as CSV. */
export const saleCsv = ({ rows, on }: SaleSheetView): string => {
  const data = rows.map((row) => COLUMNS.map(([, cell]) => neutralCell(String(cell(row, on) ?? ''))));
  return `${unparse({ fields: COLUMNS.map(([h]) => h), data }, { newline: '\r\n' })}\r\n`;
};

export const saleFile = (view: SaleSheetView): void => saveFile(`sale-sheet-${view.on}.csv`, 'text/csv', saleCsv(view));
