import type { IdentifierKind, TagColour } from '@yaylak/core';
import type { IdentifierIndexRow } from './animals';

/** What one animal wears or ever wore, as it goes over the wire: a book of a lifetime has tens of thousands of these. */
export interface WearerView extends Omit<IdentifierIndexRow, 'text' | 'kind' | 'colour' | 'isWorn'> {
  readonly numbers: readonly (readonly [
    text: string,
    kind: IdentifierKind,
    colour: TagColour | null,
    isWorn: boolean,
  ])[];
}

/** All identifiers ever worn, one by one, for search and imports on the device. */
export const identifierRows = (wearers: readonly WearerView[]): IdentifierIndexRow[] =>
  wearers.flatMap(({ numbers, ...animal }) =>
    numbers.map(([text, kind, colour, isWorn]) => ({ ...animal, text, kind, colour, isWorn })),
  );
