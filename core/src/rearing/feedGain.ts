import type { Day } from '../calendar';
import { litterChange, type LitterCounting } from '../growth';
import { rearedBy, ONE_LITTER_DAYS, type Reared } from './rearedBy';
import type { AnimalId, Kilograms } from '../units';

/** A weighing stands for the day a feed was begun or ended within so many days of it. Rule of thumb. */
const NEAR_FEED_DAYS = 4;

/** A young that ate of a feed, with its weights by day. */
export interface FedYoung {
  readonly id: string;
  readonly daily: readonly { readonly on: Day; readonly kg: Kilograms }[];
}

export interface GainOnFeed {
  /** Gained by all of them over the days of the feed. */
  readonly gainKg: Kilograms;
  readonly young: number;
}

/**
 * Whose gain a feed is held against: the youngest litter a dam reared when it was begun, hers and others', that is there
 * to its end. They may eat of it still when they are weaned.
 */
export function fedYoung(damId: AnimalId, about: readonly Reared[], since: Day, until: Day): Reared[] {
  const all = about.filter(
    (y) => rearedBy({ ...y, weanedOn: undefined }, since) === damId && (y.goneOn ?? Infinity) > until,
  );
  const youngest = Math.max(...all.map((y) => y.bornOn));
  return all.filter((y) => y.bornOn >= youngest - ONE_LITTER_DAYS);
}

/**
 * What a litter gained from the day a feed was begun to its end, at the pace between the weighings nearest to both: each
 * by itself where all were weighed so, else the litter as a whole (`litterChange`).
 * @param days on which the whole litter was weighed, in order
 * @returns undefined where no weighing is near, or heads changed between two weighings of all together
 */
export function gainOnFeed(
  young: readonly FedYoung[],
  days: readonly LitterCounting[],
  since: Day,
  until: Day,
): GainOnFeed | undefined {
  const gains = young.flatMap(({ daily }) => {
    const [from, to] = [near(daily, since), near(daily, until)];
    return from && to && to.on > from.on ? [((to.kg - from.kg) / (to.on - from.on)) * (until - since)] : [];
  });
  if (gains.length > 0 && gains.length === young.length)
    return { gainKg: gains.reduce((s, g) => s + g, 0), young: gains.length };
  const [from, to] = [near(days, since), near(days, until)];
  const change = from && to && litterChange(from, to, () => false);
  return change?.kind === 'gain' ? { gainKg: change.kgPerDay * (until - since), young: change.heads } : undefined;
}

/** The weighing nearest to a day, the earlier of two as near. */
const near = <T extends { readonly on: Day }>(all: readonly T[], on: Day): T | undefined =>
  all.filter((r) => Math.abs(r.on - on) <= NEAR_FEED_DAYS).sort((a, b) => Math.abs(a.on - on) - Math.abs(b.on - on))[0];
