import type { CopyCounts } from '@yaylak/contract';
import Database from 'libsql';

/** What a copy and the book have that the other has not. */
export interface CopyLoss {
  readonly gone: CopyCounts;
  readonly back: CopyCounts;
  /** Ids of the entries last written among those that would be gone, the newest first. */
  readonly newest: readonly string[];
}

/** As many as are shown. */
const NEWEST = 20;

/**
 * Holds a copy against the book, which may be open and written meanwhile. Entries and animals are known by their ids, which
 * never change: 400,000 are compared in under a second.
 * @throws Error what the machine says
 */
export function copyLoss(dataFile: string, copy: string): CopyLoss {
  const book = new Database(dataFile);
  try {
    book.prepare('attach ? as copy').run(copy);
    const rows = <T>(sql: string): T[] => book.prepare(sql).all() as T[];
    const only = (table: string, here: string, there: string): number =>
      rows<{ readonly n: number }>(
        `select count(*) n from ${here}.${table} where id not in (select id from ${there}.${table})`,
      )[0]?.n ?? 0;
    const counts = (here: string, there: string): CopyCounts => ({
      entries: only('entry', here, there),
      animals: only('animal', here, there),
    });
    return {
      gone: counts('main', 'copy'),
      back: counts('copy', 'main'),
      newest: rows<{ readonly id: string }>(
        `select id from main.entry where id not in (select id from copy.entry) order by seq desc limit ${NEWEST}`,
      ).map(({ id }) => id),
    };
  } finally {
    book.close();
  }
}
