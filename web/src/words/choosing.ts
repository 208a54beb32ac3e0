import type { ChoosingSet, DraftDecision, TraitState, ValueView } from '@yaylak/contract';
import {
  dayOf,
  fromKg,
  halfWidth80,
  scaleUnit,
  SPECIES,
  type BreedingTraitName,
  type EyeState,
  type RankScale,
  type ReliabilityWord,
  type Species,
  type WeightUnit,
} from '@yaylak/core';
import { monthsWords } from './dates';
import { figureText, moneyText, surePointsText } from './format';
import { DECISION_WORDS, TRAIT_WORDS } from './reasons';
import { say, fieldWord, SPECIES_WORDS } from '@yaylak/contract';

/**
 * A set by its field word and its months of birth: `ewe lambs of Apr to May 2026`; the grown by their word alone. A word
 * that two species share has the species with it: `grown does, rabbits`.
 */
export function setWords({ species, sex, from, to }: ChoosingSet, today: string): string {
  const isCrop = from !== null && to !== null;
  const age = isCrop ? (today === '' ? 0 : dayOf(today) - dayOf(to)) : undefined;
  const word = fieldWord({ species, sex }, age, true);
  const isShared = SPECIES.some((other) => other !== species && SPECIES_WORDS[other].grown[sex].includes(word));
  const named = isCrop
    ? say('{word} of {months}', { word, months: monthsWords(from, to) })
    : sex === 'unknown'
      ? say('{word} not sexed', { word })
      : say('grown {word}', { word });
  return isShared ? `${named}, ${SPECIES_WORDS[species].plural}` : named;
}

export const EYE_WORDS: Readonly<Record<EyeState, string>> = {
  fails: say('fails'),
  passes: say('passes'),
  'in-part': say('passes so far'),
  'not-looked': say('not looked at'),
};

export const RELIABILITY_TEXT: Readonly<Record<ReliabilityWord, string>> = {
  guess: say('a guess'),
  fair: say('fair'),
  good: say('good'),
};

export const DRAFT_DECISION_WORDS: Readonly<Record<DraftDecision, string>> = {
  ...DECISION_WORDS,
  undecided: say('Undecided'),
};

/** What had been decided on one that left before it came to that. */
export const WAS_TO_BE: Readonly<Record<DraftDecision, string>> = {
  keep: say('it was to stay'),
  second: say('it was to go to the second string'),
  sell: say('it was to be sold'),
  cull: say('it was to be culled'),
  undecided: say('nothing was decided yet'),
};

/** What an animal is worth in a ranking, with how wide the guess is. */
export const worthText = (
  { index, standardError }: { readonly index: number; readonly standardError: number },
  scale: RankScale,
  currency: string,
): string =>
  scale === 'points'
    ? surePointsText(index, standardError)
    : `${moneyText(index, currency)} ± ${moneyText(halfWidth80(standardError), currency)}`;

/** The same in a dense row. */
export const worthFigure = (index: number, scale: RankScale, currency: string): string =>
  scale === 'points' ? figureText(index, 0) : moneyText(index, currency);

/** What a part adds or takes. */
export function partText(points: number, scale: RankScale, currency: string): string {
  const text = scale === 'points' ? figureText(points, 1) : moneyText(points, currency);
  return points > 0 && /[1-9]/.test(text) ? `+${text}` : text;
}

const DIGITS: Readonly<Record<BreedingTraitName, number>> = {
  growth: 2,
  'young-born': 2,
  'litter-weaned': 1,
  'grown-weight': 1,
  'eye-points': 2,
};
const IN_WEIGHT: readonly BreedingTraitName[] = ['growth', 'litter-weaned', 'grown-weight'];

/** The unit a trait's values are told in. */
export const traitUnit = (trait: BreedingTraitName, species: Species, unit: WeightUnit): string =>
  IN_WEIGHT.includes(trait) ? scaleUnit(species, unit) : trait === 'young-born' ? say('a litter') : say('points');

/** A figure of a trait in its unit, with a sign where it is a difference. */
export function traitFigure(
  trait: BreedingTraitName,
  value: number,
  { species, unit }: { readonly species: Species; readonly unit: WeightUnit },
): string {
  const scale = scaleUnit(species, unit);
  const shown = IN_WEIGHT.includes(trait) ? fromKg(value, scale) : value;
  const digits = IN_WEIGHT.includes(trait) && scale === 'g' ? 0 : DIGITS[trait];
  const text = figureText(shown, digits);
  return value > 0 && /[1-9]/.test(text) ? `+${text}` : text;
}

/** A breeding value with how wide the guess is: `+1.23 ± 1.36 kg`. */
export const valueText = (
  { trait, value, standardError }: Pick<ValueView, 'trait' | 'value' | 'standardError'>,
  on: { readonly species: Species; readonly unit: WeightUnit },
): string =>
  `${traitFigure(trait, value, on)} ± ${traitFigure(trait, halfWidth80(standardError), on).replace('+', '')} ${traitUnit(trait, on.species, on.unit)}`;

/** Why a trait has no breeding values. */
export function traitStateText({ trait, state, records, needed }: TraitState): string | undefined {
  const name = TRAIT_WORDS[trait];
  switch (state) {
    case 'values':
      return undefined;
    case 'too-few':
      return say('{name}: {records} of {needed} records needed.', { name, records, needed });
    case 'no-spread':
      return say('{name}: all records are alike, so nothing tells one animal from another.', { name });
    case 'loop':
      return say('{name}: an animal is its own ancestor in the book. Correct the parents.', { name });
  }
}
