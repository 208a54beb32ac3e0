import type { Species, SpeciesSettings } from './species';
import { SPECIES_TABLE } from './table';

/** What a holding has set otherwise; whole fields of the table. */
export type SpeciesOverrides = Partial<Readonly<Record<Species, Partial<SpeciesSettings>>>>;

/** The table with the holding's own figures laid over it. */
export function withOverrides(overrides: SpeciesOverrides): Readonly<Record<Species, SpeciesSettings>> {
  return {
    sheep: { ...SPECIES_TABLE.sheep, ...overrides.sheep },
    goat: { ...SPECIES_TABLE.goat, ...overrides.goat },
    rabbit: { ...SPECIES_TABLE.rabbit, ...overrides.rabbit },
    cattle: { ...SPECIES_TABLE.cattle, ...overrides.cattle },
  };
}
