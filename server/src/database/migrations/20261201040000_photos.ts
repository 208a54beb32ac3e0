import { Migration } from '@mikro-orm/migrations';

/** Photos of animals; the pictures themselves lie in files beside the book. */
export class Migration20261201040000_photos extends Migration {
  override up(): void {
    this.addSql(
      'create table photo_entry (entry_id text not null, picture_id text not null, width integer not null, height integer not null, shows text null, constraint photo_entry_entry_id_foreign foreign key(entry_id) references entry(id) on delete restrict on update cascade, primary key (entry_id))',
    );
  }
}
