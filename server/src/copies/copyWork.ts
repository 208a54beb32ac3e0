import { join } from 'node:path';
import { localDay } from '../common/localTime';
import { copyBook, thinOut, type CopyWhy } from '../database/bookCopy';
import type { BookPlace } from '../database/bookFolder';
import { copyLoss, type CopyLoss } from '../database/copyLoss';
import { layReady } from '../database/putBack';
import { bringUpToDate } from './bringUpToDate';
import { newKey, type NewKey } from './lock';
import { beginApart, isThere, readSecondPlace } from './secondPlace';

/** A copy to be made, and what it needs to know. */
export interface CopyOrder extends BookPlace {
  /** The clock goes ahead, to try out what comes: nothing is taken out by its date, and nothing goes elsewhere. */
  readonly isTrial: boolean;
  /** None: the second place alone is brought up to date. */
  readonly why: CopyWhy | null;
  /** An instant. */
  readonly now: string;
}
/** How it went. What the machine said is told as it is. */
export interface CopyDone {
  readonly failed: string | null;
  readonly secondFailed: string | null;
}
/** One copy that is looked at or laid ready. */
export interface OneCopy extends BookPlace {
  readonly copy: string;
}

/** What is done with copies in a thread of its own: reading a whole book keeps everybody else waiting. */
export const COPY_WORK = {
  make,
  compare,
  layReady: ({ copy, ...place }: OneCopy): void => layReady(place, copy),
  newKey: ({ passphrase }: { readonly passphrase: string }): Promise<NewKey> => newKey(passphrase),
};

/** Makes a copy, takes out those that are one too many, and brings the second place up to date. */
async function make({ dataDir, dataFile, backupDir, isTrial, why, now }: CopyOrder): Promise<CopyDone> {
  const today = localDay(new Date(now));
  const failed = await messageOf(() => {
    if (why === null) return;
    copyBook(dataFile, backupDir, why, new Date(now));
    if (!isTrial) thinOut(backupDir, today);
  });
  const secondFailed = await messageOf(async () => {
    if (isTrial) return;
    beginApart(dataDir);
    const place = readSecondPlace(dataDir);
    if (place && isThere(place, dataDir)) await bringUpToDate(dataDir, backupDir, place, today);
  });
  return { failed, secondFailed };
}

/** What would change in the book if the copy took its place. */
function compare({ dataFile, backupDir, copy }: OneCopy): CopyLoss {
  return copyLoss(dataFile, join(backupDir, copy));
}

async function messageOf(work: () => void | Promise<void>): Promise<string | null> {
  try {
    await work();
    return null;
  } catch (error) {
    return (error as Error).message;
  }
}
