import {
  closeSync,
  copyFileSync,
  existsSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { createHash, randomUUID } from 'node:crypto';
import { isAbsolute, join, relative, resolve } from 'node:path';
import { say } from '@yaylak/contract';
import type { Day } from '@yaylak/core';
import { onDisk, writeWhole } from '../common/wholeFile';
import { copiesIn, factsFile, thinOut, type CopyWhy } from '../database/bookCopy';
import { backupFiles, brokenIn } from '../database/bookFolder';
import { LOCKED, lockFile, type NewKey } from './lock';

/** Kept beside the book: it is of this computer, and no part of the book. */
const SETTINGS = 'second-place.json';
/** Kept in the second place: an empty folder where a stick was is not the stick. */
const MARK = 'yaylak-copies.json';
export const PICTURES = 'photos';
/** The key of encrypted copies, itself encrypted with the passphrase: with the copies, and beside the book for the next place. */
export const KEY_FILE = 'key.age';
const OWN_KEY_FILE = 'second-place-key.age';

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
const folderIn = ({ path, id }: Pick<SecondPlace, 'path' | 'id'>): string => join(path, `yaylak-${id.slice(0, 8)}`);
/** Names of folders with copies that are encrypted to one key. */
const OF_A_KEY = 'locked-';
const keyName = (recipient: string): string =>
  `${OF_A_KEY}${createHash('sha256').update(recipient).digest('hex').slice(0, 8)}`;
/** Where in the second place the copies of the book lie that is made now. */
const copiesFolder = (place: SecondPlace): string =>
  place.lockedTo === undefined ? folderIn(place) : join(folderIn(place), keyName(place.lockedTo));
const endingOf = ({ lockedTo }: SecondPlace): string => (lockedTo === undefined ? '' : LOCKED);

/** Names of the copies that lie there. */
export const copiesThere = (place: SecondPlace): string[] => backupFiles(copiesFolder(place), endingOf(place));

function asKept(dataDir: string): SecondPlace | undefined {
  try {
    return JSON.parse(readFileSync(join(dataDir, SETTINGS), 'utf8')) as SecondPlace;
  } catch {
    return undefined;
  }
}
const keepSecondPlace = (dataDir: string, place: SecondPlace): void =>
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

/**
 * Brings the second place up to date: the newest copy of the book, where it does not lie there yet, and all pictures. A
 * file has its name there only when it is whole, and what lies there encrypted otherwise than it is to be goes only then.
 * @throws Error what the machine says; what lay there before lies there still
 */
export async function bringUpToDate(dataDir: string, backupDir: string, place: SecondPlace, today: Day): Promise<void> {
  const there = copiesFolder(place);
  const ending = endingOf(place);
  mkdirSync(there, { recursive: true });
  if (place.lockedTo !== undefined && !existsSync(join(there, KEY_FILE)))
    copyWhole(join(dataDir, OWN_KEY_FILE), join(there, KEY_FILE));
  const newest = backupFiles(backupDir).at(-1);
  if (newest !== undefined && !existsSync(join(there, `${newest}${ending}`))) {
    const from = join(backupDir, newest);
    if (place.lockedTo === undefined) {
      copyWhole(from, join(there, newest), (part) => {
        const broken = brokenIn(part, 'integrity_check');
        if (broken !== undefined) throw new Error(`The copy came out damaged (${broken}).`);
      });
      copyWhole(factsFile(from), factsFile(join(there, newest)));
    } else {
      // Why it was made says how long it stays; how many animals there are is nobody's business.
      const { reason } = JSON.parse(readFileSync(factsFile(from), 'utf8')) as Pick<CopyWhy, 'reason'>;
      writeWhole(factsFile(join(there, newest)), JSON.stringify({ reason }));
      await lockFile(from, join(there, `${newest}${ending}`), place.lockedTo);
    }
  }
  const pictures = join(dataDir, PICTURES);
  if (existsSync(pictures)) {
    mkdirSync(join(there, PICTURES), { recursive: true });
    for (const name of readdirSync(pictures).filter((n) => n.endsWith('.jpg'))) {
      const to = join(there, PICTURES, `${name}${ending}`);
      if (existsSync(to)) continue;
      if (place.lockedTo === undefined) copyWhole(join(pictures, name), to);
      else await lockFile(join(pictures, name), to, place.lockedTo);
    }
  }
  if (newest !== undefined) takeOutOthers(place);
  thinOut(there, today, ending);
  const last = copiesIn(there, ending).at(-1);
  keepSecondPlace(dataDir, { ...place, lastAt: last?.madeAt.toISOString() ?? null });
}

/** What this book has there that is encrypted otherwise than it is to be; what is not of its making stays. */
function takeOutOthers(place: SecondPlace): void {
  const own = folderIn(place);
  const isPlain = (name: string): boolean =>
    name === PICTURES || (/^yaylak-.+\.(sqlite|json)$/.test(name) && name !== MARK);
  const isOther = (name: string): boolean =>
    name.startsWith(OF_A_KEY) ? join(own, name) !== copiesFolder(place) : place.lockedTo !== undefined && isPlain(name);
  for (const name of readdirSync(own).filter(isOther)) rmSync(join(own, name), { recursive: true, force: true });
}

function copyWhole(from: string, to: string, look?: (part: string) => void): void {
  const part = `${to}.part`;
  try {
    copyFileSync(from, part);
    look?.(part);
    onDisk(part);
    renameSync(part, to);
  } finally {
    rmSync(part, { force: true });
  }
}
