import type { ChoosingRow } from '@yaylak/contract';
import type { BreakdownPart, ChoosingReason, Decision, RankScale, RankTrait, WeightUnit } from '@yaylak/core';
import { countText, differenceText, moneyText, weightText } from './format';

export const TRAIT_WORDS: Readonly<Record<RankTrait, string>> = {
  growth: 'Growth',
  damRecord: 'Dam’s litters',
  lastGain: 'Last gain',
  ownRecord: 'Own litters',
  eyePoints: 'Points by eye',
  'young-born': 'Young born',
  'litter-weaned': 'Litter weaned',
  'grown-weight': 'Grown weight',
  'eye-points': 'Points by eye',
};
const PLURALS: readonly RankTrait[] = ['damRecord', 'ownRecord', 'eyePoints', 'eye-points', 'young-born'];
export const DECISION_WORDS: Readonly<Record<Decision, string>> = {
  keep: 'Keep',
  second: 'Second string',
  sell: 'Sell',
  cull: 'Cull',
};

/** A part of the breakdown as a line of its own. */
export function partWords(part: BreakdownPart, row: ChoosingRow): string {
  const { breakdown, adjusted } = row;
  switch (part) {
    case 'age': {
      const days = Math.round(breakdown?.ageDaysAgainstMean ?? 0);
      return days === 0
        ? 'As old as the mean'
        : `${Math.abs(days)} ${Math.abs(days) === 1 ? 'day' : 'days'} ${days > 0 ? 'older' : 'younger'} than the mean`;
    }
    case 'birthType':
      return row.birthType === null
        ? 'Birth not known'
        : `Born ${word(row.birthType)}, reared ${word(row.rearingType ?? row.birthType)}`;
    case 'sex':
      return 'Sex';
    case 'damAge': {
      const years = adjusted?.factorSources.damAge.class;
      return years ? `Dam ${years} ${years === '1' ? 'year' : 'years'} old` : 'Dam’s age not known';
    }
  }
}

const word = (n: number): string => ['single', 'twin', 'triplet'][n - 1] ?? `one of ${n}`;

const PART_NOUNS: Readonly<Record<BreakdownPart, readonly [more: string, less: string]>> = {
  age: ['its age', 'its youth'],
  birthType: ['being reared with few or alone', 'being one of several'],
  sex: ['its sex', 'its sex'],
  damAge: ['a dam in her best years', 'its dam’s age'],
};

/** A reason in words with its figures. */
export function reasonWords(
  reason: ChoosingReason,
  unit: WeightUnit,
  { scale, currency }: { readonly scale: RankScale; readonly currency: string } = { scale: 'points', currency: '' },
): string {
  switch (reason.code) {
    case 'trait': {
      const verb = `${reason.points > 0 ? 'add' : 'take'}${PLURALS.includes(reason.trait) ? '' : 's'}`;
      const points = Math.abs(Math.round(reason.points));
      const much =
        scale === 'money' ? moneyText(Math.abs(reason.points), currency) : countText(points, 'point', 'points');
      return `${TRAIT_WORDS[reason.trait]} ${verb} ${much}.`;
    }
    case 'not-measured':
      return `${TRAIT_WORDS[reason.trait]} not measured: counted as average, and less sure because of it.`;
    case 'near-line':
      return `About ${Math.round(reason.chanceAcross * 10)} in 10 that it belongs on the other side of the line.`;
    case 'heavier-than-worth':
      return `${ordinal(reason.placeByWeight)} by weight, but ${ordinal(reason.place)}: ${differenceText(reason.grams / 1000, unit)} come from ${PART_NOUNS[reason.part][0]}.`;
    case 'lighter-than-worth':
      return `Only ${ordinal(reason.placeByWeight)} by weight, yet ${ordinal(reason.place)}: ${PART_NOUNS[reason.part][1]} costs ${weightText(Math.abs(reason.grams) / 1000, unit)}.`;
  }
}

/** `1st`, `2nd`, `14th`. */
export function ordinal(n: number): string {
  const tens = n % 100;
  if (tens >= 11 && tens <= 13) return `${n}th`;
  return `${n}${['th', 'st', 'nd', 'rd'][n % 10] ?? 'th'}`;
}
