import { Migration } from '@mikro-orm/migrations';

/** Scores, feed mobs and checks; whose hand the others are held against; drills taken. */
export class Migration20261123200000_condition extends Migration {
  override up(): void {
    this.addSql(
      'create table score_entry (entry_id text not null, score double not null, scored_by text not null, constraint score_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table mob_entry (entry_id text not null, mob text not null, suggested text null, constraint mob_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table check_entry (entry_id text not null, what text not null, is_found integer not null, words text null, constraint check_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table drill (id text not null, taken_on text not null, taken_by text not null, answers json not null, primary key (id))',
    );
    this.addSql('alter table holding add column scorers json null');
  }
}
