import { Migration } from '@mikro-orm/migrations';

/** Plans of the year, what they are held against, and the calendar they go out in. */
export class Migration20261124000000_season extends Migration {
  override up(): void {
    this.addSql(
      'create table season_plan (id text not null, facts json not null, version integer not null, primary key (id))',
    );
    this.addSql('alter table holding add column resources json null');
    this.addSql('alter table holding add column calendar json null');
    this.addSql('alter table holding add column calendar_key text null');
  }
}
