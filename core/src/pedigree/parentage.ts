import type { Day } from '../calendar';
import type { Sex, Species } from '../species';
import type { AnimalId } from '../units';

/** What parentage has to know of an animal. */
export interface Pedigreed {
  readonly id: string;
  readonly species: Species;
  readonly sex: Sex;
  readonly bornOn: Day | undefined;
  readonly damId: AnimalId | undefined;
  readonly sireId: AnimalId | undefined;
}

export type ParentRole = 'dam' | 'sire';

export type ParentageFault =
  | { readonly code: 'unknown-parent' }
  | { readonly code: 'parent-of-other-species' }
  | { readonly code: 'parent-of-wrong-sex'; readonly sex: Sex }
  | { readonly code: 'parent-not-older'; readonly parentBornOn: Day; readonly bornOn: Day }
  | { readonly code: 'own-ancestor' };

/**
 * Why an animal cannot be this one's parent: unknown, other species, wrong sex (a castrate may have sired before),
 * not born before, or its own descendant.
 */
export function checkParent(
  child: Pedigreed,
  parentId: string,
  role: ParentRole,
  find: (id: string) => Pedigreed | undefined,
): ParentageFault | undefined {
  if (parentId === child.id) return { code: 'own-ancestor' };
  const parent = find(parentId);
  if (!parent) return { code: 'unknown-parent' };
  if (parent.species !== child.species) return { code: 'parent-of-other-species' };
  const fits = role === 'dam' ? parent.sex === 'female' : parent.sex === 'male' || parent.sex === 'castrate';
  if (!fits) return { code: 'parent-of-wrong-sex', sex: parent.sex };
  if (parent.bornOn !== undefined && child.bornOn !== undefined && parent.bornOn >= child.bornOn)
    return { code: 'parent-not-older', parentBornOn: parent.bornOn, bornOn: child.bornOn };
  return isAncestor(child.id, parentId, find) ? { code: 'own-ancestor' } : undefined;
}

/** Whether `ancestorId` is among the ancestors of `id`. Each animal is visited once, without recursion. */
export function isAncestor(ancestorId: string, id: string, find: (id: string) => Pedigreed | undefined): boolean {
  const seen = new Set<string>();
  const waiting = [id];
  for (let next = waiting.pop(); next !== undefined; next = waiting.pop()) {
    if (seen.has(next)) continue;
    seen.add(next);
    const animal = find(next);
    for (const parent of [animal?.damId, animal?.sireId]) {
      if (parent === ancestorId) return true;
      if (parent !== undefined) waiting.push(parent);
    }
  }
  return false;
}
