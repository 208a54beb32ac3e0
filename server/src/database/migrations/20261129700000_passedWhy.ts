import { Migration } from '@mikro-orm/migrations';

/** Why an animal passed the race without what the job is for. */
export class Migration20261129700000_passedWhy extends Migration {
  override up(): void {
    this.addSql('alter table passage_entry add column why text null');
  }
}
