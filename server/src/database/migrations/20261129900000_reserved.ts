import { Migration } from '@mikro-orm/migrations';

/** Animals kept for a buyer, and let go again. */
export class Migration20261129900000_reserved extends Migration {
  override up(): void {
    this.addSql(
      'create table reservation_entry (entry_id text not null, buyer text not null, until text null, price_minor integer null, deposit_minor integer null, constraint reservation_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete restrict on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table release_entry (entry_id text not null, reservation_id text not null, constraint release_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete restrict on update cascade, constraint release_entry_reservation_id_foreign foreign key(reservation_id) references entry(id) on delete restrict on update cascade, primary key (entry_id))',
    );
    this.addSql('create index release_entry_reservation_id_index on release_entry (reservation_id)');
  }
}
