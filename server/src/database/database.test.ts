import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { MikroORM } from '@mikro-orm/libsql';
import { readEntries } from '../book/readEntries';
import { readConfig } from '../config';
import { arrival, testApp, uuid } from '../tests/testApp';
import { backupFiles } from './bookFolder';
import { MIGRATION_NAMES } from './migrationNames';
import { migratorOf } from './migratorOf';
import { closeBook, openBook } from './openBook';
import { ormOptions } from './ormConfig';

it('has migrations that make exactly the schema of the entities', async () => {
  const t = await testApp(mkdtempSync(join(tmpdir(), 'yaylak-test-')));
  expect((await t.orm.schema.getUpdateSchemaSQL()).trim()).toBe('');
  await t.end();
});

it('waits for a lock, writes in full and keeps foreign keys, on a renewed connection too', async () => {
  const t = await testApp();
  const pragma = async (name: string) =>
    Object.values((await t.orm.em.getConnection().execute<Record<string, unknown>[]>(`pragma ${name}`))[0] ?? {})[0];
  expect(await pragma('journal_mode')).toBe('wal');
  // The pool renews a connection after ten seconds: what is set goes with it.
  const real = Date.now();
  jest.spyOn(Date, 'now').mockReturnValue(real + 60_000);
  expect(await pragma('busy_timeout')).toBe(2000);
  jest.restoreAllMocks();
  expect(await pragma('synchronous')).toBe(2);
  expect(await pragma('foreign_keys')).toBe(1);
  await t.close();
});

it('backs the book up before a migration runs on it', async () => {
  const t = await testApp();
  await t.post(arrival(uuid()));
  // As if the newest migration had not been run on this book yet; running it again will fail and must leave a backup.
  await t.orm.em.getConnection().execute('delete from migration');
  await t.app.close();
  await expect(openBook(t.config)).rejects.toThrow('could not be opened');
  const backups = backupFiles(t.config.backupDir);
  expect(backups).toHaveLength(1);
  const copy = join(t.config.dataDir, 'restored');
  mkdirSync(copy);
  const restored = await openBook({
    dataDir: copy,
    dataFile: join(t.config.backupDir, backups[0] ?? ''),
    backupDir: join(copy, 'b'),
  }).catch((e: Error) => e.message);
  expect(restored).toContain('already exists'); // the copy is a whole book: its tables are there
  await t.close();
});

it.each(MIGRATION_NAMES.slice(0, -1))('brings a book of %s up to date with all that stands in it', async (form) => {
  const config = readConfig({ DATA_DIR: mkdtempSync(join(tmpdir(), 'yaylak-old-')), LOG_LEVEL: 'silent' });
  const old = await MikroORM.init(ormOptions(config.dataFile));
  const migrator = await migratorOf(old);
  await migrator.up({ to: MIGRATION_NAMES[0] });
  const write = (sql: string, ...values: readonly unknown[]) => old.em.getConnection().execute(sql, [...values]);
  const [animal, came, weighed, strike] = [uuid(), uuid(), uuid(), uuid()];
  const entry = (id: string, seq: number, type: string, of: string | null) =>
    write(
      `insert into entry (id, seq, type, animal_id, happened_on, written_at, written_by, source)
        values (?, ?, ?, ?, '2026-11-01', '2026-11-01T08:00:00.000Z', 'Aylin', 'hand')`,
      id,
      seq,
      type,
      of,
    );
  await write("insert into animal (id, species, sex, version) values (?, 'sheep', 'female', 3)", animal);
  await entry(came, 1, 'arrival', animal);
  await write("insert into arrival_entry (entry_id, how) values (?, 'bought')", came);
  await entry(weighed, 2, 'weight', animal);
  await write("insert into weight_entry (entry_id, kg, method) values (?, 47.3, 'scale')", weighed);
  await entry(strike, 3, 'strike', null);
  await write("insert into strike_entry (entry_id, struck_entry_id, reason) values (?, ?, 'misread')", strike, weighed);
  await write('update entry set struck_by_id = ? where id = ?', strike, weighed);
  if (form !== MIGRATION_NAMES[0]) await migrator.up({ to: form });
  await old.close();

  const orm = await openBook(config);
  const book = orm.em.getConnection();
  expect((await readEntries(orm.em.fork(), { all: true })).map((k) => [k.entry, k.struckBy])).toMatchObject([
    [{ id: came, animalId: animal, type: 'arrival', how: 'bought', species: 'sheep' }, undefined],
    [{ id: weighed, kg: 47.3, method: 'scale' }, strike],
    [{ id: strike, entryId: weighed, reason: 'misread' }, undefined],
  ]);
  expect(await book.execute('pragma integrity_check')).toMatchObject([{ integrity_check: 'ok' }]);
  // Nothing that is spoken of goes, whoever tries.
  for (const [table, id] of [
    ['entry', weighed],
    ['entry', strike],
    ['animal', animal],
  ])
    await expect(book.execute(`delete from ${table} where id = ?`, [id])).rejects.toThrow('FOREIGN KEY');
  expect(await book.execute('select id from entry')).toHaveLength(3);
  await closeBook(orm);
  rmSync(config.dataDir, { recursive: true });
});

it('names the file and the remedy when the book is no book', async () => {
  const config = readConfig({ DATA_DIR: mkdtempSync(join(tmpdir(), 'yaylak-no-book-')) });
  writeFileSync(config.dataFile, 'This is a shopping list and not a book. '.repeat(200));
  await expect(openBook(config)).rejects.toThrow(`The book ${config.dataFile} is damaged and was not opened`);
  rmSync(config.dataDir, { recursive: true });
});
