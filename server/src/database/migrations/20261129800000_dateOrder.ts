import { Migration } from '@mikro-orm/migrations';

/** The order the holding writes day, month and year in. */
export class Migration20261129800000_dateOrder extends Migration {
  override up(): void {
    this.addSql('alter table holding add column date_order text null');
  }
}
