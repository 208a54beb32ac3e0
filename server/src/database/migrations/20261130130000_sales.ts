import { Migration } from '@mikro-orm/migrations';

/** Where one that left went, to whom, for what and at what weight. */
export class Migration20261130130000_sales extends Migration {
  override up(): void {
    for (const column of ['outlet_id text', 'buyer text', 'price_minor integer', 'kg double'])
      this.addSql(`alter table departure_entry add column ${column} null`);
  }
}
