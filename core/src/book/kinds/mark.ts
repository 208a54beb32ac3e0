import { parseDay, type Day } from '../../calendar';
import type { Fact } from '../facts';
import type { FactKind } from './kind';

export interface MarkWritten {
  readonly colour: string;
  readonly place: string;
  readonly purpose: string;
  readonly until?: string | undefined;
}

export interface MarkFact extends Fact {
  readonly colour: string;
  readonly place: string;
  readonly purpose: string;
  readonly until: Day | undefined;
}

/** Sprayed. */
export const mark: FactKind<'marks', MarkWritten, MarkFact> = {
  list: 'marks',
  fact: ({ colour, place, purpose, until }, base) => ({
    colour,
    place,
    purpose,
    until: until === undefined ? undefined : parseDay(until),
    ...base,
  }),
};
