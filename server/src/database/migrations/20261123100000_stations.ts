import { Migration } from '@mikro-orm/migrations';

/** Remedies, what is taken and done at the stations of a job, and the templates they are kept in. */
export class Migration20261123100000_stations extends Migration {
  override up(): void {
    this.addSql(
      'create table care_entry (entry_id text not null, kind text not null, method text null, constraint care_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table litter_weight_entry (entry_id text not null, total_kg double not null, count integer not null, tare_kg double null, constraint litter_weight_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table look_entry (entry_id text not null, grades json not null, constraint look_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table product (id text not null, facts json not null, is_closed integer not null, version integer not null, primary key (id))',
    );
    this.addSql(
      'create table sample_entry (entry_id text not null, tube text not null, purpose text not null, constraint sample_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
    this.addSql('create table job_template (id text not null, facts json not null, primary key (id))');
    this.addSql(
      'create table treatment_entry (entry_id text not null, product_id text not null, amount double not null, unit text not null, route text not null, batch text null, reason text null, prescribed_by text null, dose_kg double null, dose_method text null, meat_days integer null, milk_days integer null, is_off_label integer null, constraint treatment_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, constraint treatment_entry_product_id_foreign foreign key(product_id) references product(id) on update cascade, primary key (entry_id))',
    );
    this.addSql('create index treatment_entry_product_id_index on treatment_entry (product_id)');
    this.addSql('alter table holding add column standards json null');
    this.addSql('alter table holding add column blank_tags json null');
    this.addSql('alter table job add column settings json null');
    this.addSql('alter table identifier_entry add column shape text null');
    this.addSql('alter table passage_entry add column suggested text null');
    this.addSql('alter table weight_entry add column tare_kg double null');
  }
}
