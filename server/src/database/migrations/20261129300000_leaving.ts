import { Migration } from '@mikro-orm/migrations';

/** To which last day of a withdrawal a buyer was told. */
export class Migration20261129300000_leaving extends Migration {
  override up(): void {
    this.addSql('alter table departure_entry add column told_until text null');
  }
}
