import { existsSync, mkdirSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { backupFiles, brokenIn } from '../database/bookFolder';
import { openKey, unlockFile } from './lock';
import { KEY_FILE, LOCKED, PICTURES } from './secondPlace';

/** What came out of the second place. */
export interface Unlocked {
  /** Name of the copy, the newest there. */
  readonly copy: string;
  readonly pictures: number;
}

/** Folders with encrypted copies, in a place and up to two folders down. */
function lockedFolders(place: string, depth = 2): string[] {
  if (!existsSync(place) || !statSync(place).isDirectory()) return [];
  if (existsSync(join(place, KEY_FILE))) return [place];
  if (depth === 0) return [];
  return readdirSync(place).flatMap((name) => lockedFolders(join(place, name), depth - 1));
}

/** The folder with encrypted copies. @throws Error in words where there is none, or more than one */
export function lockedFolder(place: string): string {
  const folders = lockedFolders(place);
  const [folder, ...others] = folders;
  if (folder === undefined)
    throw new Error(`There are no encrypted copies in ${place}. Name the second place, or the folder in it.`);
  if (others.length > 0)
    throw new Error(`There are encrypted copies of more than one book in ${place}. Name one of: ${folders.join(', ')}`);
  return folder;
}

/**
 * Gets the newest copy out of a folder with encrypted ones, with the pictures, as a book that can be started.
 * @param to a folder that is not there yet, or is empty
 * @param secret the passphrase, or the 24 words
 * @throws Error in words where it cannot be
 */
export async function unlock(folder: string, to: string, secret: string): Promise<Unlocked> {
  if (existsSync(to) && readdirSync(to).length > 0)
    throw new Error(`There is something in ${to} already. Name a new folder: nothing is written over.`);
  const copy = backupFiles(folder, LOCKED).at(-1);
  if (copy === undefined) throw new Error(`There is no copy in ${folder} yet.`);
  const identity = await openKey(readFileSync(join(folder, KEY_FILE), 'utf8'), secret);
  mkdirSync(join(to, PICTURES), { recursive: true });
  const book = join(to, 'yaylak.sqlite');
  await unlockFile(join(folder, `${copy}${LOCKED}`), book, identity);
  const broken = brokenIn(book, 'integrity_check');
  if (broken !== undefined) throw new Error(`The copy ${copy} is damaged (${broken}).`);
  const pictures = existsSync(join(folder, PICTURES))
    ? readdirSync(join(folder, PICTURES)).filter((name) => name.endsWith(`.jpg${LOCKED}`))
    : [];
  for (const name of pictures)
    await unlockFile(join(folder, PICTURES, name), join(to, PICTURES, name.slice(0, -LOCKED.length)), identity);
  return { copy, pictures: pictures.length };
}
