import type { Day } from '../calendar';
import { litterGain, litterSpread, type LitterCounting, type LitterGain } from '../growth';

/** A kit or lamb of a litter, with its weights by day. */
export interface LitterMember {
  readonly id: string;
  readonly daily: readonly { readonly on: Day; readonly kg: number }[];
  /** In this litter on a day. */
  isIn(on: Day): boolean;
}

export interface LitterDay extends LitterCounting {
  /** One by one, so that each has a weight of its own. */
  readonly isEach: boolean;
}

/**
 * The days a whole litter was weighed: together on the pan, or each of those that were in it then. A day on which some
 * were weighed and others not says nothing of the whole.
 */
export function litterDays(together: readonly LitterCounting[], members: readonly LitterMember[]): LitterDay[] {
  const days = new Map<Day, LitterDay>(together.map((t) => [t.on, { ...t, isEach: false }]));
  for (const on of new Set(members.flatMap((m) => m.daily.map((r) => r.on)))) {
    const present = members.filter((m) => m.isIn(on));
    const kgs = present.flatMap((m) => m.daily.find((r) => r.on === on)?.kg ?? []);
    if (present.length > 0 && kgs.length === present.length)
      days.set(on, { on, count: kgs.length, totalKg: kgs.reduce((s, kg) => s + kg, 0), isEach: true });
  }
  return [...days.values()].sort((a, b) => a.on - b.on);
}

export interface LitterNow {
  readonly days: readonly LitterDay[];
  /** Between the last two weighings. */
  readonly last: LitterGain | undefined;
  /** From the first to the last, by the head where one died or was moved between. */
  readonly whole: LitterGain | undefined;
  /** Days since the last weighing; undefined without one. */
  readonly daysWithout: number | undefined;
  /** Under 70 % of the litter's mean where each was weighed on the last day. */
  readonly runtIds: readonly string[];
}

/** How a litter does now. */
export function litterNow(together: readonly LitterCounting[], members: readonly LitterMember[], asOf: Day): LitterNow {
  const days = litterDays(together, members);
  const [first, before, last] = [days[0], days.at(-2), days.at(-1)];
  const eachOn = days.findLast((d) => d.isEach)?.on;
  const spread =
    eachOn === undefined
      ? undefined
      : litterSpread(
          members.flatMap((m) => {
            const kg = m.isIn(eachOn) ? m.daily.find((r) => r.on === eachOn)?.kg : undefined;
            return kg === undefined ? [] : [{ id: m.id, kg }];
          }),
        );
  return {
    days,
    last: before && last ? litterGain(before, last) : undefined,
    whole: first && last && first !== last ? litterGain(first, last) : undefined,
    daysWithout: last && asOf - last.on,
    runtIds: (spread?.runtIds ?? []).filter((id) => members.find((m) => m.id === id)?.isIn(asOf)),
  };
}
