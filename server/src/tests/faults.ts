import type { MikroORM } from '@mikro-orm/libsql';

/** Where a transaction is made to fail: before its commit is asked for, by the commit itself, or after it is in the file. */
export type FaultAt = 'before' | 'in' | 'after';

interface Connection {
  prepare(sql: string): { all(): Record<string, string>[] };
  exec(sql: string): void;
  close(): void;
}
type Driver = { new (path: string): Connection; readonly prototype: Connection };

/** The driver's own class of connections, below MikroORM. */
export const driverOf = (orm: MikroORM): Driver =>
  (orm.em.getConnection().getKnex().client as { readonly driver: Driver }).driver;

/** A row no parent stands behind, let through until the commit. */
const ORPHAN = `insert into entry (id, seq, type, happened_on, written_at, written_by, source, job_id)
  values ('00000000-0000-7000-8000-000000000000', 999999, 'note', '2026-01-01', '2026-01-01', 'x', 'hand', 'no such job')`;

const diskFault = (): Error => Object.assign(new Error('disk I/O error'), { code: 'SQLITE_IOERR_FSYNC' });

/** Lets the next commit of this process fail, once; `off` says whether it did. */
export function failNextCommit(orm: MikroORM, at: FaultAt): { readonly off: () => boolean } {
  const prototype = driverOf(orm).prototype;
  const prepare = prototype.prepare;
  let hasFailed = false;
  const off = (): boolean => {
    prototype.prepare = prepare;
    return hasFailed;
  };
  prototype.prepare = function (this: Connection, sql: string) {
    if (!/^commit/i.test(sql)) return prepare.call(this, sql);
    off();
    hasFailed = true;
    if (at === 'before') throw diskFault();
    if (at === 'after') {
      this.exec('commit');
      throw diskFault();
    }
    this.exec('pragma defer_foreign_keys = on');
    this.exec(ORPHAN);
    return prepare.call(this, sql);
  };
  return { off };
}

/** What another program reads in the book's file. */
export function readFile(orm: MikroORM, path: string): { readonly ids: Set<string>; readonly check: string } {
  const db = new (driverOf(orm))(path);
  const all = (sql: string) => db.prepare(sql).all();
  const ids = new Set(
    ['entry', 'herd_group', 'job', 'product', 'season_plan', 'drill', 'job_template'].flatMap((table) =>
      all(`select id from ${table}`).map((row) => row.id ?? ''),
    ),
  );
  const check = [...all('pragma integrity_check'), ...all('pragma foreign_key_check')]
    .map((row) => Object.values(row).join(' '))
    .join('; ');
  db.close();
  return { ids, check };
}
