import { resolveIdentifier, type ParentRole, type Searchable } from '@yaylak/core';

export type NamedParent =
  | { readonly kind: 'animal'; readonly id: string }
  | { readonly kind: 'nobody' }
  | { readonly kind: 'unclear'; readonly message: string };

/** Whom a typed number names as dam or sire; left empty it is nobody. */
export function parentNamed(identifiers: readonly Searchable[], role: ParentRole, typed: string): NamedParent {
  if (typed.trim() === '') return { kind: 'nobody' };
  const found = resolveIdentifier(identifiers, typed);
  if (found.kind === 'one') return { kind: 'animal', id: found.animalId };
  const who = role === 'dam' ? 'Dam' : 'Sire';
  const wearers = found.kind === 'none' ? 'no animal wears' : 'several animals wear';
  return { kind: 'unclear', message: `${who}: ${wearers} “${typed.trim()}”. Type the whole number.` };
}
