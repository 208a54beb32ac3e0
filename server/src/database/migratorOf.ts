import type { IMigrator } from '@mikro-orm/core';
import type { MikroORM } from '@mikro-orm/libsql';

/** What brings a book's form up to date; loaded only when it is asked for, as a start seldom has anything to migrate. */
export async function migratorOf(orm: MikroORM): Promise<IMigrator> {
  const [{ Migrator }, { MIGRATIONS }] = await Promise.all([import('@mikro-orm/migrations'), import('./migrations')]);
  orm.config.set('migrations', {
    ...orm.config.get('migrations'),
    migrationsList: MIGRATIONS,
    snapshot: false,
    tableName: 'migration',
  });
  Migrator.register(orm);
  return orm.migrator;
}
