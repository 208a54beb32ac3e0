import { join } from 'node:path';
import Database from 'libsql';

/** Gives a folder free again. */
export type Unlock = () => void;

/**
 * Takes a folder for this process alone. The lock is SQLite's own, on a file beside the book: the machine lets go of it
 * when the process ends, however it ends, so that nothing is left behind to be cleared away.
 * @throws Error in words when another Yaylak has the folder
 */
export function lockFolder(dataDir: string): Unlock {
  const lock = new Database(join(dataDir, 'yaylak.lock'));
  try {
    lock.exec('pragma locking_mode = exclusive');
    lock.exec('begin exclusive');
  } catch (cause) {
    lock.close();
    if (!/locked|busy/i.test((cause as Error).message)) throw cause;
    throw new Error(
      `Another Yaylak is working in ${dataDir}. Use that one, or end it before you start this one; two on one book would each show half.`,
      { cause },
    );
  }
  return () => {
    lock.exec('rollback');
    lock.close();
  };
}
