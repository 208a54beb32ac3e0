import { Migration } from '@mikro-orm/migrations';

/**
 * Nothing that is spoken of can be deleted, whoever tries: until here an entry's own row, and the strike of one, went
 * with it, and a group, an animal or a tag that was deleted left a hole in what spoke of it.
 *
 * Only what the tables say of themselves changes, not a row of theirs, so it is put right where SQLite keeps it; the
 * steps are those its own documentation gives for this ("Making Other Kinds Of Table Schema Changes").
 */
export class Migration20261129000000_restrict extends Migration {
  override async up(): Promise<void> {
    const [row] = (await this.execute('pragma schema_version')) as { schema_version: number }[];
    await this.execute('pragma writable_schema = on');
    for (const rule of ['on delete cascade', 'on delete set null'])
      await this.execute(
        `update sqlite_master set sql = replace(sql, '${rule}', 'on delete restrict') where type = 'table'`,
      );
    await this.execute(`pragma schema_version = ${(row?.schema_version ?? 0) + 1}`);
    await this.execute('pragma writable_schema = off');
  }
}
