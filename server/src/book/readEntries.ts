import type { EntityManager } from '@mikro-orm/libsql';
import { ENTRY_TYPES, type Entry, type EntryType } from '@yaylak/contract';
import { breathe } from '../common/breathe';
import { ENTRY_TABLES } from './entryTables';

export interface KeptEntry {
  readonly seq: number;
  readonly entry: Entry;
  /** The strike that struck it out. */
  readonly struckBy: string | undefined;
}

type Row = Record<string, string | number | null>;

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

/**
 * Reads entries in the order they were kept, struck ones too: plain selects, one a type, since entities for a hundred
 * thousand rows take eight times as long.
 * @param onUnreadable told of an entry whose row cannot be read
 * @param page rows read in one go when all are read
 */
export async function readEntries(
  em: EntityManager,
  filter: EntryFilter,
  onUnreadable: (entryId: string, type: EntryType) => void = () => undefined,
  page = PAGE,
): Promise<KeptEntry[]> {
  const connection = em.getConnection();
  const { sql, values } = whereOf(filter);
  const kept: KeptEntry[] = [];
  for (const type of 'type' in filter ? [filter.type] : ENTRY_TYPES) {
    const { entity, columns, read } = ENTRY_TABLES[type];
    const animal = type === 'arrival';
    const own = Object.entries(columns).map(([name, column]) => `d."${column}" as "${name}"`);
    const select = `select e.id, e.seq, e.animal_id, e.happened_on, e.written_at, e.written_by, e.source, e.job_id, e.struck_by_id, d.rowid as row_at,
        ${own.join(', ')}${animal ? ', a.species, a.sex, a.born_on, a.dam_id, a.sire_id, a.birth_type, a.rearing_type, a.strain' : ''}
        from ${tablesOf(filter, entity.meta.tableName)}
        ${animal ? 'cross join animal a on a.id = e.animal_id' : ''} ${sql}`;
    const ask = (more: string, last: readonly number[]): Promise<Row[]> =>
      connection.execute<Row[]>(`${select} ${more}`, [...values, ...last], 'all', em.getTransactionContext());
    for await (const rows of 'all' in filter ? inPages(ask, page) : [await ask('', [])])
      for (const row of rows)
        try {
          kept.push(toKept(type, row, Object.keys(columns), read));
        } catch {
          // A list in a column that is no JSON any more: this entry is left out, the others stand.
          onUnreadable(String(row.id), type);
        }
  }
  return kept.sort((a, b) => a.seq - b.seq);
}

/** A cross join keeps the order that is written: the planner would go through all entries for each page. */
const tablesOf = (filter: EntryFilter, own: string): string =>
  'all' in filter ? `${own} d cross join entry e on e.id = d.entry_id` : `entry e join ${own} d on d.entry_id = e.id`;

/** Rows read in one go, before other requests are let on. */
const PAGE = 4_000;

/** All rows of a type, page by page in the order of their own table. */
async function* inPages(
  ask: (more: string, last: readonly number[]) => Promise<Row[]>,
  page: number,
): AsyncGenerator<Row[]> {
  let last = 0;
  for (;;) {
    const rows = await ask('where d.rowid > ? order by d.rowid limit ?', [last, page]);
    yield rows;
    if (rows.length < page) return;
    last = Number(rows.at(-1)?.row_at);
    await breathe();
  }
}

const ANIMAL_FIELDS = {
  species: 'species',
  sex: 'sex',
  bornOn: 'born_on',
  damId: 'dam_id',
  sireId: 'sire_id',
  birthType: 'birth_type',
  rearingType: 'rearing_type',
  strain: 'strain',
} as const;

function toKept(
  type: EntryType,
  row: Row,
  own: readonly string[],
  read: (typeof ENTRY_TABLES)[EntryType]['read'] = {},
): KeptEntry {
  const entry: Record<string, unknown> = { id: row.id as string, type };
  const put = (name: string, value: unknown): void => {
    if (value !== null && value !== undefined) entry[name] = value;
  };
  put('animalId', row.animal_id);
  put('on', row.happened_on);
  put('writtenAt', row.written_at);
  put('writtenBy', row.written_by);
  put('source', row.source);
  put('jobId', row.job_id);
  for (const name of own) {
    const value = row[name];
    const reader = read[name];
    put(name, reader && value !== null && value !== undefined ? reader(value) : value);
  }
  if (type === 'arrival') for (const [name, column] of Object.entries(ANIMAL_FIELDS)) put(name, row[column]);
  return {
    seq: row.seq as number,
    entry: entry as unknown as Entry,
    struckBy: (row.struck_by_id as string | null) ?? undefined,
  };
}
