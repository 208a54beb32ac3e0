import { Migration } from '@mikro-orm/migrations';

/** Males that are not in the book, and dams whose embryo another carried. */
export class Migration20261129200000_strangers extends Migration {
  override up(): void {
    this.addSql('alter table service_entry add column other_male text null');
    this.addSql(
      'alter table animal add column donor_id text null constraint animal_donor_id_foreign references animal(id) on delete restrict on update cascade',
    );
    this.addSql('create index animal_donor_id_index on animal (donor_id)');
  }
}
