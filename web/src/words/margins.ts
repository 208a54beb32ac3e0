import type { MarginRowView, MarginsBy } from '@yaylak/contract';
import type { MarginParts } from '@yaylak/core';
import { monthName } from './dates';
import { say } from '@yaylak/contract';

export const BY_WORDS: Readonly<Record<MarginsBy, string>> = {
  outlet: say('outlet'),
  group: say('group'),
  month: say('month'),
  breed: say('breed'),
};

/** What stands for those that belong to none. */
const NONE_WORDS: Readonly<Record<MarginsBy, string>> = {
  outlet: say('no outlet named'),
  group: say('in no group'),
  month: '',
  breed: say('breed not said'),
};

/** How a row is called. */
export const marginRowName = ({ key, name }: MarginRowView, by: MarginsBy): string =>
  key === '' ? NONE_WORDS[by] : by === 'month' ? monthName(Number(key)) : name;

/** What goes off the price, in that order. */
export const OFF_WORDS: Readonly<Record<Exclude<keyof MarginParts, 'priceMinor'>, string>> = {
  haulageMinor: say('Haulage'),
  commissionMinor: say('Charges'),
  feedMinor: say('Feed'),
  remediesMinor: say('Remedies'),
  purchaseMinor: say('Bought for'),
};
export const OFF = Object.keys(OFF_WORDS) as readonly (keyof typeof OFF_WORDS)[];
