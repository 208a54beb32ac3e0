import type { BirthKnownTo, Day } from '../calendar';
import type { Pedigreed } from '../pedigree';
import type { Sex, Species } from '../species';
import type { Kinds } from './kinds';
import type { ArrivalWay } from './kinds/arrival';
import type { AnimalId } from '../units';

/** An animal's record: what it is, not what happened to it. */
export interface AnimalRecord extends Pedigreed {
  readonly species: Species;
  /** Today: a male that was castrated is a castrate since. */
  readonly sex: Sex;
  /** What its record says, where an entry has made it another since. */
  readonly recordedSex?: Sex | undefined;
  /** Whose embryo it was, where another carried it: `damId` is who gave birth to it. */
  readonly donorId: AnimalId | undefined;
  /** Born as one of so many. */
  readonly birthType: number | undefined;
  /** Reared as one of so many. */
  readonly rearingType: number | undefined;
  readonly strain: string | undefined;
  /** What was paid for one that was bought, hundredths of the money. */
  readonly boughtMinor?: number | undefined;
  /** How far its birth is known, where the day is not. */
  readonly birthKnownTo?: BirthKnownTo | undefined;
  readonly version: number;
}

/** What an entry leaves in the book's memory. */
export interface Fact {
  readonly entryId: string;
  readonly on: Day;
}

type ListOf<Kind> = Kind extends { readonly list: infer List extends string } ? List : never;
type FactOf<Kind> = Kind extends { readonly fact: (...args: never) => infer F } ? F : never;

/** The lists that kinds of entry leave their facts in, by the list's name. */
export type FactLists = { readonly [Name in keyof Kinds as ListOf<Kinds[Name]>]: FactOf<Kinds[Name]>[] };

/** All that is known of one animal, struck entries left out. Lists are in order of day, then of writing. */
export interface AnimalFacts extends FactLists {
  record: AnimalRecord;
  arrivedOn: Day | undefined;
  arrivedBy?: ArrivalWay;
}

/** Puts a fact in its place in a list ordered by day; of one day, the later written stands later. */
export function insertByDayInPlace<T extends { readonly on: Day }>(list: T[], fact: T): void {
  let at = list.length;
  while (at > 0 && (list[at - 1] as T).on > fact.on) at--;
  if (at === list.length) list.push(fact);
  else list.splice(at, 0, fact);
}

/** Takes the fact of a struck entry out again. */
export function removeFactInPlace(list: { readonly entryId: string }[], entryId: string): void {
  const at = list.findIndex((f) => f.entryId === entryId);
  if (at >= 0) list.splice(at, 1);
}
