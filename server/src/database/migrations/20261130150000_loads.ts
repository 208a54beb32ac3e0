import { Migration } from '@mikro-orm/migrations';

/** Loads that are planned. */
export class Migration20261130150000_loads extends Migration {
  override up(): void {
    this.addSql('create table sale_load (id text not null primary key, facts json not null, version integer not null)');
  }
}
