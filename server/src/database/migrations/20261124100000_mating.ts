import { Migration } from '@mikro-orm/migrations';

/** Heats, services, males put in and taken out, their checks, and tests of genes. */
export class Migration20261124100000_mating extends Migration {
  override up(): void {
    this.addSql(
      'create table heat_entry (entry_id text not null, at text not null, signs json not null, constraint heat_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table service_entry (entry_id text not null, way text not null, at text null, male_ids json not null, straw text null, batch text null, technician text null, colour text null, is_witnessed integer null, is_check integer null, reason text null, constraint service_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table stay_entry (entry_id text not null, group_id text not null, colour text null, is_teaser integer null, constraint stay_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, constraint stay_entry_group_id_foreign foreign key(group_id) references herd_group(id) on update cascade, primary key (entry_id))',
    );
    this.addSql('create index stay_entry_group_id_index on stay_entry (group_id)');
    this.addSql(
      'create table stay_end_entry (entry_id text not null, stay_id text not null, constraint stay_end_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, constraint stay_end_entry_stay_id_foreign foreign key(stay_id) references entry(id) on update cascade, primary key (entry_id))',
    );
    this.addSql('create index stay_end_entry_stay_id_index on stay_end_entry (stay_id)');
    this.addSql(
      'create table harness_entry (entry_id text not null, stay_id text not null, colour text not null, constraint harness_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, constraint harness_entry_stay_id_foreign foreign key(stay_id) references entry(id) on update cascade, primary key (entry_id))',
    );
    this.addSql('create index harness_entry_stay_id_index on harness_entry (stay_id)');
    this.addSql(
      'create table male_check_entry (entry_id text not null, grades json not null, girth_cm double null, constraint male_check_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table gene_test_entry (entry_id text not null, gene text not null, result text not null, laboratory text null, constraint gene_test_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
  }
}
