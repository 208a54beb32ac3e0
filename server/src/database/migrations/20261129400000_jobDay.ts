import { Migration } from '@mikro-orm/migrations';

/** Whether a job is entered on purpose for its own day. */
export class Migration20261129400000_jobDay extends Migration {
  override up(): void {
    this.addSql('alter table job add column is_for_its_day integer null');
  }
}
