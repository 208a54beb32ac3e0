import { Migration } from '@mikro-orm/migrations';

/** The day a holding's week begins on; not said: Monday. */
export class Migration20261201010000_weekStart extends Migration {
  override up(): void {
    this.addSql('alter table holding add column week_start text null');
  }
}
