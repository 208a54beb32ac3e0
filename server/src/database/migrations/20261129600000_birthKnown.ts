import { Migration } from '@mikro-orm/migrations';

/** How far a birth is known, where the day is not. */
export class Migration20261129600000_birthKnown extends Migration {
  override up(): void {
    this.addSql('alter table animal add column birth_known_to text null');
  }
}
