import { Migration20261123000000_book } from './20261123000000_book';
import { Migration20261123100000_stations } from './20261123100000_stations';
import { Migration20261123200000_condition } from './20261123200000_condition';
import { Migration20261124100000_mating } from './20261124100000_mating';
import { Migration20261124000000_season } from './20261124000000_season';
import { Migration20261126000000_carrying } from './20261126000000_carrying';
import { Migration20261126100000_births } from './20261126100000_births';

/** In the order they are run; listed by hand, so that nothing is looked for on disk. */
export const MIGRATIONS = [
  { name: '20261123000000_book', class: Migration20261123000000_book },
  { name: '20261123100000_stations', class: Migration20261123100000_stations },
  { name: '20261123200000_condition', class: Migration20261123200000_condition },
  { name: '20261124000000_season', class: Migration20261124000000_season },
  { name: '20261124100000_mating', class: Migration20261124100000_mating },
  { name: '20261126000000_carrying', class: Migration20261126000000_carrying },
  { name: '20261126100000_births', class: Migration20261126100000_births },
];
