import type { MarginRowView, MarginsBy } from '@yaylak/contract';
import type { MarginParts } from '@yaylak/core';
import { monthName } from './format';

export const BY_WORDS: Readonly<Record<MarginsBy, string>> = {
  outlet: 'outlet',
  group: 'group',
  month: 'month',
  breed: 'breed',
};

/** What stands for those that belong to none. */
const NONE_WORDS: Readonly<Record<MarginsBy, string>> = {
  outlet: 'no outlet named',
  group: 'in no group',
  month: '',
  breed: 'breed not said',
};

/** How a row is called. */
export const marginRowName = ({ key, name }: MarginRowView, by: MarginsBy): string =>
  key === '' ? NONE_WORDS[by] : by === 'month' ? monthName(Number(key)) : name;

/** What goes off the price, in that order. */
export const OFF_WORDS: Readonly<Record<Exclude<keyof MarginParts, 'priceMinor'>, string>> = {
  haulageMinor: 'Haulage',
  commissionMinor: 'Charges',
  feedMinor: 'Feed',
  remediesMinor: 'Remedies',
  purchaseMinor: 'Bought for',
};
export const OFF = Object.keys(OFF_WORDS) as readonly (keyof typeof OFF_WORDS)[];
