import { Migration } from '@mikro-orm/migrations';

/** Where animals are sold, and how finished they were found. */
export class Migration20261130120000_selling extends Migration {
  override up(): void {
    this.addSql(
      'create table finish_entry (entry_id text not null, shape integer null, fat json null, constraint finish_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete restrict on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table outlet (id text not null primary key, facts json not null, is_closed integer not null, version integer not null)',
    );
  }
}
