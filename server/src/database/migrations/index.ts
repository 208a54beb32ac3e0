import { Migration20261123000000_book } from './20261123000000_book';

/** In the order they are run; listed by hand, so that nothing is looked for on disk. */
export const MIGRATIONS = [{ name: '20261123000000_book', class: Migration20261123000000_book }];
