import { Migration } from '@mikro-orm/migrations';

/** What a trip cost for each head that went. */
export class Migration20261130170000_haulage extends Migration {
  override up(): void {
    this.addSql('alter table departure_entry add column haulage_minor integer null');
  }
}
