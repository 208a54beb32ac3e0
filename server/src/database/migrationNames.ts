/** The steps of the book's form, in their order. Known apart from what they do: a start with none waiting loads no more. */
export const MIGRATION_NAMES = [
  '20261123000000_book',
  '20261123100000_stations',
  '20261123200000_condition',
  '20261124000000_season',
  '20261124100000_mating',
  '20261126000000_carrying',
  '20261126100000_births',
  '20261129000000_restrict',
  '20261129100000_stayReason',
  '20261129200000_strangers',
  '20261129300000_leaving',
  '20261129400000_jobDay',
  '20261129500000_jobDiscarded',
  '20261129600000_birthKnown',
  '20261129700000_passedWhy',
  '20261129800000_dateOrder',
  '20261129900000_reserved',
  '20261130000000_decisionMarks',
  '20261130100000_choosing',
  '20261130110000_measures',
  '20261130120000_selling',
  '20261130130000_sales',
  '20261130140000_carcasses',
  '20261130150000_loads',
  '20261130160000_bought',
  '20261130170000_haulage',
  '20261130180000_keeps',
  '20261201010000_weekStart',
  '20261201040000_photos',
  '20261201220000_changes',
] as const;

export type MigrationName = (typeof MIGRATION_NAMES)[number];

/** The first step a book was brought by that this version does not know: a newer one wrote it. */
export const unknownStep = (run: readonly { readonly name: string }[]): string | undefined =>
  run.find(({ name }) => !(MIGRATION_NAMES as readonly string[]).includes(name))?.name;
