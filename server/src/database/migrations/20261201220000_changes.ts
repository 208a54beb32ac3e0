import { Migration } from '@mikro-orm/migrations';

/** What settings, records, labels, plans and choices said before they were changed. */
export class Migration20261201220000_changes extends Migration {
  override up(): void {
    this.addSql(
      'create table change (id text not null, at text not null, changed_by text not null, what text not null, thing_id text not null, before json null, after json null, primary key (id))',
    );
    this.addSql('create index change_of_thing on change (what, thing_id, id)');
  }
}
