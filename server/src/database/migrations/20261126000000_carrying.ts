import { Migration } from '@mikro-orm/migrations';

/** Tests for young, losses, what is done with empty ones, and steps before a birth; tubes that results were read from. */
export class Migration20261126000000_carrying extends Migration {
  override up(): void {
    this.addSql('alter table sample_entry add column reason text null');
    this.addSql(
      'alter table gene_test_entry add column sample_id text null constraint gene_test_entry_sample_id_foreign references entry(id) on update cascade on delete set null',
    );
    this.addSql('create index gene_test_entry_sample_id_index on gene_test_entry (sample_id)');
    this.addSql(
      'create table pregnancy_test_entry (entry_id text not null, way text not null, result text not null, young integer null, age_days integer null, findings json null, tested_by text null, learner text null, learner_age_days integer null, sample_id text null, laboratory text null, reason text null, constraint pregnancy_test_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, constraint pregnancy_test_entry_sample_id_foreign foreign key(sample_id) references entry(id) on delete set null on update cascade, primary key (entry_id))',
    );
    this.addSql('create index pregnancy_test_entry_sample_id_index on pregnancy_test_entry (sample_id)');
    this.addSql(
      'create table loss_entry (entry_id text not null, how text not null, words text null, constraint loss_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table way_on_entry (entry_id text not null, decision text not null, suggested text null, chance double null, evidence text null, reason text null, constraint way_on_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
    this.addSql(
      'create table carrying_step_entry (entry_id text not null, step text not null, constraint carrying_step_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete cascade on update cascade, primary key (entry_id))',
    );
  }
}
