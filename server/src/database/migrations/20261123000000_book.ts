import { Migration } from '@mikro-orm/migrations';

/** The book as it began: holding, groups, jobs, animals, and the entries with a table each. */
export class Migration20261123000000_book extends Migration {
  override up(): void {
    this.addSql(
      'create table animal (id text not null, species text not null, sex text not null, born_on text null, dam_id text null, sire_id text null, birth_type integer null, rearing_type integer null, strain text null, version integer not null, constraint animal_dam_id_foreign foreign key(dam_id) references animal(id) on delete set null on update cascade, constraint animal_sire_id_foreign foreign key(sire_id) references animal(id) on delete set null on update cascade, primary key (id))',
    );
    this.addSql('create index animal_dam_id_index on animal (dam_id)');
    this.addSql('create index animal_sire_id_index on animal (sire_id)');
    this.addSql(
      'create table herd_group (id text not null, name text not null, species text null, is_closed integer not null, version integer not null, primary key (id))',
    );
    this.addSql('create unique index herd_group_name_unique on herd_group (name)');
    this.addSql(
      'create table holding (id integer not null primary key autoincrement, name text not null, keeper text not null, unit text not null, currency text not null, points_weights json not null, species json not null, version integer not null)',
    );
    this.addSql(
      'create table job (id text not null, name text not null, happened_on text not null, started_at text not null, started_by text not null, stations json not null, gates json not null, animal_ids json not null, finished_at text null, primary key (id))',
    );
    this.addSql(
      'create table entry (id text not null, seq integer not null, type text not null, animal_id text null, happened_on text not null, written_at text not null, written_by text not null, source text not null, job_id text null, struck_by_id text null, constraint entry_animal_id_foreign foreign key(animal_id) references animal(id) on delete set null on update cascade, constraint entry_job_id_foreign foreign key(job_id) references job(id) on delete set null on update cascade, constraint entry_struck_by_id_foreign foreign key(struck_by_id) references entry(id) on delete set null on update cascade, primary key (id))',
    );
    this.addSql('create unique index entry_seq_unique on entry (seq)');
    this.addSql('create index entry_animal_id_index on entry (animal_id)');
    this.addSql('create index entry_job_id_index on entry (job_id)');
    this.addSql('create index entry_struck_by_id_index on entry (struck_by_id)');
    this.addSql(
      'create table identifier_end_entry (entry_id text not null, identifier_id text not null, how text not null, reason text null, constraint identifier_end_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, constraint identifier_end_entry_identifier_id_foreign foreign key(identifier_id) references entry(id) on update cascade, primary key (entry_id))',
    );
    this.addSql('create index identifier_end_entry_identifier_id_index on identifier_end_entry (identifier_id)');
    this.addSql(
      'create table identifier_entry (entry_id text not null, kind text not null, text text not null, colour text null, ear text null, constraint identifier_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table departure_entry (entry_id text not null, how text not null, reason text null, constraint departure_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table choice_entry (entry_id text not null, decision text not null, suggested text null, among text not null, place integer null, "of" integer null, reason text null, constraint choice_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table arrival_entry (entry_id text not null, how text not null, constraint arrival_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table mark_entry (entry_id text not null, colour text not null, place text not null, purpose text not null, until text null, constraint mark_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table move_entry (entry_id text not null, group_id text not null, constraint move_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, constraint move_entry_group_id_foreign foreign key(group_id) references herd_group(id) on update cascade, primary key (entry_id))',
    );
    this.addSql('create index move_entry_group_id_index on move_entry (group_id)');
    this.addSql(
      'create table note_entry (entry_id text not null, text text not null, constraint note_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table passage_entry (entry_id text not null, gate text null, constraint passage_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table strike_entry (entry_id text not null, struck_entry_id text not null, reason text null, constraint strike_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, constraint strike_entry_struck_entry_id_foreign foreign key(struck_entry_id) references entry(id) on update cascade, primary key (entry_id))',
    );
    this.addSql('create unique index strike_entry_struck_entry_id_unique on strike_entry (struck_entry_id)');
    this.addSql(
      'create table weight_entry (entry_id text not null, kg double not null, method text not null, constraint weight_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
  }
}
