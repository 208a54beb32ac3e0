import { existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { MikroORM } from '@mikro-orm/libsql';
import type { ServerConfig } from '../config';
import { ormOptions } from './ormConfig';

/** Backups kept; the oldest go first. */
const BACKUPS_KEPT = 20;

/**
 * Opens the book file: creates its folder, sets WAL and full synchronisation, and runs waiting migrations, each time
 * with a backup of the file before.
 * @throws Error that names the file and what to do, when it cannot be read or written
 */
export async function openBook(config: Pick<ServerConfig, 'dataDir' | 'dataFile' | 'backupDir'>): Promise<MikroORM> {
  const existed = existsSync(config.dataFile) && statSync(config.dataFile).size > 0;
  let orm: MikroORM | undefined;
  try {
    mkdirSync(config.backupDir, { recursive: true });
    orm = await MikroORM.init(ormOptions(config.dataFile));
    await orm.em.getConnection().execute('pragma journal_mode = wal');
    const waiting = await orm.migrator.getPendingMigrations();
    if (waiting.length > 0) {
      if (existed) await backUp(orm, config.backupDir);
      await orm.migrator.up();
    }
    return orm;
  } catch (cause) {
    if (orm) await letGo(orm);
    throw new Error(
      `The book ${config.dataFile} could not be opened: ${(cause as Error).message}. ` +
        'Check that the folder can be written and the disk has room, or put back a copy from its backups folder.',
      { cause },
    );
  }
}

/** Leaves a book that could not be opened as it was found: nothing open, nothing locked. */
async function letGo(orm: MikroORM): Promise<void> {
  await settle(orm).catch(() => undefined);
  await orm.close(true).catch(() => undefined);
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

/** Writes a whole copy of the book, consistent at one instant, beside the others. @returns its path */
export async function backUp(orm: MikroORM, backupDir: string, now = new Date()): Promise<string> {
  const stamp = now.toISOString().replace(/[-:]/g, '').replace('T', '-').replace('.', '-').slice(0, 19);
  const path = join(backupDir, `yaylak-${stamp}.sqlite`);
  rmSync(path, { force: true });
  await orm.em.getConnection().execute(`vacuum into '${path.replaceAll("'", "''")}'`);
  const old = backupFiles(backupDir).slice(0, -BACKUPS_KEPT);
  for (const name of old) rmSync(join(backupDir, name));
  return path;
}

/** Names of the backups, oldest first. */
export const backupFiles = (backupDir: string): string[] =>
  existsSync(backupDir)
    ? readdirSync(backupDir)
        .filter((name) => /^yaylak-.*\.sqlite$/.test(name))
        .sort()
    : [];
