import type { Entry } from '@yaylak/contract';
import type {
  ColumnMapping,
  ImportKind,
  ReadingChoices,
  RowFault,
  Searchable,
  Sex,
  Species,
  TagColour,
} from '@yaylak/core';
import { animalEntries } from './animalEntries';
import { carcassEntries } from './carcassEntries';
import { idOf } from './rowIds';
import { weightEntries } from './weightEntries';

/** A row of a file as entries; all of them go in or none. */
export interface RowEntries {
  /** Line of the file, headings being line 1. */
  readonly line: number;
  readonly entries: readonly Entry[];
}

export interface BadRow {
  readonly line: number;
  readonly fault: RowFault;
}

export interface NewGroup {
  readonly id: string;
  readonly name: string;
  /** Where all of it are of one. */
  readonly species?: Species;
}

export interface ReadRows {
  readonly good: readonly RowEntries[];
  readonly bad: readonly BadRow[];
  /** Groups that animals stand in and the book does not have yet. */
  readonly newGroups: readonly NewGroup[];
  /** Numbers of dams and sires that are neither in the file nor in the book. */
  readonly knownParents: readonly string[];
}

/** An identifier of the book, as far as a row of a file needs it. */
export interface BookNumber extends Searchable {
  readonly colour: TagColour | null;
  readonly species: Species;
  readonly sex: Sex;
}

export interface ImportContext {
  readonly kind: ImportKind;
  readonly mapping: ColumnMapping;
  readonly choices: ReadingChoices;
  readonly identifiers: readonly BookNumber[];
  readonly groups: readonly { readonly id: string; readonly name: string }[];
  /** Whether a dam or sire that is nowhere else is kept as known by its number; else its young is left out. */
  readonly takesParents: boolean;
  readonly today: string;
  readonly writtenBy: string;
}

/**
 * Turns rows of a file into entries. Their ids follow from what the row says, so that the same file twice changes
 * nothing. Dams and sires may stand anywhere in the same file: rows are put behind their parents.
 */
export function readRows(rows: readonly (readonly string[])[], context: ImportContext): ReadRows {
  return READERS[context.kind](rows, context);
}

type Reader = (rows: readonly (readonly string[])[], context: ImportContext) => ReadRows;
const NO_MORE = { newGroups: [], knownParents: [] } as const;
const READERS: Readonly<Record<ImportKind, Reader>> = {
  weights: (rows, context) => ({ ...weightEntries(rows, context), ...NO_MORE }),
  carcasses: (rows, context) => ({ ...carcassEntries(rows, context), ...NO_MORE }),
  animals: animalEntries,
};

/** The same facts as entries of their own, for a row whose first ones were struck out. */
export const anew = (row: RowEntries, time: number): RowEntries => ({
  ...row,
  entries: row.entries.map((e) => ({ ...e, id: idOf(e.id, 'anew', time) })),
});
