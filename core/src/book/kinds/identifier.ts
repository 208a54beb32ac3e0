import {
  isSameTag,
  keptText,
  normalised,
  readElectronicNumber,
  type Ear,
  type IdentifierKind,
  type TagColour,
  type TagShape,
} from '../../identity';
import type { BookView } from '../bookView';
import { wornIdentifiers } from '../derived';
import type { Fact } from '../facts';
import type { Refusal } from '../refusals';
import type { FactKind, ToCheck } from './kind';

export interface IdentifierWritten {
  readonly kind: IdentifierKind;
  readonly text: string;
  readonly colour?: TagColour | undefined;
  readonly ear?: Ear | undefined;
  readonly shape?: TagShape | undefined;
}

export interface IdentifierFact extends Fact {
  readonly kind: IdentifierKind;
  readonly text: string;
  readonly colour: TagColour | undefined;
  readonly ear: Ear | undefined;
  readonly shape: TagShape | undefined;
}

/** A tag, a tattoo, an electronic number or a name is fitted. */
export const identifier: FactKind<'identifiers', IdentifierWritten, IdentifierFact> = {
  list: 'identifiers',
  fact: ({ kind, text, colour, ear, shape }, base) => ({
    kind,
    text: keptText(kind, text),
    colour,
    ear,
    shape,
    ...base,
  }),
  touches: ['numbers'],
  check: (entry, _, book) => checkNumber(entry, book),
};

function checkNumber(entry: ToCheck<IdentifierWritten>, book: BookView): Refusal | undefined {
  const plain = normalised(keptText(entry.kind, entry.text));
  if (plain === '') return { code: 'empty', field: 'text', value: entry.text };
  if (entry.kind === 'electronic') {
    const read = readElectronicNumber(entry.text);
    if (read.kind === 'refused')
      return { code: 'electronic', field: 'text', value: entry.text, reason: read.reason, length: read.length };
  }
  if (entry.kind === 'name') return undefined;
  for (const wearer of book.wearersOf(plain)) {
    if (wearer.record.id === entry.animalId || wearer.departures.length > 0) continue;
    const same = wornIdentifiers(wearer).find((i) => normalised(i.text) === plain && isSameTag(i, entry));
    if (same)
      return {
        code: 'number-worn',
        field: 'text',
        value: entry.text,
        wearerId: wearer.record.id,
        colour: entry.colour,
      };
  }
  return undefined;
}
