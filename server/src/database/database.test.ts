import { existsSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readConfig } from '../config';
import { arrival, testApp, uuid } from '../tests/testApp';
import { backupFiles } from './bookFolder';
import { backUp, openBook } from './openBook';

it('has migrations that make exactly the schema of the entities', async () => {
  const t = await testApp();
  expect((await t.orm.schema.getUpdateSchemaSQL()).trim()).toBe('');
  await t.close();
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

it('keeps the last twenty backups', async () => {
  const t = await testApp();
  for (let i = 0; i < 22; i++) await backUp(t.orm, t.config.backupDir, new Date(Date.UTC(2026, 0, 1, 0, 0, i)));
  expect(backupFiles(t.config.backupDir)).toHaveLength(20);
  expect(existsSync(join(t.config.backupDir, 'yaylak-20260101-000000-000.sqlite'))).toBe(false);
  await t.close();
});

it('names the file and the remedy when the book is no book', async () => {
  const config = readConfig({ DATA_DIR: mkdtempSync(join(tmpdir(), 'yaylak-no-book-')) });
  writeFileSync(config.dataFile, 'This is a shopping list and not a book. '.repeat(200));
  await expect(openBook(config)).rejects.toThrow(`The book ${config.dataFile} is damaged and was not opened`);
  rmSync(config.dataDir, { recursive: true });
});
