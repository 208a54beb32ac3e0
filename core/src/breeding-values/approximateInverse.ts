import { UNKNOWN, type Pedigree } from '../pedigree';
import type { ModelRecords, VarianceShares } from './mixedModel';

/**
 * Estimating a group's mean costs one record of it, were its animals no kin; sibs stand together in groups, and what they
 * share goes into the mean. Twice that is what exact reliabilities of herds with a handful of sires a year come to.
 */
const KIN_IN_GROUP = 2;

/** What is known of an animal, as so many records of its own, and what it owes to one parent. */
interface Blocks {
  /** On the diagonal of the animal, of each parent, and between the parents. */
  readonly own: number;
  readonly parent: number;
}

/** The inverse relationship of one animal and its parents, without inbreeding, times the ratio of variances. */
const blocksOf = (ratio: number, parents: number): Blocks => {
  const own = parents === 2 ? 2 * ratio : parents === 1 ? (4 / 3) * ratio : ratio;
  return { own, parent: own / 4 };
};

/**
 * The animals' cells of the inverse of Henderson's equations, near enough for herds too large to invert: each animal's
 * records, less what estimating its group and its litter costs, are handed up to its parents and then down to its young,
 * each absorbed into the other as if it hung on nothing else (after Misztal & Wiggans 1988, J. Dairy Sci. 71 (suppl. 2):
 * 27-32). Inbreeding and the kin that two parents share are left out. Cost n.
 * @returns by animal of the pedigree, the error's variance factored out
 */
export function approximateInverse(
  pedigree: Pedigree,
  { animal, fixed, other }: ModelRecords,
  { heritability, other: otherShare }: VarianceShares,
): Float64Array {
  const { sire, dam } = pedigree;
  const n = sire.length;
  const error = 1 - heritability - otherShare;
  const ratio = error / heritability;
  const otherRatio = otherShare > 0 ? error / otherShare : Infinity;
  const known = new Float64Array(n);
  const groups = counts(fixed[0]);
  const litters = other && otherShare > 0 ? counts(other) : undefined;
  animal.forEach((i, r) => {
    const group = groups.get(fixed[0]?.[r] ?? 0) ?? 1;
    const litter = litters?.get(other?.[r] ?? 0) ?? 0;
    // A record is worth less by what it shares with its group's mean, and with the effect of its litter.
    const ofGroup = Math.max(0, 1 - KIN_IN_GROUP / group);
    const ofLitter = litters ? 1 - 1 / (litter + otherRatio) : 1;
    known[i] = (known[i] as number) + ofGroup * ofLitter;
  });
  // Up: each young adds to its parents what it knows beyond them.
  const up = known.slice();
  const toSire = new Float64Array(n);
  const toDam = new Float64Array(n);
  for (let i = n - 1; i >= 0; i--) {
    const parents = [sire[i] as number, dam[i] as number].filter((p) => p !== UNKNOWN);
    if (parents.length === 0) continue;
    const { own, parent } = blocksOf(ratio, parents.length);
    const handed = parent - (own / 2) ** 2 / (own + (up[i] as number));
    for (const p of parents) {
      const mate = parents.length === 2 ? parents.find((q) => q !== p) : undefined;
      const worth = mate === undefined ? handed : handed - handed ** 2 / (handed + ratio + (known[mate] as number));
      (p === sire[i] ? toSire : toDam)[i] = worth;
      up[p] = (up[p] as number) + worth;
    }
  }
  // Down: each young learns from its parents what they know beyond it.
  const all = up.slice();
  const inverse = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const [s, d] = [sire[i] as number, dam[i] as number];
    const parents = (s === UNKNOWN ? 0 : 1) + (d === UNKNOWN ? 0 : 1);
    const { own, parent } = blocksOf(ratio, parents);
    let diagonal = own + (up[i] as number);
    if (parents > 0) {
      const left = (p: number, given: number): number =>
        p === UNKNOWN ? 0 : Math.max(0, (all[p] as number) - given) + ratio;
      const a = left(s, toSire[i] as number) + (s === UNKNOWN ? 0 : parent);
      const b = left(d, toDam[i] as number) + (d === UNKNOWN ? 0 : parent);
      const half = own / 2;
      // The young's equation with both parents' absorbed: half (1, 1) times the inverse of their block.
      diagonal -=
        parents === 2
          ? (half ** 2 * (a + b - 2 * parent)) / (a * b - parent ** 2)
          : half ** 2 / (s === UNKNOWN ? b : a);
    }
    inverse[i] = 1 / diagonal;
    // What it knows now, beyond what its place in the pedigree alone would tell.
    all[i] = Math.max(0, diagonal - ratio);
  }
  return inverse;
}

function counts(levels: Int32Array | undefined): Map<number, number> {
  const found = new Map<number, number>();
  for (const level of levels ?? []) found.set(level, (found.get(level) ?? 0) + 1);
  return found;
}
