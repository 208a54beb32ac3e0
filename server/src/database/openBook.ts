import { mkdirSync } from 'node:fs';
import { MikroORM } from '@mikro-orm/libsql';
import { localDay } from '../common/localTime';
import { copyBook, thinOut } from './bookCopy';
import { bookThere, brokenIn, howToPutBack, type BookPlace } from './bookFolder';
import { lockFolder, type Unlock } from './folderLock';
import { MIGRATION_NAMES, unknownStep } from './migrationNames';
import { migratorOf } from './migratorOf';
import { ormOptions } from './ormConfig';

/** The folders that are held, by the book opened in them. */
const unlocks = new WeakMap<MikroORM, Unlock>();

/**
 * Opens the book of a folder, for this process alone: looks whether it is whole, sets WAL, and runs waiting migrations,
 * each time with a backup of the file before. A folder without a book gets a new one.
 * @throws Error in words that names the file and what to do
 */
export async function openBook(place: BookPlace): Promise<MikroORM> {
  const { dataDir, dataFile, backupDir } = place;
  const existed = bookThere(place);
  const unlock = lockFolder(dataDir);
  let orm: MikroORM | undefined;
  try {
    const broken = existed ? brokenIn(dataFile) : undefined;
    if (broken !== undefined) throw new DamagedBook(broken);
    mkdirSync(backupDir, { recursive: true });
    orm = await MikroORM.init(ormOptions(dataFile));
    unlocks.set(orm, unlock);
    await orm.em.getConnection().execute('pragma journal_mode = wal');
    if (await isBehind(orm)) {
      if (existed) {
        copyBook(dataFile, backupDir, { reason: 'migration' });
        thinOut(backupDir, localDay(new Date()));
      }
      await (await migratorOf(orm)).up();
    }
    return orm;
  } catch (cause) {
    if (orm) await letGo(orm);
    else unlock();
    if (cause instanceof NewerBook) throw new Error(`The book ${dataFile} ${cause.message}`, { cause });
    if (cause instanceof DamagedBook || /malformed|not a database|SQLITE_CORRUPT/i.test((cause as Error).message))
      throw new Error(
        `The book ${dataFile} is damaged and was not opened: ${(cause as Error).message}. ${howToPutBack(place)}`,
        { cause },
      );
    throw new Error(
      `The book ${dataFile} could not be opened: ${(cause as Error).message}. ` +
        'Check that the folder can be written and the disk has room, or put back a copy from its backups folder.',
      { cause },
    );
  }
}

class DamagedBook extends Error {}
class NewerBook extends Error {}

/**
 * Whether steps wait to be run.
 * @throws NewerBook a book whose form this version does not know would be half understood and written wrongly
 */
async function isBehind(orm: MikroORM): Promise<boolean> {
  const connection = orm.em.getConnection();
  const [table] = await connection.execute<object[]>("select 1 from sqlite_master where name = 'migration'");
  if (!table) return true;
  const run = await connection.execute<{ name: string }[]>('select name from migration order by id');
  const unknown = unknownStep(run);
  if (unknown !== undefined)
    throw new NewerBook(
      `was written by a newer Yaylak (step ${unknown}) and was not opened. Start that version, or put back a copy from before it.`,
    );
  const done = new Set(run.map(({ name }) => name));
  return MIGRATION_NAMES.some((name) => !done.has(name));
}

/** Closes the book, everything in its one file, and gives its folder free. */
export async function closeBook(orm: MikroORM): Promise<void> {
  await checkpoint(orm).catch(() => undefined);
  await orm.close();
  unlocks.get(orm)?.();
  unlocks.delete(orm);
}

/**
 * Brings what stands in the log beside the book into the book's own file: whoever copies that one file then has
 * everything. While another connection reads, as much as can be.
 */
export async function checkpoint(orm: MikroORM): Promise<void> {
  await orm.em.getConnection().execute('pragma wal_checkpoint(truncate)');
}

/** Leaves a book that could not be opened as it was found: nothing open, nothing locked. */
async function letGo(orm: MikroORM): Promise<void> {
  await settle(orm).catch(() => undefined);
  await orm.close(true).catch(() => undefined);
  unlocks.get(orm)?.();
  unlocks.delete(orm);
}

/**
 * Opens the connection anew. A statement that met a locked file is never reset by the driver, and with one such in
 * progress no later transaction can commit: only a new connection helps.
 */
export async function reconnect(orm: MikroORM): Promise<void> {
  await orm.em.getConnection().close(true);
  await orm.em.getConnection().connect();
}

/** Rolls back what a failed transaction left open, at once: until then no other program could write to the file. */
export async function settle(orm: MikroORM): Promise<void> {
  // Lending a connection out again is what rolls it back, see the pool's settings.
  await orm.em.getConnection().execute('select 1');
}

/** Whether a failure says that another program holds the file. */
export function isBusy(error: unknown): boolean {
  for (let e: unknown = error; e instanceof Error; e = e.cause)
    if (/SQLITE_BUSY|SQLITE_LOCKED/.test(`${(e as { code?: string }).code ?? ''} ${e.message}`)) return true;
  return false;
}
