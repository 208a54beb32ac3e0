import { Migration } from '@mikro-orm/migrations';

/** Births, what follows them, fosterings, weanings, and what an animal died of. */
export class Migration20261126100000_births extends Migration {
  override up(): void {
    this.addSql('alter table departure_entry add column cause text null');
    this.addSql(
      'create table birth_entry (entry_id text not null, at text null, alive integer not null, dead integer not null, dead_young json null, ease text not null, presentation text null, help text null, mothering text null, afterbirth text null, litter_kg double null, species text null, reason text null, constraint birth_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table afterbirth_entry (entry_id text not null, state text not null, constraint afterbirth_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table colostrum_entry (entry_id text not null, at text not null, how text not null, constraint colostrum_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table fostering_entry (entry_id text not null, dam_id text null, reason text null, constraint fostering_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, constraint fostering_entry_dam_id_foreign foreign key(dam_id) references animal(id) on delete set null on update cascade, primary key (entry_id))',
    );
    this.addSql('create index fostering_entry_dam_id_index on fostering_entry (dam_id)');
    this.addSql(
      'create table weaning_entry (entry_id text not null, is_done integer not null, constraint weaning_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table feed_entry (entry_id text not null, since text not null, feed text not null, kg double not null, price_minor integer not null, constraint feed_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table pen_stage_entry (entry_id text not null, stage text not null, pen text null, constraint pen_stage_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
  }
}
