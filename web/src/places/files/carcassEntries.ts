import { readCarcassRow, type CarcassRow } from '@yaylak/core';
import type { BadRow, ImportContext, RowEntries } from './importEntries';
import { resolver } from './resolver';
import { idOf, isBlank, lineOf } from './rowIds';

interface ReadLine {
  readonly line: number;
  readonly number: string;
  readonly row: CarcassRow;
}

const said = ({ animalId: _, ...facts }: CarcassRow): string => JSON.stringify(facts);

/**
 * Rows of a kill sheet as entries. A number means one that has left before one that is here. One that stands in two
 * lines that differ is held back in both: which of them is right, the sheet does not say.
 */
export function carcassEntries(
  rows: readonly (readonly string[])[],
  { identifiers, mapping, choices, writtenBy }: ImportContext,
): { readonly good: readonly RowEntries[]; readonly bad: readonly BadRow[] } {
  const resolve = resolver(identifiers.map((one) => ({ ...one, isPresent: !one.isPresent })));
  const byAnimal = new Map<string, ReadLine[]>();
  const bad: BadRow[] = [];
  rows.forEach((cells, i) => {
    if (isBlank(cells)) return;
    const line = lineOf(i);
    const answer = readCarcassRow(cells, mapping, choices, resolve);
    if (answer.kind === 'fault') {
      bad.push({ line, fault: answer.fault });
      return;
    }
    const { animalId } = answer.row;
    const number = cells[mapping.number ?? -1] ?? '';
    byAnimal.set(animalId, [...(byAnimal.get(animalId) ?? []), { line, number, row: answer.row }]);
  });
  const good: RowEntries[] = [];
  const writtenAt = new Date().toISOString();
  for (const lines of byAnimal.values()) {
    const differ = new Set(lines.map(({ row }) => said(row))).size > 1;
    const known = lines.map(({ line }) => String(line));
    for (const { line, number, row } of lines) {
      if (differ) {
        bad.push({ line, fault: { field: 'number', value: number, reason: 'stands-twice', known } });
        continue;
      }
      const id = idOf('carcass', row.animalId, said(row));
      good.push({ line, entries: [{ ...row, id, type: 'carcass', writtenAt, writtenBy, source: 'import' }] });
    }
  }
  return { good: good.sort(byLine), bad: bad.sort(byLine) };
}

const byLine = (a: { readonly line: number }, b: { readonly line: number }): number => a.line - b.line;
