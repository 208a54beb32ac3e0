import type { AnimalId } from '../units';
import { keptText } from './electronicNumber';
import { normalised, type IdentifierKind, type TagColour } from './identifier';

/** Something that was worn once, with its colour. */
export interface WornNumber {
  readonly animalId: AnimalId;
  readonly kind: IdentifierKind;
  readonly text: string;
  readonly plain?: string;
  readonly colour: TagColour | null;
  readonly isPresent: boolean;
  readonly isWorn: boolean;
}

export interface NumberToFit {
  /** Who is to wear it; none where the animal is not in the book yet. */
  readonly animalId?: AnimalId | undefined;
  readonly kind: IdentifierKind;
  readonly text: string;
  readonly colour?: TagColour | undefined;
}

/** What is to be asked before a number is fitted, and of whom. */
export type NumberDoubt =
  /** Another that is here wears the number in another colour, or one of the two colours is not known. */
  | { readonly kind: 'other-colour'; readonly animalId: AnimalId; readonly colour: TagColour | null }
  /** Another lost it: it may have been found and read wrongly. */
  | { readonly kind: 'lost-by'; readonly animalId: AnimalId }
  /** One that is gone wore it: the books of later years will have two. */
  | { readonly kind: 'worn-by-gone'; readonly animalId: AnimalId };

/** Whether two tags are the same thing: an electronic number whatever colour it is said to have, another by its colour. */
export const isSameTag = (
  a: { readonly kind: IdentifierKind; readonly colour?: TagColour | null | undefined },
  b: { readonly kind: IdentifierKind; readonly colour?: TagColour | null | undefined },
): boolean => a.kind === b.kind && (a.kind === 'electronic' || (a.colour ?? null) === (b.colour ?? null));

/**
 * What speaks against fitting a number without being a fault: the book refuses only what another wears now, in the same
 * kind and colour. A name may be given twice.
 */
export function numberDoubt(worn: Iterable<WornNumber>, tag: NumberToFit): NumberDoubt | undefined {
  const plain = normalised(keptText(tag.kind, tag.text));
  if (plain === '' || tag.kind === 'name') return undefined;
  let found: NumberDoubt | undefined;
  for (const other of worn) {
    if (other.animalId === tag.animalId || other.kind !== tag.kind) continue;
    if ((other.plain ?? normalised(other.text)) !== plain) continue;
    const { animalId, colour } = other;
    if (other.isPresent && other.isWorn) {
      if (!isSameTag(other, tag)) return { kind: 'other-colour', animalId, colour };
    } else if (other.isPresent) found = { kind: 'lost-by', animalId };
    else found ??= { kind: 'worn-by-gone', animalId };
  }
  return found;
}
