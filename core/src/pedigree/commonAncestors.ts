import type { AnimalId } from '../units';
import { UNKNOWN, type Pedigree } from './arrays';

/** An animal both parents come down from, and what of the young's inbreeding comes of it. */
export interface CommonAncestor {
  readonly id: AnimalId;
  readonly inbreeding: number;
}

export interface CommonAncestry {
  /** The greatest part first. */
  readonly ancestors: readonly CommonAncestor[];
  /** False where so many lines meet that the furthest were left out. */
  readonly isWhole: boolean;
}

/** Pairs of ancestors looked at before the rest is left out. */
const MOST_PAIRS = 20_000;

/**
 * Where two animals' lines meet, with each meeting's part of their kinship; the parts add up to it. The younger of a
 * pair is replaced by its parents, half each, until a pair is one and the same animal, which hands down
 * (1 + F) / 2 (the recursion of Emik & Terrill 1949): an ancestor counts only for lines that meet in it first, so the
 * parents of a shared sire are not named beside him.
 * @param inbreeding as `inbreedingOf` gives it
 */
export function commonAncestors(pedigree: Pedigree, inbreeding: Float64Array, a: string, b: string): CommonAncestry {
  const { sire, dam, ids, indexOf } = pedigree;
  const start = [indexOf.get(a), indexOf.get(b)];
  if (start[0] === undefined || start[1] === undefined) return { ancestors: [], isWhole: true };
  const parts = new Map<number, number>();
  // Weight of each waiting pair by its younger animal, then its older one: the youngest is always opened next, so no
  // pair is opened twice.
  const waiting = new Map<number, Map<number, number>>();
  const put = (x: number, y: number, weight: number): void => {
    if (x === UNKNOWN || y === UNKNOWN) return;
    const young = Math.max(x, y);
    const old = Math.min(x, y);
    const row = waiting.get(young) ?? new Map<number, number>();
    waiting.set(young, row);
    row.set(old, (row.get(old) ?? 0) + weight);
  };
  put(start[0], start[1], 1);
  let pairs = 0;
  let young = Math.max(start[0], start[1]);
  for (; young >= 0 && pairs < MOST_PAIRS; young--) {
    const row = waiting.get(young);
    if (!row) continue;
    waiting.delete(young);
    for (const [old, weight] of row) {
      pairs++;
      if (old === young) {
        parts.set(young, (parts.get(young) ?? 0) + (weight * (1 + (inbreeding[young] as number))) / 2);
        continue;
      }
      put(sire[young] as number, old, weight / 2);
      put(dam[young] as number, old, weight / 2);
    }
  }
  const ancestors = [...parts]
    .map(([i, part]) => ({ id: ids[i] as string, inbreeding: part }))
    .sort((x, y) => y.inbreeding - x.inbreeding || (x.id < y.id ? -1 : 1));
  return { ancestors, isWhole: waiting.size === 0 };
}
