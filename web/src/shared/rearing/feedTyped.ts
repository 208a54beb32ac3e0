import { toKg, type WeightUnit } from '@yaylak/core';
import type { EntryDraft } from '../../outbox/useRecord';
import { UNIT_WORDS } from '../../words/format';
import { figureTyped, minorTyped } from '../../words/typed';
import { say } from '@yaylak/contract';

/** What was fed, as it is typed. */
export interface FeedTyped {
  readonly feed: string;
  readonly since: string;
  readonly on: string;
  readonly kg: string;
  readonly price: string;
}

/** The entry of a head's part in what was fed. */
export function feedDraft(typed: FeedTyped, animalId: string, heads: number, unit: WeightUnit): EntryDraft {
  return {
    type: 'feed',
    animalId,
    on: typed.on,
    since: typed.since,
    feed: typed.feed.trim(),
    kg: toKg(figureTyped(typed.kg), unit) / heads,
    priceMinor: Math.round(minorTyped(typed.price) / toKg(1, unit)),
  };
}

/** What to say of each field. */
export function feedWords(unit: WeightUnit): Readonly<Record<string, string>> {
  const [one, many] = UNIT_WORDS[unit];
  return {
    feed: say('Give its name.'),
    since: say('Give the day it was begun.'),
    on: say('Give the day it ended.'),
    kg: say('Type the {many}, without what was left.', { many }),
    priceMinor: say('Type what a {one} costs.', { one }),
  };
}
export const FEED_FIELDS = { priceMinor: 'price' } as const;
