import { UNKNOWN, type Pedigree } from './arrays';
import { relationshipsWith } from './inbreeding';

/** Kinships of some animals with others: the inbreeding a young of the two would have. */
export interface KinshipTable {
  readonly rows: readonly string[];
  readonly columns: readonly string[];
  /** Row by row. */
  readonly values: Float64Array;
}

/**
 * Kinship (coancestry, Malécot 1948) of each of some animals with each of others: half their additive relationship,
 * which is the inbreeding coefficient of their young. One sweep of the pedigree a row (Colleau 2002), no full matrix;
 * give the shorter list as rows. Animals that are not in the pedigree are kin to nobody.
 * @param inbreeding  as `inbreedingOf` gives it
 */
export function kinshipTable(
  pedigree: Pedigree,
  inbreeding: Float64Array,
  rows: readonly string[],
  columns: readonly string[],
): KinshipTable {
  const relationships = relationshipsWith(pedigree, inbreeding);
  const at = Int32Array.from(columns, (id) => pedigree.indexOf.get(id) ?? UNKNOWN);
  const values = new Float64Array(rows.length * columns.length);
  rows.forEach((id, r) => {
    const animal = pedigree.indexOf.get(id);
    if (animal === undefined) return;
    relationships(animal, at).forEach((relationship, c) => {
      values[r * columns.length + c] = relationship / 2;
    });
  });
  return { rows, columns, values };
}

/** Kinship of two animals: the inbreeding coefficient of their young. */
export const kinship = (pedigree: Pedigree, inbreeding: Float64Array, a: string, b: string): number =>
  kinshipTable(pedigree, inbreeding, [a], [b]).values[0] ?? 0;
