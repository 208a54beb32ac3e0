import { samplingVariance, UNKNOWN, type Pedigree } from '../pedigree';
import type { SymmetricBuilder } from './sparseSymmetric';

/**
 * Adds the inverse of the relationship matrix, times a factor, to equations from `offset` on, in the order of the
 * pedigree: 1/d among an animal and minus half its parents, d its Mendelian sampling (Henderson 1976; Quaas 1976 with
 * inbreeding).
 * @param inbreeding by animal of the pedigree
 */
export function addInverseRelationship(
  to: SymmetricBuilder,
  pedigree: Pedigree,
  {
    inbreeding,
    factor,
    offset,
  }: { readonly inbreeding: Float64Array; readonly factor: number; readonly offset: number },
): void {
  const { sire, dam } = pedigree;
  for (let i = 0; i < sire.length; i++) {
    const weight = factor / samplingVariance(pedigree, inbreeding, i);
    const parents = [sire[i] as number, dam[i] as number].filter((p) => p !== UNKNOWN);
    to.add(offset + i, offset + i, weight);
    for (const p of parents) {
      to.add(offset + i, offset + p, -weight / 2);
      to.add(offset + p, offset + p, weight / 4);
    }
    const [s, d] = parents;
    if (s !== undefined && d !== undefined) to.add(offset + s, offset + d, s === d ? weight / 2 : weight / 4);
  }
}
