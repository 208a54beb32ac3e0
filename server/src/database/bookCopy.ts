import { mkdirSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { CopyReason } from '@yaylak/contract';
import { keptCopies, type Day } from '@yaylak/core';
import Database from 'libsql';
import { localDay } from '../common/localTime';
import { onDisk } from '../common/wholeFile';
import { backupFiles, brokenIn } from './bookFolder';

/** Why a copy is made. */
export interface CopyWhy {
  readonly reason: CopyReason;
  /** The id somebody asked by: asked once more by it, nothing is done again. */
  readonly id?: string;
}
/** What is known of a copy, kept beside it. */
interface CopyFacts extends CopyWhy {
  readonly animals: number;
  readonly entries: number;
}
export interface BookCopy extends CopyFacts {
  readonly name: string;
  readonly madeAt: Date;
  readonly bytes: number;
}

const nameOf = (at: Date): string =>
  `yaylak-${at.toISOString().replace(/[-:]/g, '').replace('T', '-').replace('.', '-').slice(0, 19)}.sqlite`;
/** When a copy was made, by its name. */
export function madeAt(name: string): Date {
  const [, year, month, day, hour, minute, second, ms] =
    /^yaylak-(\d{4})(\d\d)(\d\d)-(\d\d)(\d\d)(\d\d)-(\d{3})\.sqlite$/.exec(name) ?? [];
  return new Date(`${year}-${month}-${day}T${hour}:${minute}:${second}.${ms}Z`);
}
export const factsFile = (copy: string): string => copy.replace(/\.sqlite$/, '.json');

/**
 * Writes a whole copy of the book, consistent at one instant, beside the others: under another name until it is whole,
 * checked, counted and on the disk, so that a copy with a good name is a good copy. The book may be open and written
 * meanwhile.
 * @param dataFile the book
 * @returns the path of the copy
 * @throws Error what the machine says, and nothing is left behind
 */
export function copyBook(dataFile: string, backupDir: string, why: CopyWhy, now = new Date()): string {
  mkdirSync(backupDir, { recursive: true });
  const path = join(backupDir, nameOf(now));
  const part = `${path}.part`;
  rmSync(part, { force: true });
  try {
    vacuumInto(dataFile, part);
    const broken = brokenIn(part, 'integrity_check');
    if (broken !== undefined) throw new Error(`The copy of the book came out damaged (${broken}). Check the disk.`);
    writeFileSync(factsFile(path), JSON.stringify({ ...why, ...countsOf(part) }));
    onDisk(part);
    onDisk(factsFile(path));
  } catch (error) {
    for (const file of [part, factsFile(path)]) rmSync(file, { force: true });
    throw error;
  }
  renameSync(part, path);
  return path;
}

function vacuumInto(dataFile: string, to: string): void {
  const book = new Database(dataFile);
  try {
    book.prepare(`vacuum into '${to.replaceAll("'", "''")}'`).run();
  } finally {
    book.close();
  }
}

function countsOf(file: string): Pick<CopyFacts, 'animals' | 'entries'> {
  const copy = new Database(file);
  try {
    const count = (table: string): number =>
      (copy.prepare(`select count(*) n from ${table}`).get() as { readonly n: number }).n;
    return { animals: count('animal'), entries: count('entry') };
  } finally {
    copy.close();
  }
}

/**
 * The copies of a folder, oldest first; a file that cannot be read as one is none, and is left where it is.
 * @param ending what stands behind the name of each, where they are not plain books
 */
export const copiesIn = (folder: string, ending = ''): BookCopy[] =>
  backupFiles(folder, ending).flatMap((name) => {
    const path = join(folder, name);
    const facts = keptFacts(path) ?? (ending === '' ? countedFacts(path) : undefined);
    return facts ? [{ name, madeAt: madeAt(name), bytes: statSync(`${path}${ending}`).size, ...facts }] : [];
  });

function keptFacts(copy: string): CopyFacts | undefined {
  try {
    return JSON.parse(readFileSync(factsFile(copy), 'utf8')) as CopyFacts;
  } catch {
    return undefined;
  }
}
/** Of one that an earlier version made before a migration, which kept no facts beside it. */
function countedFacts(copy: string): CopyFacts | undefined {
  try {
    const facts: CopyFacts = { reason: 'migration', ...countsOf(copy) };
    writeFileSync(factsFile(copy), JSON.stringify(facts));
    return facts;
  } catch {
    return undefined;
  }
}

/** Takes out the copies that are one too many; see `keptCopies`. */
export function thinOut(folder: string, today: Day, ending = ''): void {
  const copies = copiesIn(folder, ending);
  const kept = keptCopies(
    copies.map(({ name, madeAt: at, reason }) => ({
      name,
      on: localDay(at),
      at: at.toISOString(),
      isMilestone: reason !== 'daily',
    })),
    today,
  );
  for (const { name } of copies)
    if (!kept.has(name))
      for (const file of [`${name}${ending}`, factsFile(name)]) rmSync(join(folder, file), { force: true });
}
