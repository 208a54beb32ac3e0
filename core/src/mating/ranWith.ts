import { addDays, type Day } from '../calendar';
import type { SpeciesSettings } from '../species';
import type { Service } from './services';

/** A stretch a female ran with a male that may sire; `to` is not known while he is still with her. */
export interface RanWith {
  readonly maleId: string;
  readonly from: Day;
  readonly to: Day | undefined;
}

export interface RunningFemale {
  readonly ran: readonly RanWith[];
  /** Days of services that were written down. */
  readonly serviceDays: readonly Day[];
  readonly birthDays: readonly Day[];
}

/** Births so far outside the usual range still are of the stretch. */
const SLACK_DAYS = 4;

/**
 * Services nobody saw: a female that ran with males over a whole heat cycle was in heat in it, and most likely served.
 * Each stretch is one such service, from its first to its last day so far, by all males that were there. A stretch in
 * which a service was written down, or that a birth has told of, is none; nor is one where mating brings the heat on.
 */
export function ranWithServices(
  { ran, serviceDays, birthDays }: RunningFemale,
  { heatCycleDays: c, gestationDays: g }: Pick<SpeciesSettings, 'heatCycleDays' | 'gestationDays'>,
  asOf: Day,
): Service[] {
  if (c.mean === 0) return [];
  return stretches(ran, asOf).flatMap(({ from, to, maleIds }): Service[] => {
    const isWhole = to - from >= c.to;
    const isSeen = serviceDays.some((d) => d >= from && d <= to);
    const isTold = birthDays.some(
      (d) => d >= addDays(from, g.from - SLACK_DAYS) && d <= addDays(to, g.to + SLACK_DAYS),
    );
    return isWhole && !isSeen && !isTold ? [{ on: to, since: from, at: undefined, way: 'ran-with', maleIds }] : [];
  });
}

/** Stays that overlap or follow each other the next day, put together. */
function stretches(ran: readonly RanWith[], asOf: Day): { from: Day; to: Day; maleIds: string[] }[] {
  const all: { from: Day; to: Day; maleIds: string[] }[] = [];
  for (const { maleId, from, to = asOf } of [...ran].sort((a, b) => a.from - b.from)) {
    if (from > asOf) continue;
    const end = Math.min(to, asOf) as Day;
    const last = all.at(-1);
    if (last && from <= addDays(last.to, 1)) {
      last.to = Math.max(last.to, end) as Day;
      if (!last.maleIds.includes(maleId)) last.maleIds.push(maleId);
    } else all.push({ from, to: end, maleIds: [maleId] });
  }
  return all;
}
