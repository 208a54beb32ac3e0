import { existsSync, readdirSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import Database from 'libsql';
import type { ServerConfig } from '../config';

export type BookPlace = Pick<ServerConfig, 'dataDir' | 'dataFile' | 'backupDir'>;

/** Where a copy lies that is to take the book's place, until it does. */
export const incomingFile = (dataFile: string): string => `${dataFile}.incoming`;

/**
 * Names of the backups, oldest first.
 * @param ending what stands behind each name, where they are not plain books
 */
export const backupFiles = (backupDir: string, ending = ''): string[] =>
  existsSync(backupDir)
    ? readdirSync(backupDir)
        .flatMap((name) => (name.endsWith(ending) ? [name.slice(0, name.length - ending.length)] : []))
        .filter((name) => /^yaylak-.*\.sqlite$/.test(name))
        .sort()
    : [];

/**
 * What SQLite says is broken in a file; nothing when it is whole.
 * @param look how closely: the quick one leaves out whether indexes fit their tables
 */
export function brokenIn(file: string, look: 'quick_check' | 'integrity_check' = 'quick_check'): string | undefined {
  let db: Database.Database | undefined;
  try {
    db = new Database(file);
    const found = (db.prepare(`pragma ${look}(1)`).all() as Record<string, string>[]).map(
      (row) => Object.values(row)[0] ?? '',
    );
    // The first line names the database, the last what is wrong in it.
    return found[0] === 'ok' ? undefined : (found[0]?.split('\n').at(-1) ?? 'nothing could be read');
  } catch (error) {
    return (error as Error).message;
  } finally {
    db?.close();
  }
}

/** The newest copy that is whole. */
export const newestGoodBackup = (backupDir: string): string | undefined =>
  backupFiles(backupDir)
    .toReversed()
    .find((name) => brokenIn(join(backupDir, name)) === undefined);

/** How a copy is put back, in words. */
export function howToPutBack({ dataFile, backupDir }: BookPlace): string {
  const good = newestGoodBackup(backupDir);
  if (good === undefined) return `There is no copy in ${backupDir} that can be read.`;
  return `The newest good copy is ${good}. To put it back, move ${dataFile} and the files beside it that begin with its name to another folder, and copy ${join(backupDir, good)} to ${dataFile}.`;
}

/**
 * Looks at the folder before anything in it is opened.
 * @returns whether a book is there; none means that a new one may be begun
 * @throws Error in words when the folder is not there, or its book is gone and copies of it are
 */
export function bookThere(place: BookPlace): boolean {
  const { dataDir, dataFile, backupDir } = place;
  if (!existsSync(dataDir))
    throw new Error(`There is no folder ${dataDir}. Correct DATA_DIR, or make the folder to begin a new book in it.`);
  for (const name of existsSync(backupDir) ? readdirSync(backupDir) : [])
    // A copy that was being written when the computer stopped.
    if (name.endsWith('.part')) rmSync(join(backupDir, name), { force: true });
  // One that was to be put back when the computer stopped; the book itself was not touched yet.
  rmSync(incomingFile(dataFile), { force: true });
  if (existsSync(dataFile) && statSync(dataFile).size > 0) return true;
  const copies = backupFiles(backupDir);
  if (copies.length === 0) return false;
  throw new Error(
    `The book ${dataFile} is ${existsSync(dataFile) ? 'empty' : 'not there'}, but there are ${copies.length} copies of it in ${backupDir}, ` +
      `the newest ${copies.at(-1) ?? ''}. ${howToPutBack(place)} To begin a new book instead, move the folder of copies away.`,
  );
}
