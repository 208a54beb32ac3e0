import type { CopyReason } from '@yaylak/contract';
import { localDay } from '../common/localTime';
import { copyBook, thinOut } from '../database/bookCopy';
import { beginApart, bringUpToDate, isThere, readSecondPlace } from './secondPlace';

/** A copy to be made, and what it needs to know. */
export interface CopyOrder {
  readonly dataDir: string;
  readonly dataFile: string;
  readonly backupDir: string;
  /** The clock goes ahead, to try out what comes: nothing is taken out by its date, and nothing goes elsewhere. */
  readonly isTrial: boolean;
  /** None: the second place alone is brought up to date. */
  readonly reason: CopyReason | null;
  /** An instant. */
  readonly now: string;
}
/** How it went. What the machine said is told as it is. */
export interface CopyDone {
  readonly failed: string | null;
  readonly secondFailed: string | null;
}

/** Makes a copy, takes out those that are one too many, and brings the second place up to date. */
export function workCopy({ dataDir, dataFile, backupDir, isTrial, reason, now }: CopyOrder): CopyDone {
  const today = localDay(new Date(now));
  const failed = messageOf(() => {
    if (reason === null) return;
    copyBook(dataFile, backupDir, reason, new Date(now));
    if (!isTrial) thinOut(backupDir, today);
  });
  const secondFailed = messageOf(() => {
    if (isTrial) return;
    beginApart(dataDir);
    const place = readSecondPlace(dataDir);
    if (place && isThere(place, dataDir)) bringUpToDate(dataDir, backupDir, place, today);
  });
  return { failed, secondFailed };
}

function messageOf(work: () => void): string | null {
  try {
    work();
    return null;
  } catch (error) {
    return (error as Error).message;
  }
}
