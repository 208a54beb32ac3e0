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
import { randomUUID } from 'node:crypto';
import { isAbsolute, join, relative, resolve } from 'node:path';
import { say } from '@yaylak/contract';
import type { Day } from '@yaylak/core';
import { onDisk, writeWhole } from '../common/wholeFile';
import { copiesIn, factsFile, thinOut } from '../database/bookCopy';
import { backupFiles, brokenIn } from '../database/bookFolder';

/** Kept beside the book: it is of this computer, and no part of the book. */
const SETTINGS = 'second-place.json';
/** Kept in the second place: an empty folder where a stick was is not the stick. */
const MARK = 'yaylak-copies.json';
const PICTURES = 'photos';

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
}

/** Where in the second place this book's copies lie. */
export const folderIn = ({ path, id }: Pick<SecondPlace, 'path' | 'id'>): string =>
  join(path, `yaylak-${id.slice(0, 8)}`);

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
  const place: SecondPlace = { path, id, dataDir, lastAt: null };
  mkdirSync(folderIn(place), { recursive: true });
  writeWhole(join(folderIn(place), MARK), JSON.stringify({ id }));
  keepSecondPlace(dataDir, place);
}
/** A book that was moved or copied begins a folder of its own where its copies went before: those there are not its. */
export function beginApart(dataDir: string): void {
  const place = readSecondPlace(dataDir);
  if (place && place.dataDir !== dataDir && existsSync(place.path)) nameSecondPlace(dataDir, place.path);
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
 * file has its name there only when it is whole.
 * @throws Error what the machine says; what lay there before lies there still
 */
export function bringUpToDate(dataDir: string, backupDir: string, place: SecondPlace, today: Day): void {
  const there = folderIn(place);
  const newest = backupFiles(backupDir).at(-1);
  if (newest !== undefined && !existsSync(join(there, newest))) {
    const to = join(there, newest);
    copyWhole(join(backupDir, newest), to, (part) => {
      const broken = brokenIn(part, 'integrity_check');
      if (broken !== undefined) throw new Error(`The copy came out damaged (${broken}).`);
    });
    copyWhole(factsFile(join(backupDir, newest)), factsFile(to));
  }
  const pictures = join(dataDir, PICTURES);
  if (existsSync(pictures)) {
    mkdirSync(join(there, PICTURES), { recursive: true });
    for (const name of readdirSync(pictures).filter((n) => n.endsWith('.jpg')))
      if (!existsSync(join(there, PICTURES, name))) copyWhole(join(pictures, name), join(there, PICTURES, name));
  }
  thinOut(there, today);
  const last = copiesIn(there).at(-1);
  keepSecondPlace(dataDir, { ...place, lastAt: last?.madeAt.toISOString() ?? null });
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
