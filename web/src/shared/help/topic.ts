import type { DrawingName } from './drawings';

/** A key, and what it does. */
export type Keys = readonly (readonly [key: string, what: string])[];

/** Something good keepers do in more ways than one. */
export interface School {
  readonly question: string;
  readonly ways: readonly string[];
  /** Where the holding says which way is its own. */
  readonly setAt: { readonly to: string; readonly words: string };
}

/** Help with one place: what it is for, how the work is done in the yard, where people differ, what can hurt. */
export interface HelpTopic {
  /** Its name in an address; lasts. */
  readonly id: string;
  /** Beginning of the addresses it belongs to; the longest that fits is meant. */
  readonly at: string;
  readonly title: string;
  readonly forWhat: string;
  /** Step by step, at the animal. */
  readonly steps: readonly string[];
  readonly drawing?: DrawingName;
  readonly schools?: readonly School[];
  readonly cautions?: readonly string[];
  readonly keys?: Keys;
}
