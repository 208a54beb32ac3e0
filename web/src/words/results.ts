import type { HabitView, ResultsView, SoldHeadView } from '@yaylak/contract';
import { fatName, shapeName, type Difference, type FatGroup, type KillingKind } from '@yaylak/core';
import { figureText, moneyText } from './format';
import { say, perCent } from '@yaylak/contract';

/** Why a sale brought more or less, in the order the parts are put in. */
export const DIFFERENCE_PARTS = ['weightMinor', 'killingOutMinor', 'classMinor', 'priceMinor', 'chargesMinor'] as const;
export type DifferencePart = (typeof DIFFERENCE_PARTS)[number];
export const PART_WORDS: Readonly<Record<DifferencePart, string>> = {
  weightMinor: say('weight'),
  killingOutMinor: say('killing-out'),
  classMinor: say('class'),
  priceMinor: say('price'),
  chargesMinor: say('what was taken off'),
};

/** `12.40 EUR more than expected`, `as expected`. */
export function againstExpected(paidMinor: number, expectedMinor: number, currency: string): string {
  const more = paidMinor - expectedMinor;
  if (more === 0) return say('as expected');
  return say('{money} {value} than expected', {
    money: moneyText(Math.abs(more), currency),
    value: more > 0 ? say('more') : say('less'),
  });
}

/** `+12.40`: without the currency, which stands in the heading. */
export const signedMoney = (minor: number): string =>
  `${minor > 0 ? '+' : minor < 0 ? '−' : ''}${figureText(Math.abs(minor) / 100, 2)}`;

/** The part that made most of a difference; undefined where none made any. */
export function mostOf(difference: Difference): DifferencePart | undefined {
  const size = (part: DifferencePart): number => Math.abs(difference[part] ?? 0);
  const most = DIFFERENCE_PARTS.reduce((a, b) => (size(b) > size(a) ? b : a));
  return size(most) > 0 ? most : undefined;
}

/** `R+ 3`, or nothing where it was not graded. */
export const gradedText = (carcass: SoldHeadView['carcass']): string =>
  [carcass?.shape && shapeName(carcass.shape), carcass?.fat && fatName(carcass.fat)].filter(Boolean).join(' ');

const KILLING_WORDS: Readonly<Record<KillingKind, string>> = {
  lamb: say('Lambs'),
  kid: say('Kids'),
  rabbit: say('Rabbits'),
  beef: say('Beef cattle'),
  'dairy-cross': say('Dairy crosses'),
  dairy: say('Dairy cattle'),
};

/** What killing-out is reckoned with, and what is behind it. */
export function killingOutText({ kind, share, heads, usual }: ResultsView['killingOut']): string {
  const percent = (value: number): string => perCent(figureText(100 * value, 1));
  return heads === 0
    ? say(
        '{killing} are reckoned to kill out at the usual {percent}: none of your own was weighed alive within three days of it.',
        { killing: KILLING_WORDS[kind], percent: percent(usual) },
      )
    : say(
        '{killing} are reckoned to kill out at {percent}: {heads} of your own, and the usual {percent2} counting as ten.',
        { killing: KILLING_WORDS[kind], percent: percent(share), heads, percent2: percent(usual) },
      );
}

/** How early a kind lays on fat. */
export const FAT_GROUP_WORDS: Readonly<Record<FatGroup, string>> = {
  early: say('early'),
  middle: say('middling'),
  late: say('late'),
};

const SEEN = {
  shape: { over: say('better shaped'), under: say('plainer') },
  fat: { over: 'fatter', under: 'leaner' },
} as const;
const thirds = (value: number): string =>
  `${figureText(Math.abs(value), 1)} ${figureText(Math.abs(value), 1) === '1.0' ? say('third') : say('thirds')}`;

/** How a grader sees shape or fat beside the own hand: `1.2 thirds fatter (0.9 to 1.5), 22 head`. */
export function habitText({ mean, halfWidth, pairs }: HabitView, of: keyof typeof SEEN): string {
  if (mean === null) return say('not held against your hand yet');
  const side = mean >= 0 ? SEEN[of].over : SEEN[of].under;
  const heads = say('{pairs} head', { pairs });
  if (halfWidth === null) return `${thirds(mean)} ${side}, ${heads}`;
  if (Math.abs(mean) <= halfWidth)
    return say('as you do, within {thirds}, {heads}', { thirds: thirds(halfWidth), heads });
  const [low, high] = [Math.abs(mean) - halfWidth, Math.abs(mean) + halfWidth];
  return say('{thirds} {side} ({figure} to {figure2}), {heads}', {
    thirds: thirds(mean),
    side,
    figure: figureText(low, 1),
    figure2: figureText(high, 1),
    heads,
  });
}

/** Two graders by the same hand, or that nothing tells them apart. */
export function comparedText(
  { difference, halfWidth }: { readonly difference: number; readonly halfWidth: number },
  of: keyof typeof SEEN,
): string {
  if (Math.abs(difference) <= halfWidth) return say('nothing tells them apart');
  return `${thirds(difference)} ${difference > 0 ? SEEN[of].over : SEEN[of].under} ± ${figureText(halfWidth, 1)}`;
}
