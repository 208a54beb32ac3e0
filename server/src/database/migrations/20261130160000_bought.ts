import { Migration } from '@mikro-orm/migrations';

/** What was paid for an animal that was bought. */
export class Migration20261130160000_bought extends Migration {
  override up(): void {
    this.addSql('alter table animal add column bought_minor integer null');
  }
}
