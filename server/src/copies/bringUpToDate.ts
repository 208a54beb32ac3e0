import { copyFileSync, existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { Day } from '@yaylak/core';
import { onDisk, writeWhole } from '../common/wholeFile';
import { copiesIn, factsFile, thinOut, type CopyWhy } from '../database/bookCopy';
import { backupFiles, brokenIn } from '../database/bookFolder';
import { lockFile } from './lock';
import {
  copiesFolder,
  endingOf,
  folderIn,
  keepSecondPlace,
  KEY_FILE,
  MARK,
  OF_A_KEY,
  OWN_KEY_FILE,
  PICTURES,
  type SecondPlace,
} from './secondPlace';

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
