import type { ChoosingRow } from '@yaylak/contract';
import type { BreakdownPart, ChoosingReason, Decision, RankScale, RankTrait, WeightUnit } from '@yaylak/core';
import { differenceText, moneyText, weightText } from './format';
import { say } from '@yaylak/contract';

export const TRAIT_WORDS: Readonly<Record<RankTrait, string>> = {
  growth: say('Growth'),
  damRecord: say('Dam’s litters'),
  lastGain: say('Last gain'),
  ownRecord: say('Own litters'),
  eyePoints: say('Points by eye'),
  'young-born': say('Young born'),
  'litter-weaned': say('Litter weaned'),
  'grown-weight': say('Grown weight'),
  'eye-points': say('Points by eye'),
};
const PLURALS: readonly RankTrait[] = ['damRecord', 'ownRecord', 'eyePoints', 'eye-points', 'young-born'];
export const DECISION_WORDS: Readonly<Record<Decision, string>> = {
  keep: say('Keep'),
  second: say('Second string'),
  sell: say('Sell'),
  cull: say('Cull'),
};

/** A part of the breakdown as a line of its own. */
export function partWords(part: BreakdownPart, row: ChoosingRow): string {
  const { breakdown, adjusted } = row;
  switch (part) {
    case 'age': {
      const days = Math.round(breakdown?.ageDaysAgainstMean ?? 0);
      return days === 0
        ? say('As old as the mean')
        : say('{abs} {abs, plural, one {day} other {days}} {value} than the mean', {
            abs: Math.abs(days),
            value: days > 0 ? say('older') : say('younger'),
          });
    }
    case 'birthType':
      return row.birthType === null
        ? say('Birth not known')
        : say('Born {word}, reared {word2}', {
            word: word(row.birthType),
            word2: word(row.rearingType ?? row.birthType),
          });
    case 'sex':
      return say('Sex');
    case 'damAge': {
      const years = adjusted?.factorSources.damAge.class;
      return years
        ? say('Dam {years} {value} old', { years, value: years === '1' ? say('year') : say('years') })
        : say('Dam’s age not known');
    }
  }
}

const word = (n: number): string => ['single', 'twin', 'triplet'][n - 1] ?? say('one of {n}', { n });

const PART_NOUNS: Readonly<Record<BreakdownPart, readonly [more: string, less: string]>> = {
  age: [say('its age'), say('its youth')],
  birthType: [say('being reared with few or alone'), say('being one of several')],
  sex: [say('its sex'), say('its sex')],
  damAge: [say('a dam in her best years'), say('its dam’s age')],
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
        scale === 'money'
          ? moneyText(Math.abs(reason.points), currency)
          : say('{points} {points, plural, one {point} other {points}}', { points });
      return `${TRAIT_WORDS[reason.trait]} ${verb} ${much}.`;
    }
    case 'not-measured':
      return say('{trait} not measured: counted as average, and less sure because of it.', {
        trait: TRAIT_WORDS[reason.trait],
      });
    case 'near-line':
      return say('About {n} in 10 that it belongs on the other side of the line.', {
        n: Math.round(reason.chanceAcross * 10),
      });
    case 'heavier-than-worth':
      return say('{ordinal} by weight, but {ordinal2} overall: {difference} come from {value}.', {
        ordinal: ordinal(reason.placeByWeight),
        ordinal2: ordinal(reason.place),
        difference: differenceText(reason.grams / 1000, unit),
        value: PART_NOUNS[reason.part][0],
      });
    case 'lighter-than-worth':
      return say('Only {ordinal} by weight, yet {ordinal2}: {value} costs {weight}.', {
        ordinal: ordinal(reason.placeByWeight),
        ordinal2: ordinal(reason.place),
        value: PART_NOUNS[reason.part][1],
        weight: weightText(Math.abs(reason.grams) / 1000, unit),
      });
  }
}

/** `1st`, `2nd`, `14th`. */
export const ordinal = (n: number): string =>
  say('{n, selectordinal, one {#st} two {#nd} few {#rd} other {#th}}', { n });
