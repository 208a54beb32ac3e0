import type { EntityManager } from '@mikro-orm/libsql';
import type { AnimalEntry, ArrivalEntry, Entry, EntryType } from '@yaylak/contract';
import { AnimalEntity } from '../records/animal.entity';
import { ENTRY_TABLES } from './entryTables';

/** Rows an insert statement carries at most: enough that the statement itself costs nothing. */
const CHUNK = 2_000;

const SHARED = {
  id: 'id',
  seq: 'seq',
  type: 'type',
  animalId: 'animal_id',
  on: 'happened_on',
  writtenAt: 'written_at',
  writtenBy: 'written_by',
  source: 'source',
  jobId: 'job_id',
};
const OF_ANIMAL = {
  animalId: 'id',
  species: 'species',
  sex: 'sex',
  bornOn: 'born_on',
  damId: 'dam_id',
  donorId: 'donor_id',
  sireId: 'sire_id',
  birthType: 'birth_type',
  rearingType: 'rearing_type',
  strain: 'strain',
  boughtMinor: 'bought_minor',
  birthKnownTo: 'birth_known_to',
  version: 'version',
};

/** Writes entries and the animals they open, in the caller's transaction, numbered from `firstSeq`. */
export async function writeEntries(em: EntityManager, entries: readonly Entry[], firstSeq: number): Promise<void> {
  await openAnimals(
    em,
    entries.filter((e): e is ArrivalEntry => e.type === 'arrival'),
  );
  await insertAll(em, 'entry', SHARED, entries, (i) => ({ seq: firstSeq + i }));
  const byType = new Map<EntryType, Entry[]>();
  for (const entry of entries) {
    const list = byType.get(entry.type);
    if (list) list.push(entry);
    else byType.set(entry.type, [entry]);
  }
  for (const [type, list] of byType) {
    const { name, columns } = ENTRY_TABLES[type];
    await insertAll(em, name, { id: 'entry_id', ...columns }, list);
  }
}

/** Marks entries as struck by the strikes that struck them. */
export async function writeStrikes(
  em: EntityManager,
  strikes: readonly (readonly [entryId: string, strikeId: string])[],
): Promise<void> {
  if (strikes.length === 0) return;
  await em.getConnection().execute(
    `update entry set struck_by_id = (select json_extract(value, '$[1]') from json_each(?) where json_extract(value, '$[0]') = entry.id)
      where id in (select json_extract(value, '$[0]') from json_each(?))`,
    [JSON.stringify(strikes), JSON.stringify(strikes)],
    'run',
    em.getTransactionContext(),
  );
}

/** An animal whose arrival was struck out has left its row behind; written down again, the row says the new facts. */
async function openAnimals(em: EntityManager, arrivals: readonly ArrivalEntry[]): Promise<void> {
  if (arrivals.length === 0) return;
  const left = await em
    .getConnection()
    .execute<{ id: string }[]>(
      'select id from animal where id in (select value from json_each(?))',
      [JSON.stringify(arrivals.map((a) => a.animalId))],
      'all',
      em.getTransactionContext(),
    );
  const ids = new Set(left.map((row) => row.id));
  for (const again of arrivals.filter((a) => ids.has(a.animalId)))
    await em.nativeUpdate(AnimalEntity, { id: again.animalId }, animalRow(again));
  const opened = arrivals.filter((a) => !ids.has(a.animalId));
  await insertAll(em, 'animal', OF_ANIMAL, opened, () => ({ version: 1 }));
}

/**
 * Inserts rows, a chunk as one text of JSON that the database takes apart: bound value by value, a hundred thousand
 * rows take four times as long.
 * @param columns the table's column by the name it has in a row
 * @param more what a row has beside, by its place
 */
async function insertAll(
  em: EntityManager,
  table: string,
  columns: Readonly<Record<string, string>>,
  rows: readonly object[],
  more: (at: number) => object = () => ({}),
): Promise<void> {
  const names = Object.keys(columns);
  const into = Object.values(columns).map((column) => `"${column}"`);
  const cells = names.map((_, i) => `json_extract(value, '$[${i}]')`);
  for (let i = 0; i < rows.length; i += CHUNK) {
    const chunk = rows.slice(i, i + CHUNK).map((row, k) => {
      const beside = more(i + k) as Record<string, unknown>;
      return names.map((name) => cellOf(beside[name] ?? (row as Record<string, unknown>)[name]));
    });
    await em
      .getDriver()
      .execute(
        `insert into ${table} (${into.join(', ')}) select ${cells.join(', ')} from json_each(?)`,
        [JSON.stringify(chunk)],
        'run',
        em.getTransactionContext(),
      );
  }
}

/** A value as its column holds it: a flag as 0 or 1, a list as its own text of JSON. */
function cellOf(value: unknown): unknown {
  if (typeof value === 'boolean') return Number(value);
  return typeof value === 'object' && value !== null ? JSON.stringify(value) : (value ?? null);
}

/** Entries that carry an animal. */
export const isAnimalEntry = (entry: Entry): entry is AnimalEntry => entry.type !== 'strike';

const animalRow = (a: ArrivalEntry): object => ({
  species: a.species,
  sex: a.sex,
  bornOn: a.bornOn ?? null,
  dam: a.damId ?? null,
  donor: a.donorId ?? null,
  sire: a.sireId ?? null,
  birthType: a.birthType ?? null,
  rearingType: a.rearingType ?? null,
  strain: a.strain ?? null,
  boughtMinor: a.boughtMinor ?? null,
  birthKnownTo: a.birthKnownTo ?? null,
  version: 1,
});
