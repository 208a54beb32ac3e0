import type { Fact } from '../facts';
import type { FactKind } from './kind';

export interface IdentifierEndWritten {
  /** The entry that fitted it. */
  readonly identifierId: string;
  readonly how: 'lost' | 'removed';
}

export interface IdentifierEnd extends Fact, IdentifierEndWritten {}

/** A tag was lost or taken out. */
export const identifierEnd: FactKind<'identifierEnds', IdentifierEndWritten, IdentifierEnd> = {
  list: 'identifierEnds',
  fact: ({ identifierId, how }, base) => ({ identifierId, how, ...base }),
  check({ identifierId: value }, facts) {
    if (!facts.identifiers.some((i) => i.entryId === value))
      return { code: 'unknown-identifier', field: 'identifierId', value };
    return facts.identifierEnds.some((e) => e.identifierId === value)
      ? { code: 'identifier-ended', field: 'identifierId', value }
      : undefined;
  },
};
