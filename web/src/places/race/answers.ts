import type { RosterAnimal } from '@yaylak/contract';
import {
  checkWeight,
  dayOf,
  doubtReading,
  normalised,
  readTypedWeight,
  searchIdentifiers,
  toKg,
  type Match,
  type Reading,
  type ReadingDoubt,
  type Searchable,
  type Species,
  type SpeciesSettings,
  type WeighingMethod,
  type ScaleUnit,
} from '@yaylak/core';
import { refusalText, say } from '@yaylak/contract';
import { meantText } from '../../words/doubts';

/** A number somebody wears, as the race looks it up. */
export interface RaceNumber extends Searchable {
  readonly isListed: boolean;
}

/** Numbers of all present animals; made once a job, searched at each keystroke. */
export function raceNumbers(animals: readonly RosterAnimal[], listed: ReadonlySet<string>): RaceNumber[] {
  return animals.flatMap((a) => {
    const number = (text: string, isWorn: boolean): RaceNumber => ({
      animalId: a.tag.animalId,
      text,
      plain: normalised(text),
      isPresent: true,
      isWorn,
      isListed: listed.has(a.tag.animalId),
    });
    return [...a.worn.map(([text]) => number(text, true)), ...a.formerly.map((text) => number(text, false))];
  });
}

/** Who a typed number may mean: those on the list before others. */
export function matchesFor(numbers: readonly RaceNumber[], typed: string, limit = 6): Match<RaceNumber>[] {
  const all = searchIdentifiers(numbers, typed, limit * 4);
  // Of two who wore a number it is the one who wears it now.
  const exact = all.filter((m) => m.rank === 'exact').sort((a, b) => Number(b.found.isWorn) - Number(a.found.isWorn));
  const rest = all.filter((m) => m.rank !== 'exact');
  return [...exact, ...rest.filter((m) => m.found.isListed), ...rest.filter((m) => !m.found.isListed)].slice(0, limit);
}

export type TagAnswer =
  | { readonly kind: 'animal'; readonly animalId: string; readonly isListed: boolean }
  /** `isWorn`: each of them wears just this number. */
  | { readonly kind: 'several'; readonly animalIds: readonly string[]; readonly isWorn: boolean }
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
  const isLike = (m: Match<RaceNumber>): boolean =>
    m.rank === first.rank &&
    m.found.isListed === first.found.isListed &&
    (m.rank !== 'exact' || m.found.isWorn === first.found.isWorn);
  if (second !== undefined && isLike(second)) {
    const same = matches.filter(isLike);
    const isWorn = first.rank === 'exact' && first.found.isWorn;
    return { kind: 'several', animalIds: same.map((m) => m.found.animalId), isWorn };
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
  readonly unit: ScaleUnit;
  readonly species: Species;
  readonly before: Reading | undefined;
  /** Another reading of the same day. */
  readonly sameDay?: Reading | undefined;
  readonly ageDays?: number | undefined;
  readonly on: string;
  readonly settings: SpeciesSettings;
  /** What the pan weighs: taken off what is read. */
  readonly tareKg?: number;
  readonly method?: WeighingMethod;
}): WeightAnswer {
  const typed = readTypedWeight(input.typed, input.unit);
  if (typed.kind === 'refused')
    return {
      kind: 'refused',
      message:
        typed.reason === 'empty'
          ? say('Type what the scale says.')
          : say('“{typed}” is not a weight. Type it as 27.2 or 27,2.', { typed: input.typed }),
    };
  // A tenth of a gram is finer than any scale; binary fractions of a difference are not to be kept.
  const gross = toKg(typed.value, input.unit);
  const kg = input.tareKg ? Number((gross - input.tareKg).toFixed(4)) : gross;
  const refusal = checkWeight(kg, input.species, { settings: () => input.settings });
  const doubt = doubtReading(
    { before: input.before, sameDay: input.sameDay, ageDays: input.ageDays },
    { on: dayOf(input.on), kg, method: input.method ?? 'scale' },
    input.settings,
  );
  if (refusal) {
    const unit = input.unit === 'lb' || input.unit === 'oz' ? 'lb' : 'kg';
    const meant = meantText(doubt?.likelyKg, unit, input.species);
    return { kind: 'refused', message: `${refusalText(refusal, undefined, unit)}${meant}` };
  }
  return doubt ? { kind: 'doubt', kg, doubt } : { kind: 'weight', kg };
}
