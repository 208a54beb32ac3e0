import { readWeightRow } from '@yaylak/core';
import type { BadRow, ImportContext, RowEntries } from './importEntries';
import { resolver } from './resolver';
import { idOf, isBlank, lineOf } from './rowIds';

/** Rows of a file of weights as entries. */
export function weightEntries(
  rows: readonly (readonly string[])[],
  { identifiers, mapping, choices, writtenBy }: ImportContext,
): { readonly good: readonly RowEntries[]; readonly bad: readonly BadRow[] } {
  const resolve = resolver(identifiers);
  const good: RowEntries[] = [];
  const bad: BadRow[] = [];
  const writtenAt = new Date().toISOString();
  rows.forEach((cells, i) => {
    if (isBlank(cells)) return;
    const answer = readWeightRow(cells, mapping, choices, resolve);
    if (answer.kind === 'fault') {
      bad.push({ line: lineOf(i), fault: answer.fault });
      return;
    }
    const { animalId, on, kg, method } = answer.row;
    const id = idOf('weight', animalId, on, kg.toFixed(4), method);
    good.push({
      line: lineOf(i),
      entries: [{ id, type: 'weight', animalId, on, kg, method, writtenAt, writtenBy, source: 'import' }],
    });
  });
  return { good, bad };
}
