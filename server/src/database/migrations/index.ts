import type { Constructor } from '@mikro-orm/core';
import type { Migration } from '@mikro-orm/migrations';
import { MIGRATION_NAMES, type MigrationName } from '../migrationNames';
import { Migration20261123000000_book } from './20261123000000_book';
import { Migration20261123100000_stations } from './20261123100000_stations';
import { Migration20261123200000_condition } from './20261123200000_condition';
import { Migration20261124100000_mating } from './20261124100000_mating';
import { Migration20261124000000_season } from './20261124000000_season';
import { Migration20261126000000_carrying } from './20261126000000_carrying';
import { Migration20261126100000_births } from './20261126100000_births';
import { Migration20261129000000_restrict } from './20261129000000_restrict';
import { Migration20261129100000_stayReason } from './20261129100000_stayReason';
import { Migration20261129200000_strangers } from './20261129200000_strangers';
import { Migration20261129300000_leaving } from './20261129300000_leaving';
import { Migration20261129400000_jobDay } from './20261129400000_jobDay';
import { Migration20261129500000_jobDiscarded } from './20261129500000_jobDiscarded';
import { Migration20261129600000_birthKnown } from './20261129600000_birthKnown';
import { Migration20261129700000_passedWhy } from './20261129700000_passedWhy';
import { Migration20261129800000_dateOrder } from './20261129800000_dateOrder';
import { Migration20261129900000_reserved } from './20261129900000_reserved';
import { Migration20261130000000_decisionMarks } from './20261130000000_decisionMarks';
import { Migration20261130100000_choosing } from './20261130100000_choosing';
import { Migration20261130110000_measures } from './20261130110000_measures';
import { Migration20261130120000_selling } from './20261130120000_selling';
import { Migration20261130130000_sales } from './20261130130000_sales';
import { Migration20261130140000_carcasses } from './20261130140000_carcasses';
import { Migration20261130150000_loads } from './20261130150000_loads';
import { Migration20261130160000_bought } from './20261130160000_bought';
import { Migration20261130170000_haulage } from './20261130170000_haulage';
import { Migration20261130180000_keeps } from './20261130180000_keeps';
import { Migration20261201010000_weekStart } from './20261201010000_weekStart';
import { Migration20261201040000_photos } from './20261201040000_photos';
import { Migration20261201220000_changes } from './20261201220000_changes';

/** What each step does; listed by hand, so that nothing is looked for on disk. */
const STEPS: Readonly<Record<MigrationName, new (...args: never[]) => Migration>> = {
  '20261123000000_book': Migration20261123000000_book,
  '20261123100000_stations': Migration20261123100000_stations,
  '20261123200000_condition': Migration20261123200000_condition,
  '20261124000000_season': Migration20261124000000_season,
  '20261124100000_mating': Migration20261124100000_mating,
  '20261126000000_carrying': Migration20261126000000_carrying,
  '20261126100000_births': Migration20261126100000_births,
  '20261129000000_restrict': Migration20261129000000_restrict,
  '20261129100000_stayReason': Migration20261129100000_stayReason,
  '20261129200000_strangers': Migration20261129200000_strangers,
  '20261129300000_leaving': Migration20261129300000_leaving,
  '20261129400000_jobDay': Migration20261129400000_jobDay,
  '20261129500000_jobDiscarded': Migration20261129500000_jobDiscarded,
  '20261129600000_birthKnown': Migration20261129600000_birthKnown,
  '20261129700000_passedWhy': Migration20261129700000_passedWhy,
  '20261129800000_dateOrder': Migration20261129800000_dateOrder,
  '20261129900000_reserved': Migration20261129900000_reserved,
  '20261130000000_decisionMarks': Migration20261130000000_decisionMarks,
  '20261130100000_choosing': Migration20261130100000_choosing,
  '20261130110000_measures': Migration20261130110000_measures,
  '20261130120000_selling': Migration20261130120000_selling,
  '20261130130000_sales': Migration20261130130000_sales,
  '20261130140000_carcasses': Migration20261130140000_carcasses,
  '20261130150000_loads': Migration20261130150000_loads,
  '20261130160000_bought': Migration20261130160000_bought,
  '20261130170000_haulage': Migration20261130170000_haulage,
  '20261130180000_keeps': Migration20261130180000_keeps,
  '20261201010000_weekStart': Migration20261201010000_weekStart,
  '20261201040000_photos': Migration20261201040000_photos,
  '20261201220000_changes': Migration20261201220000_changes,
};

/** In the order they are run. */
export const MIGRATIONS = MIGRATION_NAMES.map((name) => ({ name, class: STEPS[name] as Constructor<Migration> }));
