import type { RosterAnimal } from '@yaylak/contract';
import {
  checkWeight,
  dayOf,
  doubtReading,
  normalised,
  readTypedNumber,
  searchIdentifiers,
  toKg,
  type Match,
  type Reading,
  type ReadingDoubt,
  type Searchable,
  type Species,
  type SpeciesSettings,
  type WeightUnit,
} from '@yaylak/core';
import { refusalText } from '@yaylak/contract';

/** A number somebody wears, as the race looks it up. */
export interface RaceNumber extends Searchable {
  readonly isListed: boolean;
}

/** Numbers of all present animals; made once a job, searched at each keystroke. */
export function raceNumbers(animals: readonly RosterAnimal[], listed: ReadonlySet<string>): RaceNumber[] {
  return animals.flatMap((a) =>
    a.identifiers.map((text) => ({
      animalId: a.tag.animalId,
      text,
      plain: normalised(text),
      isPresent: true,
      isWorn: true,
      isListed: listed.has(a.tag.animalId),
    })),
  );
}

/** Who a typed number may mean: those on the list before others. */
export function matchesFor(numbers: readonly RaceNumber[], typed: string, limit = 6): Match<RaceNumber>[] {
  const all = searchIdentifiers(numbers, typed, limit * 4);
  const exact = all.filter((m) => m.rank === 'exact');
  const rest = all.filter((m) => m.rank !== 'exact');
  return [...exact, ...rest.filter((m) => m.found.isListed), ...rest.filter((m) => !m.found.isListed)].slice(0, limit);
}

export type TagAnswer =
  | { readonly kind: 'animal'; readonly animalId: string; readonly isListed: boolean }
  | { readonly kind: 'several'; readonly animalIds: readonly string[] }
  | { readonly kind: 'unknown'; readonly number: string }
  | { readonly kind: 'nothing-typed' };

/**
 * What Enter on a typed number means: the marked row, or the one animal it fits; several that fit equally well have to
 * be told apart by the person.
 */
export function answerTag(matches: readonly Match<RaceNumber>[], typed: string, marked: number | undefined): TagAnswer {
  if (normalised(typed) === '') return { kind: 'nothing-typed' };
  const chosen = marked === undefined ? undefined : matches[marked];
  if (chosen) return { kind: 'animal', animalId: chosen.found.animalId, isListed: chosen.found.isListed };
  const [first, second] = matches;
  if (!first) return { kind: 'unknown', number: typed.trim() };
  const isEqual = second !== undefined && second.rank === first.rank && second.found.isListed === first.found.isListed;
  if (isEqual) {
    const same = matches.filter((m) => m.rank === first.rank && m.found.isListed === first.found.isListed);
    return { kind: 'several', animalIds: same.map((m) => m.found.animalId) };
  }
  return { kind: 'animal', animalId: first.found.animalId, isListed: first.found.isListed };
}

export type WeightAnswer =
  | { readonly kind: 'weight'; readonly kg: number }
  | { readonly kind: 'refused'; readonly message: string }
  | { readonly kind: 'doubt'; readonly kg: number; readonly doubt: ReadingDoubt };

/** What a typed weight means for this animal. */
export function answerWeight(input: {
  readonly typed: string;
  readonly unit: WeightUnit;
  readonly species: Species;
  readonly before: Reading | undefined;
  readonly on: string;
  readonly settings: SpeciesSettings;
}): WeightAnswer {
  const typed = readTypedNumber(input.typed);
  if (typed.kind === 'refused')
    return {
      kind: 'refused',
      message:
        typed.reason === 'empty'
          ? 'Type what the scale says.'
          : `“${input.typed}” is not a weight. Type it as 27.2 or 27,2.`,
    };
  const kg = toKg(typed.value, input.unit);
  const refusal = checkWeight(kg, input.species, { settings: () => input.settings });
  if (refusal) return { kind: 'refused', message: refusalText(refusal, undefined, input.unit) };
  const doubt = doubtReading(input.before, { on: dayOf(input.on), kg, method: 'scale' }, input.settings);
  return doubt ? { kind: 'doubt', kg, doubt } : { kind: 'weight', kg };
}

/** An animal's readings on the roster as core wants them. */
export const rosterReadings = (animal: RosterAnimal): Reading[] =>
  animal.weights.map(([on, kg, method]) => ({ on: dayOf(on), kg, method: method as Reading['method'] }));
