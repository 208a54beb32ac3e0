import { resolveIdentifier, type Searchable } from '@yaylak/core';
import { say } from '@yaylak/contract';

const ROLE_WORDS = { dam: say('Dam'), donor: say('Embryo of'), sire: say('Sire') } as const;

export type NamedParent =
  | { readonly kind: 'animal'; readonly id: string }
  | { readonly kind: 'nobody' }
  | { readonly kind: 'unclear'; readonly message: string };

/** Whom a typed number names as dam or sire; left empty it is nobody. */
export function parentNamed(
  identifiers: readonly Searchable[],
  role: keyof typeof ROLE_WORDS,
  typed: string,
): NamedParent {
  if (typed.trim() === '') return { kind: 'nobody' };
  const found = resolveIdentifier(identifiers, typed);
  if (found.kind === 'one') return { kind: 'animal', id: found.animalId };
  const wearers = found.kind === 'none' ? say('no animal is tagged') : say('several animals are tagged');
  return {
    kind: 'unclear',
    message: say('{role}: {wearers} “{trim}”. Type the whole number.', {
      role: ROLE_WORDS[role],
      wearers,
      trim: typed.trim(),
    }),
  };
}
