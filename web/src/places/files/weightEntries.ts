import { normalised, readWeightRow, resolveIdentifier, type Resolved, type TagColour } from '@yaylak/core';
import type { BadRow, BookNumber, ImportContext, RowEntries } from './importEntries';
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

/** A number is looked up once for each different text: a file of weights has few animals and many rows. */
function resolver(identifiers: readonly BookNumber[]): (number: string, colour?: TagColour) => Resolved {
  const byText = new Map<string, BookNumber[]>();
  for (const one of identifiers) {
    const key = normalised(one.text);
    const list = byText.get(key);
    if (list) list.push(one);
    else byText.set(key, [one]);
  }
  return (number, colour) => {
    const all = byText.get(normalised(number)) ?? [];
    const coloured = colour === undefined ? [] : all.filter((one) => one.colour === colour);
    return resolveIdentifier(coloured.length > 0 ? coloured : all, number);
  };
}
