import type { Day } from '../../calendar';
import type { BookView } from '../bookView';
import type { AnimalFacts, Fact } from '../facts';
import type { Refusal } from '../refusals';
import type { AnimalId } from '../../units';

/** What every entry of an animal carries, as it is written. */
export interface Written {
  readonly id: string;
  readonly animalId: AnimalId;
  readonly on: string;
  readonly writtenBy: string;
  readonly jobId?: string | undefined;
}

/** An entry as its rule sees it: as it is written, and the day it says. */
export type ToCheck<W> = W & { readonly animalId: AnimalId; readonly day: Day };

/**
 * What an entry changes beside the animal's own figures: whom those a male runs with are, who is kin to whom, who wears
 * a number, who is in a group, whose a tube is, how a hand's tape or eye reads, how a scorer feels, under whom young are
 * reared, what sex the animal is.
 */
export type Touch = 'company' | 'kin' | 'numbers' | 'members' | 'tubes' | 'tapes' | 'scorers' | 'fosterings' | 'sex';

interface Kind<W extends object> {
  /** The first rule it breaks; entries of every kind are held against day, animal and departure before. */
  readonly check?: (entry: ToCheck<W>, facts: AnimalFacts, book: BookView) => Refusal | undefined;
  readonly touches?: readonly Touch[];
  /** It can still be written of one that left. */
  readonly isOfGone?: true;
}

/** A kind of entry that leaves a fact in one of an animal's lists. */
export interface FactKind<List extends string, W extends object, F extends Fact> extends Kind<W> {
  readonly list: List;
  /** The fact, from the entry and what all facts have. */
  readonly fact: (entry: W & Written, base: Fact) => F;
}

/** A kind of entry that leaves none. */
export interface BareKind<W extends object = object> extends Kind<W> {
  readonly list: null;
}
