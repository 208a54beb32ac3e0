import type { Entry } from '@yaylak/contract';
import {
  readAnimalRow,
  readWeightRow,
  resolveIdentifier,
  normalised,
  type ColumnMapping,
  type ImportKind,
  type ReadingChoices,
  type Resolved,
  type RowFault,
  type Searchable,
} from '@yaylak/core';
import { v5 } from 'uuid';

const NAMESPACE = '2f1b1c9e-6a0b-4d55-9a39-1f60c9b1d7aa';

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

export interface ReadRows {
  readonly good: readonly RowEntries[];
  readonly bad: readonly BadRow[];
}

export interface ImportContext {
  readonly kind: ImportKind;
  readonly mapping: ColumnMapping;
  readonly choices: ReadingChoices;
  readonly identifiers: readonly Searchable[];
  readonly groups: readonly { readonly id: string; readonly name: string }[];
  readonly today: string;
  readonly writtenBy: string;
}

/**
 * Turns rows of a file into entries. Their ids follow from what the row says, so that the same file twice changes
 * nothing. Dams and sires may stand anywhere in the same file: rows are put behind their parents.
 */
export function readRows(rows: readonly (readonly string[])[], context: ImportContext): ReadRows {
  return context.kind === 'weights' ? readWeights(rows, context) : readAnimals(rows, context);
}

const idOf = (...parts: readonly (string | number | undefined)[]): string => v5(parts.join('|'), NAMESPACE);

/** The same facts as entries of their own, for a row whose first ones were struck out. */
export const anew = (row: RowEntries, time: number): RowEntries => ({
  ...row,
  entries: row.entries.map((e) => ({ ...e, id: idOf(e.id, 'anew', time) })),
});

/** A number is looked up once for each different text: a file of weights has few animals and many rows. */
function resolver(identifiers: readonly Searchable[]): (number: string) => Resolved {
  const byText = new Map<string, Searchable[]>();
  for (const one of identifiers) {
    const key = normalised(one.text);
    const list = byText.get(key);
    if (list) list.push(one);
    else byText.set(key, [one]);
  }
  return (number) => resolveIdentifier(byText.get(normalised(number)) ?? [], number);
}

const isBlank = (cells: readonly string[]): boolean => cells.every((c) => c.trim() === '');

function readWeights(rows: readonly (readonly string[])[], context: ImportContext): ReadRows {
  const resolve = resolver(context.identifiers);
  const good: RowEntries[] = [];
  const bad: BadRow[] = [];
  const writtenAt = new Date().toISOString();
  rows.forEach((cells, i) => {
    if (isBlank(cells)) return;
    const answer = readWeightRow(cells, context.mapping, context.choices, resolve);
    if (answer.kind === 'fault') {
      bad.push({ line: i + 2, fault: answer.fault });
      return;
    }
    const { animalId, on, kg, method } = answer.row;
    const id = idOf('weight', animalId, on, kg.toFixed(4), method);
    good.push({
      line: i + 2,
      entries: [
        { id, type: 'weight', animalId, on, kg, method, writtenAt, writtenBy: context.writtenBy, source: 'import' },
      ],
    });
  });
  return { good, bad };
}

interface PendingAnimal extends RowEntries {
  readonly animalId: string;
  readonly parents: readonly string[];
}

function readAnimals(rows: readonly (readonly string[])[], context: ImportContext): ReadRows {
  const resolve = resolver(context.identifiers);
  const groupByName = (name: string): string | undefined =>
    context.groups.find((g) => normalised(g.name) === normalised(name))?.id;
  const bad: BadRow[] = [];
  const read = rows.flatMap((cells, i) => {
    if (isBlank(cells)) return [];
    const answer = readAnimalRow(cells, context.mapping, context.choices, groupByName);
    if (answer.kind === 'fault') {
      bad.push({ line: i + 2, fault: answer.fault });
      return [];
    }
    const { species, number, colour } = answer.row;
    return [{ line: i + 2, row: answer.row, animalId: idOf('animal', species, normalised(number), colour) }];
  });
  const inFile = new Map(read.map((r) => [normalised(r.row.number), r.animalId]));
  const writtenAt = new Date().toISOString();
  const pending: PendingAnimal[] = [];
  for (const { line, row, animalId } of read) {
    const parents: { damId?: string; sireId?: string } = {};
    let fault: RowFault | undefined;
    for (const role of ['dam', 'sire'] as const) {
      const number = row[role];
      if (number === undefined) continue;
      const found = resolve(number);
      const id = inFile.get(normalised(number)) ?? (found.kind === 'one' ? found.animalId : undefined);
      if (id === undefined)
        fault ??= {
          field: role,
          value: number,
          reason: found.kind === 'several' ? 'several-animals' : 'unknown-animal',
        };
      else parents[`${role}Id`] = id;
    }
    if (fault) {
      bad.push({ line, fault });
      continue;
    }
    const on = row.bornOn ?? context.today;
    const stamp = { on, writtenAt, writtenBy: context.writtenBy, source: 'import' } as const;
    const worn = (kind: 'visual' | 'electronic' | 'name', text: string, more: object = {}): Entry =>
      ({
        id: idOf(kind, animalId, normalised(text)),
        type: 'identifier',
        animalId,
        kind,
        text,
        ...more,
        ...stamp,
      }) as Entry;
    const arrival = {
      id: idOf('arrival', animalId),
      type: 'arrival',
      animalId,
      how: parents.damId ? 'born' : 'bought',
      species: row.species,
      sex: row.sex,
      ...(row.bornOn === undefined ? {} : { bornOn: row.bornOn }),
      ...(row.birthKnownTo === undefined ? {} : { birthKnownTo: row.birthKnownTo }),
      ...parents,
      ...(row.birthType === undefined ? {} : { birthType: row.birthType }),
      ...(row.rearingType === undefined ? {} : { rearingType: row.rearingType }),
      ...stamp,
    } as Entry;
    pending.push({
      line,
      animalId,
      parents: Object.values(parents),
      entries: [
        arrival,
        worn('visual', row.number, row.colour ? { colour: row.colour } : {}),
        ...(row.electronic === undefined ? [] : [worn('electronic', row.electronic)]),
        ...(row.name === undefined ? [] : [worn('name', row.name)]),
        ...(row.groupId === undefined
          ? []
          : [
              {
                id: idOf('move', animalId, row.groupId),
                type: 'move',
                animalId,
                groupId: row.groupId,
                ...stamp,
              } as Entry,
            ]),
      ],
    });
  }
  return { good: parentsFirst(pending), bad };
}

/** Rows in an order in which every parent of the file stands before its young; a loop is left as it is, to be refused. */
function parentsFirst(rows: readonly PendingAnimal[]): RowEntries[] {
  const byId = new Map(rows.map((r) => [r.animalId, r]));
  const done = new Set<string>();
  const ordered: RowEntries[] = [];
  for (const start of rows) {
    const stack = [start];
    const onPath = new Set<string>();
    while (stack.length > 0) {
      const top = stack.at(-1) as PendingAnimal;
      const waiting = top.parents.flatMap((p) => (done.has(p) || onPath.has(p) ? [] : (byId.get(p) ?? [])));
      onPath.add(top.animalId);
      if (waiting.length > 0 && waiting[0]) stack.push(waiting[0]);
      else {
        stack.pop();
        if (!done.has(top.animalId)) ordered.push({ line: top.line, entries: top.entries });
        done.add(top.animalId);
      }
    }
  }
  return ordered;
}
