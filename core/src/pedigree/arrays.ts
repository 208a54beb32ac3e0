import type { AnimalId } from '../units';

/** What kinship has to know of an animal. */
export interface WithParents {
  readonly id: AnimalId;
  readonly sireId: AnimalId | undefined;
  readonly damId: AnimalId | undefined;
}

/** No parent known: the parent is taken for an unrelated animal of the base. */
export const UNKNOWN = -1;

/**
 * A pedigree as arrays, so that a hundred thousand animals are gone through in a blink: animals stand by generation,
 * every parent before its young. A parent that is not among the animals counts as unknown.
 */
export interface Pedigree {
  readonly ids: readonly string[];
  readonly indexOf: ReadonlyMap<string, number>;
  readonly sire: Int32Array;
  readonly dam: Int32Array;
  /** Where each generation starts in the order; one more at the end. */
  readonly generationStarts: readonly number[];
}

export type PedigreeRead =
  | { readonly kind: 'pedigree'; readonly pedigree: Pedigree }
  /** Animals that are their own ancestors, or descend from such. */
  | { readonly kind: 'loop'; readonly ids: readonly string[] };

/** Puts animals in order of generation (0 for those without known parents). Cost n, no recursion. */
export function pedigreeOf(animals: readonly WithParents[]): PedigreeRead {
  const n = animals.length;
  const given = new Map(animals.map((a, i) => [a.id, i]));
  const parent = (id: string | undefined): number => (id === undefined ? UNKNOWN : (given.get(id) ?? UNKNOWN));
  const sires = Int32Array.from(animals, (a) => parent(a.sireId));
  const dams = Int32Array.from(animals, (a) => parent(a.damId));
  const waits = new Uint8Array(n);
  // Young of each animal as a linked list in two arrays: a pair (young * 2 + 0 for sire, + 1 for dam).
  const firstLink = new Int32Array(n).fill(UNKNOWN);
  const nextLink = new Int32Array(2 * n).fill(UNKNOWN);
  for (let i = 0; i < n; i++)
    for (let side = 0; side < 2; side++) {
      const p = (side === 0 ? sires : dams)[i] as number;
      if (p === UNKNOWN) continue;
      waits[i] = (waits[i] as number) + 1;
      nextLink[2 * i + side] = firstLink[p] as number;
      firstLink[p] = 2 * i + side;
    }
  const order = new Int32Array(n);
  const starts = [0];
  let placed = 0;
  for (let i = 0; i < n; i++) if (waits[i] === 0) order[placed++] = i;
  for (let from = 0; from < placed; from = starts.at(-1) as number) {
    const to = placed;
    starts.push(to);
    for (let at = from; at < to; at++)
      for (let link = firstLink[order[at] as number] as number; link !== UNKNOWN; link = nextLink[link] as number) {
        const young = link >> 1;
        waits[young] = (waits[young] as number) - 1;
        if (waits[young] === 0) order[placed++] = young;
      }
  }
  if (placed < n) {
    const left = animals.filter((_, i) => (waits[i] as number) > 0);
    return { kind: 'loop', ids: left.map((a) => a.id) };
  }
  const newIndex = new Int32Array(n);
  order.forEach((old, at) => {
    newIndex[old] = at;
  });
  const renumbered = (parents: Int32Array): Int32Array =>
    Int32Array.from(order, (old) => {
      const p = parents[old] as number;
      return p === UNKNOWN ? UNKNOWN : (newIndex[p] as number);
    });
  const ids = Array.from(order, (old) => (animals[old] as WithParents).id);
  return {
    kind: 'pedigree',
    pedigree: {
      ids,
      indexOf: new Map(ids.map((id, i) => [id, i])),
      sire: renumbered(sires),
      dam: renumbered(dams),
      generationStarts: starts,
    },
  };
}
