/** What is asked of one of the driver's own connections. */
export interface RawConnection {
  readonly inTransaction: boolean;
  exec(sql: string): void;
}

/** Milliseconds another program's lock on the file is waited for. */
const BUSY_MS = 2000;

/**
 * The settings of the pool of connections. The pool renews a connection every ten seconds, and what was set on the old
 * one goes with it; and a transaction whose commit failed is left open by the layers above, so that everything written
 * after it would be acknowledged and never reach the file. Both are looked after here, on every connection.
 */
export const POOL = {
  afterCreate(raw: RawConnection, done: (error: unknown, raw: RawConnection) => void): void {
    try {
      // Every acknowledged entry must outlive a pulled plug: full, not the faster normal.
      raw.exec('pragma synchronous = full');
      raw.exec('pragma foreign_keys = on');
      raw.exec(`pragma busy_timeout = ${BUSY_MS}`);
      done(undefined, raw);
    } catch (error) {
      done(error, raw);
    }
  },
  /** Asked before a connection is lent out: whatever transaction is still open on it belongs to nobody. */
  validate(raw: RawConnection): boolean {
    if (!raw.inTransaction) return true;
    try {
      raw.exec('rollback');
    } catch {
      return false;
    }
    return !raw.inTransaction;
  },
};
