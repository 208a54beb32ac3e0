import { Migration } from '@mikro-orm/migrations';

/** What came back of those that were killed. */
export class Migration20261130140000_carcasses extends Migration {
  override up(): void {
    this.addSql(
      'create table carcass_entry (entry_id text not null, carcass_kg double not null, shape integer null, fat integer null, price_minor integer null, deducted_minor integer null, outlet_id text null, constraint carcass_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete restrict on update cascade, primary key (entry_id))',
    );
  }
}
