import { Migration } from '@mikro-orm/migrations';

/** Why a male was put in with females he should not run with. */
export class Migration20261129100000_stayReason extends Migration {
  override up(): void {
    this.addSql('alter table stay_entry add column reason text null');
  }
}
