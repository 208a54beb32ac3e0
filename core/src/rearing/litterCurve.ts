import type { Day } from '../calendar';
import { litterChange, litterSpread, type LitterChange, type LitterCounting } from '../growth';
import type { Kilograms } from '../units';

/** A kit or lamb of a litter, with its weights by day. */
export interface LitterMember {
  readonly id: string;
  readonly daily: readonly { readonly on: Day; readonly kg: Kilograms }[];
  /** In this litter on a day. */
  isIn(on: Day): boolean;
  readonly hasDied: boolean;
}

/** A whole litter on the pan together, as it was written down. */
export type LitterTogether = Pick<LitterCounting, 'on' | 'count' | 'totalKg'>;

/**
 * The days a whole litter was weighed: together on the pan, or each of those that were in it then. A day on which some
 * were weighed and others not says nothing of the whole.
 */
export function litterDays(together: readonly LitterTogether[], members: readonly LitterMember[]): LitterCounting[] {
  const headsOn = (on: Day): string[] => members.filter((m) => m.isIn(on)).map((m) => m.id);
  const days = new Map<Day, LitterCounting>(together.map((t) => [t.on, { ...t, heads: headsOn(t.on) }]));
  for (const on of new Set(members.flatMap((m) => m.daily.map((r) => r.on)))) {
    const heads = headsOn(on);
    const each = new Map(
      members.flatMap((m): [string, number][] => {
        const kg = m.isIn(on) ? m.daily.find((r) => r.on === on)?.kg : undefined;
        return kg === undefined ? [] : [[m.id, kg]];
      }),
    );
    if (heads.length > 0 && each.size === heads.length)
      days.set(on, { on, count: each.size, totalKg: [...each.values()].reduce((s, kg) => s + kg, 0), heads, each });
  }
  return [...days.values()].sort((a, b) => a.on - b.on);
}

/** What a litter put on between two of its days; see `litterChange`. */
export const changeBetween = (
  from: LitterCounting,
  to: LitterCounting,
  members: readonly LitterMember[],
): LitterChange => {
  const dead = new Set(members.flatMap((m) => (m.hasDied ? [m.id] : [])));
  return litterChange(from, to, (id) => dead.has(id));
};

export interface LitterNow {
  readonly days: readonly LitterCounting[];
  /** Between the last two weighings. */
  readonly last: LitterChange | undefined;
  /** Days since the last weighing; undefined without one. */
  readonly daysWithout: number | undefined;
  /** Under 70 % of the litter's mean where each was weighed on the last day. */
  readonly runtIds: readonly string[];
}

/** How a litter does now. */
export function litterNow(together: readonly LitterTogether[], members: readonly LitterMember[], asOf: Day): LitterNow {
  const days = litterDays(together, members);
  const [before, last] = [days.at(-2), days.at(-1)];
  const each = days.findLast((d) => d.each)?.each;
  const spread = each && litterSpread([...each].map(([id, kg]) => ({ id, kg })));
  return {
    days,
    last: before && last ? changeBetween(before, last, members) : undefined,
    daysWithout: last && asOf - last.on,
    runtIds: (spread?.runtIds ?? []).filter((id) => members.find((m) => m.id === id)?.isIn(asOf)),
  };
}
