import type { EntityManager } from '@mikro-orm/libsql';
import { ENTRY_TYPES, type Entry, type EntryType } from '@yaylak/contract';
import { ahead, breathe } from '../common/breathe';
import type { BesideReader } from '../database/besideReader';
import { ENTRY_TABLES } from './entryTables';

export interface KeptEntry {
  readonly seq: number;
  readonly entry: Entry;
  /** The strike that struck it out. */
  readonly struckBy: string | undefined;
}

export type EntryFilter =
  | { readonly animalId: string }
  | { readonly jobId: string }
  | { readonly ids: readonly string[] }
  | { readonly type: EntryType }
  | { readonly all: true };

function whereOf(filter: EntryFilter): { readonly sql: string; readonly values: string[] } {
  if ('animalId' in filter) return { sql: 'where e.animal_id = ?', values: [filter.animalId] };
  if ('jobId' in filter) return { sql: 'where e.job_id = ?', values: [filter.jobId] };
  if ('ids' in filter)
    return { sql: 'where e.id in (select value from json_each(?))', values: [JSON.stringify(filter.ids)] };
  return { sql: '', values: [] };
}

/** Told of an entry whose row cannot be read. */
type OnUnreadable = (entryId: string, type: EntryType) => void;

/**
 * Reads entries in the order they were kept, struck ones too.
 * @param page rows read in one go when all are read
 */
export async function readEntries(
  em: EntityManager,
  filter: EntryFilter,
  onUnreadable: OnUnreadable = () => undefined,
  page = PAGE,
): Promise<KeptEntry[]> {
  const kept: KeptEntry[] = [];
  const all: Ask = (sql, given) => em.getConnection().execute(sql, [...given], 'all', em.getTransactionContext());
  for (const type of await typesOf(em, filter))
    for await (const rows of pagesOf(all, type, { filter, shared: SHARED, onUnreadable, page })) kept.push(...rows);
  return kept.sort((a, b) => a.seq - b.seq);
}

/** Asks the book for rows of a select. */
type Ask = <T extends object>(sql: string, given: readonly (string | number)[]) => Promise<T[]>;

/** The types of which there is an entry, most of them rare. */
export async function typesThere(reader: BesideReader): Promise<readonly EntryType[]> {
  const asked = ENTRY_TYPES.map(
    (type) => `select '${type}' as type where exists (select 1 from ${ENTRY_TABLES[type].name})`,
  );
  const there = new Set((await reader.all<{ type: EntryType }>(asked.join(' union all '))).map((row) => row.type));
  return ENTRY_TYPES.filter((type) => there.has(type));
}

/**
 * All entries of a type in the order they were kept, struck ones too, as far as facts are made of them: `writtenAt` and
 * `source` are left in the file.
 */
export async function readAllOf(
  reader: BesideReader,
  type: EntryType,
  onUnreadable: OnUnreadable,
): Promise<KeptEntry[]> {
  const { writtenAt: _, source: __, ...shared } = SHARED;
  const kept: KeptEntry[] = [];
  const asked = { filter: { all: true }, shared, onUnreadable, page: PAGE } as const;
  for await (const rows of pagesOf(reader.all, type, asked)) kept.push(...rows);
  return kept.sort((a, b) => a.seq - b.seq);
}

/** Which tables have to be asked: mostly one or none, where there are three dozen. */
async function typesOf(em: EntityManager, filter: EntryFilter): Promise<readonly EntryType[]> {
  if ('type' in filter) return [filter.type];
  if ('all' in filter) return ENTRY_TYPES;
  const { sql, values } = whereOf(filter);
  const rows = await em
    .getConnection()
    .execute<{ type: string }[]>(
      `select distinct e.type from entry e ${sql}`,
      values,
      'all',
      em.getTransactionContext(),
    );
  const there = new Set(rows.map((r) => r.type));
  return ENTRY_TYPES.filter((type) => there.has(type));
}

/** Rows at most that are read in one go, before other requests are let on. */
const PAGE = 4_000;

type Cell = string | number | null;

/** What every row has, by the name it has in the entry on the wire. */
const SHARED = {
  id: 'e.id',
  seq: 'e.seq',
  struckBy: 'e.struck_by_id',
  animalId: 'e.animal_id',
  on: 'e.happened_on',
  writtenAt: 'e.written_at',
  writtenBy: 'e.written_by',
  source: 'e.source',
  jobId: 'e.job_id',
} as const;
/** What an arrival says of its animal stands in the animal's row. */
const OF_ANIMAL = {
  species: 'a.species',
  sex: 'a.sex',
  bornOn: 'a.born_on',
  damId: 'a.dam_id',
  donorId: 'a.donor_id',
  sireId: 'a.sire_id',
  birthType: 'a.birth_type',
  rearingType: 'a.rearing_type',
  strain: 'a.strain',
  boughtMinor: 'a.bought_minor',
  birthKnownTo: 'a.birth_known_to',
} as const;

/**
 * Rows of a type, page by page. A page comes as one text of JSON: handed over cell by cell, a hundred thousand rows
 * take twice as long, and entities for them eight times.
 */
async function* pagesOf(
  all: Ask,
  type: EntryType,
  {
    filter,
    shared,
    onUnreadable,
    page,
  }: {
    readonly filter: EntryFilter;
    readonly shared: Readonly<Record<string, string>>;
    readonly onUnreadable: OnUnreadable;
    readonly page: number;
  },
): AsyncGenerator<KeptEntry[]> {
  const { name: tableName, columns, read } = ENTRY_TABLES[type];
  const own = Object.fromEntries(Object.entries(columns).map(([name, column]) => [name, exact(`d."${column}"`)]));
  const cells = { ...shared, ...own, ...(type === 'arrival' ? OF_ANIMAL : {}) };
  const names = Object.keys(cells);
  const { sql, values } = whereOf(filter);
  const isAll = 'all' in filter;
  // A cross join keeps the order that is written: the planner would go through all entries for each page.
  const from = isAll
    ? `${tableName} d cross join entry e on e.id = d.entry_id`
    : `entry e join ${tableName} d on d.entry_id = e.id`;
  // Straight from the tables: a select within the select would copy every row once more.
  const select = `select json_group_array(json_array(${Object.values(cells).join(', ')})) as page
    from ${from} ${type === 'arrival' ? 'cross join animal a on a.id = e.animal_id' : ''}`;
  const ask = async (where: string, given: readonly (string | number)[]): Promise<string> => {
    const [found] = await all<{ readonly page: string }>(`${select} ${where}`, given);
    return found?.page ?? '[]';
  };
  const toAll = (rows: string): KeptEntry[] =>
    (JSON.parse(rows) as Cell[][]).flatMap((row) => {
      try {
        return [toKept(type, names, row, read)];
      } catch {
        // A list in a column that is no JSON any more: this entry is left out, the others stand.
        onUnreadable(String(row[0]), type);
        return [];
      }
    });
  if (!isAll) {
    yield toAll(await ask(sql, values));
    return;
  }
  const [end] = await all<{ readonly last: number | null }>(`select max(rowid) as last from ${tableName}`, []);
  const last = end?.last ?? 0;
  const pageFrom = (from: number): Promise<string> =>
    from < last ? ask('where d.rowid > ? and d.rowid <= ?', [from, from + page]) : Promise.resolve('[]');
  let coming = pageFrom(0);
  for (let from = 0; from < last; from += page) {
    const rows = await coming;
    coming = ahead(pageFrom(from + page));
    yield toAll(rows);
    await breathe();
  }
}

/** A number with a fraction is written with all its digits: SQLite's own JSON keeps fifteen of the seventeen. */
const exact = (cell: string): string =>
  `case typeof(${cell}) when 'real' then json(format('%!.17g', ${cell})) else ${cell} end`;

function toKept(
  type: EntryType,
  names: readonly string[],
  row: readonly Cell[],
  read: (typeof ENTRY_TABLES)[EntryType]['read'],
): KeptEntry {
  const entry: Record<string, unknown> = { id: row[0], type };
  names.forEach((name, i) => {
    const value = row[i];
    if (value === null || value === undefined || name === 'seq' || name === 'struckBy') return;
    const reader = read[name];
    const found = reader ? reader(value) : value;
    if (found !== null && found !== undefined) entry[name] = found;
  });
  return {
    seq: row[1] as number,
    entry: entry as unknown as Entry,
    struckBy: (row[2] as string | null) ?? undefined,
  };
}
