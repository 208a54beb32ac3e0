import { dayOf, isoOf, type Day } from '../../calendar';
import type { Fact } from '../facts';
import type { FactKind } from './kind';
import type { Kilograms } from '../../units';

export interface FeedWritten {
  readonly since: string;
  readonly feed: string;
  readonly kg: Kilograms;
  readonly priceMinor: number;
}

/** What a dam and her litter ate from one day to another. */
export interface FeedFact extends Fact {
  readonly since: Day;
  readonly feed: string;
  readonly kg: Kilograms;
  readonly priceMinor: number;
}

export const feed: FactKind<'feeds', FeedWritten, FeedFact> = {
  list: 'feeds',
  fact: ({ since, feed: name, kg, priceMinor }, base) => ({ since: dayOf(since), feed: name, kg, priceMinor, ...base }),
  check({ since, day }) {
    const from = dayOf(since);
    return from >= day ? { code: 'ends-before-it-begins', field: 'since', value: isoOf(from) } : undefined;
  },
};
