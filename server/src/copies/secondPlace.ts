import { closeSync, existsSync, mkdirSync, openSync, readFileSync, rmSync, statSync } from 'node:fs';
import { createHash, randomUUID } from 'node:crypto';
import { isAbsolute, join, relative, resolve } from 'node:path';
import { say } from '@yaylak/contract';
import { writeWhole } from '../common/wholeFile';
import { backupFiles } from '../database/bookFolder';
import type { NewKey } from './lock';

/** Kept beside the book: it is of this computer, and no part of the book. */
const SETTINGS = 'second-place.json';
/** Kept in the second place: an empty folder where a stick was is not the stick. */
export const MARK = 'yaylak-copies.json';
export const PICTURES = 'photos';
/** What stands behind the name of a file that lies there encrypted; the format is age's (C2SP age-encryption.org/v1). */
export const LOCKED = '.age';
/** The key of encrypted copies, itself encrypted with the passphrase: with the copies, and beside the book for the next place. */
export const KEY_FILE = 'key.age';
export const OWN_KEY_FILE = 'second-place-key.age';

/** The second place as it was named. */
export interface SecondPlace {
  /** The folder that was named; empty for none. */
  readonly path: string;
  /** Of this book: several can name one folder, and none touches what is another's. */
  readonly id: string;
  /** Which folder's book that is: one that was moved or copied is another, and has its copies apart. */
  readonly dataDir: string;
  /** When the newest copy known to lie there was made, as an instant. */
  readonly lastAt: string | null;
  /** What everything there is encrypted to, `age1…`; left out it lies there as it is. */
  readonly lockedTo?: string;
}

/** This book's own folder in the second place. */
export const folderIn = ({ path, id }: Pick<SecondPlace, 'path' | 'id'>): string =>
  join(path, `yaylak-${id.slice(0, 8)}`);
/** Names of folders with copies that are encrypted to one key. */
export const OF_A_KEY = 'locked-';
const keyName = (recipient: string): string =>
  `${OF_A_KEY}${createHash('sha256').update(recipient).digest('hex').slice(0, 8)}`;
/** Where in the second place the copies of the book lie that is made now. */
export const copiesFolder = (place: SecondPlace): string =>
  place.lockedTo === undefined ? folderIn(place) : join(folderIn(place), keyName(place.lockedTo));
export const endingOf = ({ lockedTo }: SecondPlace): string => (lockedTo === undefined ? '' : LOCKED);

/** Names of the copies that lie there. */
export const copiesThere = (place: SecondPlace): string[] => backupFiles(copiesFolder(place), endingOf(place));

function asKept(dataDir: string): SecondPlace | undefined {
  try {
    return JSON.parse(readFileSync(join(dataDir, SETTINGS), 'utf8')) as SecondPlace;
  } catch {
    return undefined;
  }
}
export const keepSecondPlace = (dataDir: string, place: SecondPlace): void =>
  writeWhole(join(dataDir, SETTINGS), JSON.stringify(place));

/** @returns undefined where none is named */
export function readSecondPlace(dataDir: string): SecondPlace | undefined {
  const place = asKept(dataDir);
  return place?.path ? place : undefined;
}

/** What stands against a folder as the second place, in words; nothing where it will do. */
export function secondPlaceFault(dataDir: string, path: string): string | undefined {
  if (!isAbsolute(path))
    return say('“{path}” is not a whole path. Give one from the root, like /media/stick/copies.', { path });
  if (!existsSync(path) || !statSync(path).isDirectory())
    return say('There is no folder {path}. Make it, or plug in the stick, and name it again.', { path });
  const within = relative(dataDir, resolve(path));
  if (within === '' || (!within.startsWith('..') && !isAbsolute(within)))
    return say(
      '{path} is a folder of the book itself: what takes one takes the other. Choose another disk or a stick.',
      {
        path,
      },
    );
  try {
    const trial = join(path, `.yaylak-${randomUUID()}`);
    closeSync(openSync(trial, 'w'));
    rmSync(trial);
  } catch (error) {
    return say('{path} cannot be written ({message}). Choose another, or let this computer’s user write there.', {
      path,
      message: (error as Error).message,
    });
  }
  return undefined;
}

/** Names a folder that will do, and makes and marks this book's own in it. */
export function nameSecondPlace(dataDir: string, path: string): void {
  const before = asKept(dataDir);
  const id = before?.dataDir === dataDir ? before.id : randomUUID();
  // Who had it encrypted here has it so in the next place.
  const lockedTo = before?.lockedTo;
  const place: SecondPlace = { path, id, dataDir, lastAt: null, ...(lockedTo === undefined ? {} : { lockedTo }) };
  mkdirSync(folderIn(place), { recursive: true });
  writeWhole(join(folderIn(place), MARK), JSON.stringify({ id }));
  keepSecondPlace(dataDir, place);
}
/** A book that was moved or copied begins a folder of its own where its copies went before: those there are not its. */
export function beginApart(dataDir: string): void {
  const place = readSecondPlace(dataDir);
  if (place && place.dataDir !== dataDir && existsSync(place.path)) nameSecondPlace(dataDir, place.path);
}
/** Has everything there be encrypted to a key from now on, or lie there as it is. */
export function lockSecondPlace(dataDir: string, key: Pick<NewKey, 'recipient' | 'keyFile'> | null): void {
  const { lockedTo: _before, ...place } = asKept(dataDir) ?? { path: '', id: randomUUID(), dataDir, lastAt: null };
  if (key) writeWhole(join(dataDir, OWN_KEY_FILE), key.keyFile);
  keepSecondPlace(dataDir, { ...place, ...(key ? { lockedTo: key.recipient } : {}) });
}
/** What lies there stays. */
export function forgetSecondPlace(dataDir: string): void {
  const place = asKept(dataDir);
  if (place) keepSecondPlace(dataDir, { ...place, path: '', lastAt: null });
}

/** Whether what lies at its path is the place that was named. */
export function isThere(place: SecondPlace, dataDir: string): boolean {
  if (place.dataDir !== dataDir) return false;
  try {
    return (JSON.parse(readFileSync(join(folderIn(place), MARK), 'utf8')) as Pick<SecondPlace, 'id'>).id === place.id;
  } catch {
    return false;
  }
}
