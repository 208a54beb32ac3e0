import type { MarginsView } from '@yaylak/contract';
import { neutralCell } from '@yaylak/core';
import { unparse } from 'papaparse';
import { BY_WORDS, marginRowName, OFF, OFF_WORDS } from '../../words/margins';
import { saveFile } from '../../words/saveFile';
import { say } from '@yaylak/contract';

const money = (minor: number): string => (minor / 100).toFixed(2);

/** Every row and year of a view as CSV; money per head in the holding's currency, which the headings name. */
export function marginsCsv({ by, rows, all }: MarginsView, currency: string): string {
  const fields = [
    BY_WORDS[by],
    'year',
    'head',
    say('price {currency}', { currency }),
    ...OFF.map((of) => `${OFF_WORDS[of].toLowerCase()} ${currency}`),
    say('left {currency}', { currency }),
  ];
  const of = (name: string, years: MarginsView['all']): string[][] =>
    years.map(({ year, heads, parts, leftMinor }) => [
      neutralCell(name),
      String(year),
      String(heads),
      money(parts.priceMinor),
      ...OFF.map((part) => money(parts[part])),
      money(leftMinor),
    ]);
  const data = [...rows.flatMap((row) => of(marginRowName(row, by), row.years)), ...of('all', all)];
  return `${unparse({ fields, data }, { newline: '\r\n' })}\r\n`;
}

export const marginsFile = (view: MarginsView, currency: string): void =>
  saveFile(`left-per-head-${view.species}-by-${view.by}.csv`, 'text/csv', marginsCsv(view, currency));
