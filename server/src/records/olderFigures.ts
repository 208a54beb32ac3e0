import { GRANDPARENT_RULES, HEAT_SCHOOLS, SPECIES, SPECIES_TABLE, WEANING_WAYS } from '@yaylak/core';

type Fields = Record<string, unknown>;

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Choices that were kept as numbers, by the end of their path: the name now, and the old numbers' meanings. */
const NUMBERED: readonly { readonly was: string; readonly is: string; readonly of: (n: number) => unknown }[] = [
  { was: 'weaningWay', is: 'weaningWay', of: (n) => WEANING_WAYS[n - 1] },
  { was: 'morningEvening', is: 'heatSchool', of: (n) => HEAT_SCHOOLS[n] },
  { was: 'grandparents', is: 'grandparents', of: (n) => GRANDPARENT_RULES[1 - n] },
  { was: 'isUsed', is: 'isUsed', of: (n) => n > 0 },
];

/**
 * A holding's own species figures as an earlier version kept them, brought up to the table of today: choices that were
 * numbers get their names, and a set of figures that has grown since has the table's for the new ones. What is of
 * today already stays as it is.
 */
export function fromOlder(species: unknown): unknown {
  if (!isFields(species)) return species;
  return Object.fromEntries(
    Object.entries(species).map(([name, fields]) => {
      const shipped = SPECIES.find((s) => s === name);
      if (shipped === undefined || !isFields(fields)) return [name, fields];
      return [name, grown(fields, SPECIES_TABLE[shipped] as unknown as Fields, false)];
    }),
  );
}

/** @param isWhole figures that are missing are the table's; at the top only those are there that the holding set */
function grown(own: Fields, shipped: Fields, isWhole: boolean): Fields {
  const known: Fields = isWhole ? { ...shipped } : {};
  for (const [key, value] of Object.entries(own)) {
    const numbered = typeof value === 'number' ? NUMBERED.find((n) => n.was === key) : undefined;
    const name = numbered?.is ?? key;
    const table = shipped[name];
    if (numbered) known[name] = numbered.of(value as number) ?? table;
    else known[name] = isFields(value) && isFields(table) ? grown(value, table, true) : value;
  }
  return known;
}
