import { Migration } from '@mikro-orm/migrations';

/** What is sprayed on whom a choice keeps, puts second, or sells. */
export class Migration20261130000000_decisionMarks extends Migration {
  override up(): void {
    this.addSql('alter table holding add column decision_marks json null');
  }
}
