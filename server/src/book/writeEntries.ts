import type { EntityManager } from '@mikro-orm/libsql';
import type { AnimalEntry, ArrivalEntry, Entry, EntryType } from '@yaylak/contract';
import { AnimalEntity } from '../animals/animal.entity';
import { EntryEntity } from './entry.entities';
import { ENTRY_TABLES } from './entryTables';

/** Rows an insert statement carries at most, under SQLite's limit of bound values. */
const CHUNK = 500;

/** Writes entries and the animals they open, in the caller's transaction, numbered from `firstSeq`. */
export async function writeEntries(em: EntityManager, entries: readonly Entry[], firstSeq: number): Promise<void> {
  const arrivals = entries.filter((e): e is ArrivalEntry => e.type === 'arrival');
  await openAnimals(em, arrivals);
  await insertAll(
    em,
    EntryEntity,
    entries.map((entry, i) => ({
      id: entry.id,
      seq: firstSeq + i,
      type: entry.type,
      animal: entry.type === 'strike' ? null : entry.animalId,
      happenedOn: entry.on,
      writtenAt: entry.writtenAt,
      writtenBy: entry.writtenBy,
      source: entry.source,
      job: entry.jobId ?? null,
      struckBy: null,
    })),
  );
  const byType = new Map<EntryType, Entry[]>();
  for (const entry of entries) {
    const list = byType.get(entry.type);
    if (list) list.push(entry);
    else byType.set(entry.type, [entry]);
  }
  for (const [type, list] of byType) {
    const { entity, columns, properties = {} } = ENTRY_TABLES[type];
    const rows = list.map((entry) => {
      const row: Record<string, unknown> = { entry: entry.id };
      for (const name of Object.keys(columns))
        row[properties[name] ?? name] = (entry as unknown as Record<string, unknown>)[name] ?? null;
      return row;
    });
    await insertAll(em, entity, rows);
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
  await insertAll(em, AnimalEntity, arrivals.filter((a) => !ids.has(a.animalId)).map(animalRow));
}

async function insertAll(em: EntityManager, entity: object, rows: readonly object[]): Promise<void> {
  for (let i = 0; i < rows.length; i += CHUNK)
    await em.insertMany(entity as typeof EntryEntity, rows.slice(i, i + CHUNK) as never);
}

const animalRow = (a: ArrivalEntry): object => ({
  id: a.animalId,
  species: a.species,
  sex: a.sex,
  bornOn: a.bornOn ?? null,
  dam: a.damId ?? null,
  sire: a.sireId ?? null,
  birthType: a.birthType ?? null,
  rearingType: a.rearingType ?? null,
  strain: a.strain ?? null,
  version: 1,
});

/** Entries that carry an animal. */
export const isAnimalEntry = (entry: Entry): entry is AnimalEntry => entry.type !== 'strike';
