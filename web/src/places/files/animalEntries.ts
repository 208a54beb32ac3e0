import type { Entry } from '@yaylak/contract';
import { normalised, readAnimalRow, type AnimalRow, type RowFault, type Species } from '@yaylak/core';
import { parentFinder, type Role } from './findParent';
import type { BadRow, ImportContext, NewGroup, ReadRows } from './importEntries';
import { parentsFirst, type PendingRow } from './parentsFirst';
import { idOf, isBlank, lineOf } from './rowIds';

/** An animal of the file. */
export interface FileAnimal {
  readonly line: number;
  readonly animalId: string;
  readonly row: AnimalRow;
}

/** What every entry of a row says of its writing. */
type Stamp = Pick<Entry, 'writtenAt' | 'writtenBy' | 'source'>;

/** Rows of a file of animals as entries, each behind its parents. */
export function animalEntries(rows: readonly (readonly string[])[], context: ImportContext): ReadRows {
  const { read, bad } = readAll(rows, context);
  const stamp: Stamp = { writtenAt: new Date().toISOString(), writtenBy: context.writtenBy, source: 'import' };
  const groups = groupsOf(read, context);
  const find = parentFinder(read, context.identifiers);
  const known = new Set<string>();
  const earliest = earliestYoung(read, context.today);
  const pending = read.flatMap(({ line, row, animalId }): PendingRow[] => {
    const parents: { damId?: string; sireId?: string } = {};
    const ofParents: Entry[] = [];
    for (const role of ['dam', 'sire'] as const) {
      const number = row[role];
      if (number === undefined) continue;
      const found = find(number, role, row);
      if (found.kind === 'several' || (found.kind === 'none' && !context.takesParents)) {
        const reason: RowFault['reason'] = found.kind === 'several' ? 'several-animals' : 'unknown-animal';
        bad.push({ line, fault: { field: role, value: number, reason } });
        return [];
      }
      if (found.kind === 'none') {
        known.add(number);
        const on = earliest.get(parentKey(row.species, role, number)) ?? context.today;
        ofParents.push(...knownParent({ species: row.species, role, number, on, stamp }));
      }
      parents[`${role}Id`] = found.kind === 'one' ? found.animalId : knownId(row.species, role, number);
    }
    const own = entriesOf({ row, animalId, parents, groupId: groups.idOf(row.group), today: context.today, stamp });
    return [{ line, animalId, parents: Object.values(parents), entries: [...ofParents, ...own] }];
  });
  bad.sort((a, b) => a.line - b.line);
  return { good: parentsFirst(pending), bad, newGroups: groups.fresh, knownParents: [...known] };
}

function readAll(rows: readonly (readonly string[])[], { mapping, choices }: ImportContext) {
  const bad: BadRow[] = [];
  const named = animalIds();
  const read = rows.flatMap((cells, i): FileAnimal[] => {
    if (isBlank(cells)) return [];
    const answer = readAnimalRow(cells, mapping, choices);
    if (answer.kind === 'row') return [{ line: lineOf(i), row: answer.row, animalId: named(answer.row) }];
    bad.push({ line: lineOf(i), fault: answer.fault });
    return [];
  });
  return { read, bad };
}

/**
 * Gives each row the id of its animal: by its number, else by what else it is called. The same row again is the same
 * animal; another one that wore the number, or a littermate without any, is one of its own.
 */
function animalIds(): (row: AnimalRow) => string {
  const seen = new Map<string, string>();
  const littermates = new Map<string, number>();
  return (row) => {
    const { species, number, colour, tattoo, electronic, name, sex, bornOn, dam, sire } = row;
    const other = tattoo ?? electronic ?? name;
    if (number === undefined && other === undefined) {
      const key = idOf('animal', species, 'no number', dam, sire, bornOn, sex, row.birthType, row.breed, row.group);
      const nth = (littermates.get(key) ?? 0) + 1;
      littermates.set(key, nth);
      return idOf(key, nth);
    }
    const id = idOf('animal', species, normalised(number ?? other ?? ''), number === undefined ? 'named' : colour);
    const who = [sex, bornOn, dam].join('|');
    const before = seen.get(id);
    if (before !== undefined && before !== who) return idOf(id, who);
    seen.set(id, who);
    return id;
  };
}

/** Groups by the name a row gives; the ones that are not there yet get an id that follows from the name. */
function groupsOf(read: readonly FileAnimal[], { groups }: ImportContext) {
  const there = new Map(groups.map((g) => [normalised(g.name), g.id]));
  const fresh = new Map<string, { id: string; name: string; species: Set<Species> }>();
  for (const { row } of read) {
    const key = row.group === undefined ? '' : normalised(row.group);
    if (row.group === undefined || there.has(key)) continue;
    const group = fresh.get(key) ?? { id: idOf('group', key), name: row.group, species: new Set<Species>() };
    fresh.set(key, group);
    group.species.add(row.species);
  }
  return {
    fresh: [...fresh.values()].map(({ species: [only, ...more], ...group }): NewGroup => ({
      ...group,
      ...(only && more.length === 0 ? { species: only } : {}),
    })),
    idOf: (name: string | undefined): string | undefined =>
      name === undefined ? undefined : (there.get(normalised(name)) ?? fresh.get(normalised(name))?.id),
  };
}

const parentKey = (species: Species, role: Role, number: string): string => `${species} ${role} ${normalised(number)}`;
const knownId = (species: Species, role: Role, number: string): string =>
  idOf('known parent', parentKey(species, role, number));

/** The earliest day a parent is spoken of: the birth of its first young in the file. */
function earliestYoung(read: readonly FileAnimal[], today: string): ReadonlyMap<string, string> {
  const earliest = new Map<string, string>();
  for (const { row } of read)
    for (const role of ['dam', 'sire'] as const) {
      const number = row[role];
      if (number === undefined) continue;
      const key = parentKey(row.species, role, number);
      const on = row.bornOn ?? today;
      if (on < (earliest.get(key) ?? '9')) earliest.set(key, on);
    }
  return earliest;
}

/** A dam or sire of whom nothing is known but its number: in the book as a parent, and not among those that are here. */
function knownParent(of: {
  readonly species: Species;
  readonly role: Role;
  readonly number: string;
  readonly on: string;
  readonly stamp: Stamp;
}): Entry[] {
  const { species, role, number, on, stamp } = of;
  const animalId = knownId(species, role, number);
  const shared = { animalId, on, ...stamp };
  return [
    { id: idOf('arrival', animalId), type: 'arrival', how: 'named', species, sex: SEX_OF[role], ...shared },
    { id: idOf('visual', animalId), type: 'identifier', kind: 'visual', text: number, ...shared },
    { id: idOf('departure', animalId), type: 'departure', how: 'elsewhere', ...shared },
  ];
}
const SEX_OF = { dam: 'female', sire: 'male' } as const;

function entriesOf(of: {
  readonly row: AnimalRow;
  readonly animalId: string;
  readonly parents: { readonly damId?: string; readonly sireId?: string };
  readonly groupId: string | undefined;
  readonly today: string;
  readonly stamp: Stamp;
}): Entry[] {
  const { row, animalId, parents, groupId, today, stamp } = of;
  const on = row.arrivedOn ?? row.bornOn ?? row.left?.on ?? today;
  const shared = { animalId, on, ...stamp };
  const worn = (kind: 'visual' | 'tattoo' | 'electronic' | 'name', text: string | undefined): Entry[] =>
    text === undefined
      ? []
      : [
          {
            id: idOf(kind, animalId, normalised(text)),
            type: 'identifier',
            kind,
            text,
            ...(kind === 'visual' && row.colour ? { colour: row.colour } : {}),
            ...shared,
          },
        ];
  return [
    {
      id: idOf('arrival', animalId),
      type: 'arrival',
      how: row.arrivedBy ?? (parents.damId ? 'born' : 'bought'),
      species: row.species,
      sex: row.sex,
      ...(row.bornOn === undefined ? {} : { bornOn: row.bornOn }),
      ...(row.birthKnownTo === undefined ? {} : { birthKnownTo: row.birthKnownTo }),
      ...parents,
      ...(row.birthType === undefined ? {} : { birthType: row.birthType }),
      ...(row.rearingType === undefined ? {} : { rearingType: row.rearingType }),
      ...(row.breed === undefined ? {} : { strain: row.breed }),
      ...(row.boughtMinor === undefined ? {} : { boughtMinor: row.boughtMinor }),
      ...shared,
    },
    ...worn('visual', row.number),
    ...worn('tattoo', row.tattoo),
    ...worn('electronic', row.electronic),
    ...worn('name', row.name),
    ...(groupId === undefined
      ? []
      : [{ id: idOf('move', animalId, groupId), type: 'move' as const, groupId, ...shared }]),
    ...row.notes.map((note): Entry => ({
      id: idOf('note', animalId, note.on, note.text),
      type: 'note',
      text: note.text,
      ...shared,
      on: note.on ?? row.left?.on ?? today,
    })),
    ...(row.left === undefined
      ? []
      : [{ id: idOf('departure', animalId), type: 'departure' as const, ...shared, ...row.left }]),
  ];
}
