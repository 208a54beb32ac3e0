import { Migration } from '@mikro-orm/migrations';

/** When a job was put away. */
export class Migration20261129500000_jobDiscarded extends Migration {
  override up(): void {
    this.addSql('alter table job add column discarded_at text null');
  }
}
