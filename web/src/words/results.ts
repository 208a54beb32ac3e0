import type { HabitView, ResultsView, SoldHeadView } from '@yaylak/contract';
import { fatName, shapeName, type Difference, type FatGroup, type KillingKind } from '@yaylak/core';
import { figureText, moneyText } from './format';

/** Why a sale brought more or less, in the order the parts are put in. */
export const DIFFERENCE_PARTS = ['weightMinor', 'killingOutMinor', 'classMinor', 'priceMinor', 'chargesMinor'] as const;
export type DifferencePart = (typeof DIFFERENCE_PARTS)[number];
export const PART_WORDS: Readonly<Record<DifferencePart, string>> = {
  weightMinor: 'weight',
  killingOutMinor: 'killing-out',
  classMinor: 'class',
  priceMinor: 'price',
  chargesMinor: 'what was taken off',
};

/** `12.40 EUR more than expected`, `as expected`. */
export function againstExpected(paidMinor: number, expectedMinor: number, currency: string): string {
  const more = paidMinor - expectedMinor;
  if (more === 0) return 'as expected';
  return `${moneyText(Math.abs(more), currency)} ${more > 0 ? 'more' : 'less'} than expected`;
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
  lamb: 'Lambs',
  kid: 'Kids',
  rabbit: 'Rabbits',
  beef: 'Beef cattle',
  'dairy-cross': 'Dairy crosses',
  dairy: 'Dairy cattle',
};

/** What killing-out is reckoned with, and what is behind it. */
export function killingOutText({ kind, share, heads, usual }: ResultsView['killingOut']): string {
  const percent = (value: number): string => `${figureText(100 * value, 1)}\u00a0%`;
  return heads === 0
    ? `${KILLING_WORDS[kind]} are reckoned to kill out at the usual ${percent(usual)}: none of your own was weighed alive within three days of it.`
    : `${KILLING_WORDS[kind]} are reckoned to kill out at ${percent(share)}: ${heads} of your own, and the usual ${percent(usual)} counting as ten.`;
}

/** How early a kind lays on fat. */
export const FAT_GROUP_WORDS: Readonly<Record<FatGroup, string>> = {
  early: 'early',
  middle: 'middling',
  late: 'late',
};

const SEEN = {
  shape: { over: 'better shaped', under: 'plainer' },
  fat: { over: 'fatter', under: 'leaner' },
} as const;
const thirds = (value: number): string =>
  `${figureText(Math.abs(value), 1)} ${figureText(Math.abs(value), 1) === '1.0' ? 'third' : 'thirds'}`;

/** How a grader sees shape or fat beside the own hand: `1.2 thirds fatter (0.9 to 1.5), 22 head`. */
export function habitText({ mean, halfWidth, pairs }: HabitView, of: keyof typeof SEEN): string {
  if (mean === null) return 'not held against your hand yet';
  const side = mean >= 0 ? SEEN[of].over : SEEN[of].under;
  const heads = `${pairs} head`;
  if (halfWidth === null) return `${thirds(mean)} ${side}, ${heads}`;
  if (Math.abs(mean) <= halfWidth) return `as you do, within ${thirds(halfWidth)}, ${heads}`;
  const [low, high] = [Math.abs(mean) - halfWidth, Math.abs(mean) + halfWidth];
  return `${thirds(mean)} ${side} (${figureText(low, 1)} to ${figureText(high, 1)}), ${heads}`;
}

/** Two graders by the same hand, or that nothing tells them apart. */
export function comparedText(
  { difference, halfWidth }: { readonly difference: number; readonly halfWidth: number },
  of: keyof typeof SEEN,
): string {
  if (Math.abs(difference) <= halfWidth) return 'nothing tells them apart';
  return `${thirds(difference)} ${difference > 0 ? SEEN[of].over : SEEN[of].under} ± ${figureText(halfWidth, 1)}`;
}
