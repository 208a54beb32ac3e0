import { addDays, type Day } from '../calendar';
import type { SpeciesSettings } from '../species';
import type { Service } from './services';
import type { AnimalId } from '../units';

/** A stretch a female ran with a male that may sire; `to` is not known while he is still with her. */
export interface RanWith {
  readonly maleId: AnimalId;
  readonly from: Day;
  readonly to: Day | undefined;
  /** He wears colour, and whom he serves wears his mark. */
  readonly isRaddled: boolean;
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
 * which a service was written down, or that a birth has told of, is none; nor is one where mating brings the heat on,
 * nor one with males that mark whom they serve: who wears no mark was most likely not served.
 */
export function ranWithServices(
  { ran, serviceDays, birthDays }: RunningFemale,
  { heatCycleDays, gestationDays }: Pick<SpeciesSettings, 'heatCycleDays' | 'gestationDays'>,
  asOf: Day,
): Service[] {
  return silentStretches(
    { ran: ran.filter((r) => !r.isRaddled), serviceDays, birthDays },
    { heatCycleDays, gestationDays },
    asOf,
  ).map(({ from, to, maleIds }): Service => ({ on: to, since: from, at: undefined, way: 'ran-with', maleIds }));
}

/** A stretch with a male that marks whom he serves, and no mark on her. */
export interface RanUnmarked {
  readonly from: Day;
  readonly to: Day;
  readonly maleIds: readonly AnimalId[];
}

/**
 * The last stretch she ran with raddled males over a whole heat cycle and wears no mark: she was not on heat, was not
 * served, or the mark was missed. Undefined once a service or a birth after its beginning says more, and when the time
 * of a birth from it is over.
 */
export function ranUnmarked(
  { ran, serviceDays, birthDays }: RunningFemale,
  settings: Pick<SpeciesSettings, 'heatCycleDays' | 'gestationDays'>,
  asOf: Day,
): RanUnmarked | undefined {
  const raddled = { ran: ran.filter((r) => r.isRaddled), serviceDays, birthDays };
  const last = silentStretches(raddled, settings, asOf).at(-1);
  const isTold = last && [...serviceDays, ...birthDays].some((d) => d >= last.from);
  // Had she taken on its last day, her time would be over as well.
  const isOver = last && asOf > addDays(last.to, settings.gestationDays.to);
  return isTold || isOver ? undefined : last;
}

/** Stretches of a heat cycle or more in which no service was written down, and that no birth has told of. */
function silentStretches(
  { ran, serviceDays, birthDays }: RunningFemale,
  { heatCycleDays: c, gestationDays: g }: Pick<SpeciesSettings, 'heatCycleDays' | 'gestationDays'>,
  asOf: Day,
): { readonly from: Day; readonly to: Day; readonly maleIds: readonly AnimalId[] }[] {
  if (c.mean === 0) return [];
  return stretches(ran, asOf).filter(({ from, to }) => {
    const isSeen = serviceDays.some((d) => d >= from && d <= to);
    const isTold = birthDays.some(
      (d) => d >= addDays(from, g.from - SLACK_DAYS) && d <= addDays(to, g.to + SLACK_DAYS),
    );
    return to - from >= c.to && !isSeen && !isTold;
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
