import { copyFileSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import Database from 'libsql';
import { onDisk } from '../common/wholeFile';
import { copyBook } from './bookCopy';
import { brokenIn, incomingFile, type BookPlace } from './bookFolder';
import { lockFolder } from './folderLock';
import { unknownStep } from './migrationNames';

/**
 * Lays a copy ready beside the book, looked through: what could go wrong with it does so while the book is still open.
 * @param name of the copy, within the folder of copies
 * @throws Error what is wrong with it, or what the machine says; nothing is left behind
 */
export function layReady({ dataFile, backupDir }: BookPlace, name: string): void {
  const incoming = incomingFile(dataFile);
  try {
    copyFileSync(join(backupDir, name), incoming);
    const broken = brokenIn(incoming, 'integrity_check');
    if (broken !== undefined) throw new Error(`The copy ${name} is damaged (${broken}).`);
    const newer = newerStepOf(incoming);
    if (newer !== undefined) throw new Error(`The copy ${name} was written by a newer Yaylak (step ${newer}).`);
    onDisk(incoming);
  } catch (error) {
    rmSync(incoming, { force: true });
    throw error;
  }
}

function newerStepOf(file: string): string | undefined {
  const copy = new Database(file);
  try {
    return unknownStep(copy.prepare('select name from migration order by id').all() as { readonly name: string }[]);
  } finally {
    copy.close();
  }
}

/** Undoes what was done. */
export type Undo = () => void;

/**
 * Puts what was laid ready in the place of the book, which is closed and nobody else's. The book as it is is copied
 * first, with everything that was written to the last moment. Stopped at any point, the folder holds one whole book, the
 * one or the other.
 * @param id it was asked by
 * @returns what puts the book back that was there before
 * @throws Error what the machine says; the book is then where it was
 */
export function swapIn(place: BookPlace, id: string, now: Date): Undo {
  const { dataDir, dataFile, backupDir } = place;
  const incoming = incomingFile(dataFile);
  const unlock = lockFolder(dataDir);
  try {
    const before = copyBook(dataFile, backupDir, { reason: 'put-back', id }, now);
    takePlace(dataFile);
    return () => {
      copyFileSync(before, incoming);
      onDisk(incoming);
      takePlace(dataFile);
    };
  } catch (error) {
    rmSync(incoming, { force: true });
    throw error;
  } finally {
    unlock();
  }
}

function takePlace(dataFile: string): void {
  // A log that belongs to another book would be read into this one. What stood in it is in the copy made before.
  for (const log of ['-wal', '-shm']) rmSync(`${dataFile}${log}`, { force: true });
  renameSync(incomingFile(dataFile), dataFile);
}
