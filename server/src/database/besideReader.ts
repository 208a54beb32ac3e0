import type { MikroORM } from '@mikro-orm/libsql';
import Database from 'libsql/promise';

type Given = readonly (string | number)[];

/**
 * Reads what is committed in a book, on a connection of its own and beside the server's thread: what SQLite takes for it
 * stops nobody.
 */
export interface BesideReader {
  /**
   * Rows of a select.
   * @throws Error what the machine says
   */
  all<T>(sql: string, given?: Given): Promise<T[]>;
  close(): void;
}

/** Opens one for the file of a book that is open. */
export function readBeside(orm: Pick<MikroORM['em'], 'config'>): BesideReader {
  const db = new Database(String(orm.config.get('dbName')), {});
  return {
    async all<T>(sql: string, given: Given = []): Promise<T[]> {
      const statement = (await db.prepare(sql)) as { all(...given: Given): Promise<T[]> };
      return statement.all(...given);
    },
    close: () => db.close(),
  };
}
