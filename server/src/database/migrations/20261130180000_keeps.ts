import { Migration } from '@mikro-orm/migrations';

/** The species a holding keeps; none named: all of them. */
export class Migration20261130180000_keeps extends Migration {
  override up(): void {
    this.addSql('alter table holding add column keeps json null');
  }
}
