import { Migration } from '@mikro-orm/migrations';

/** Body measures by stick and tape. */
export class Migration20261130110000_measures extends Migration {
  override up(): void {
    this.addSql(
      'create table measure_entry (entry_id text not null, height_cm double null, length_cm double null, girth_cm double null, constraint measure_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete restrict on update cascade, primary key (entry_id))',
    );
  }
}
