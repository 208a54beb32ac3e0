import { Migration } from '@mikro-orm/migrations';

/** How the holding chooses, and the choices that are being made. */
export class Migration20261130100000_choosing extends Migration {
  override up(): void {
    this.addSql('alter table holding add column choosing json null');
    this.addSql(
      'create table choosing_draft (id text not null primary key, species text not null, sex text not null, from_day text null, facts json not null, version integer not null)',
    );
  }
}
