import type { Fact } from '@yaylak/core';

/** A fact with the list of the animal's facts it goes into. */
export interface FactInto {
  readonly list: Fact[];
  readonly fact: Fact;
}

/** Holds a list and what goes into it to the same kind of fact. */
export const into = <T extends Fact>(list: T[], fact: T): FactInto => ({ list, fact });
