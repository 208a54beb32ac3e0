import { addDays, type Day, type Window } from '../calendar';
import type { SpeciesSettings } from '../species';
import type { Kilograms } from '../units';

export interface ToWean {
  readonly id: string;
  readonly bornOn: Day;
  /** Its last weight; undefined where it was never weighed. */
  readonly kg: Kilograms | undefined;
  /** The first of two steps was taken then. */
  readonly begunOn: Day | undefined;
}

export interface WeaningPlan {
  readonly id: string;
  readonly window: Window;
  /** Off its dam now, by age and way; in two steps, whichever comes next. */
  readonly isReady: boolean;
  readonly step: 'first' | 'last';
  /** Why it waits; undefined where it is ready. */
  readonly waits: 'too-young' | 'too-light' | 'smaller' | 'between-steps' | undefined;
}

type Rules = Pick<SpeciesSettings, 'weaningDays' | 'rearing'>;

/**
 * Who of a litter, or of a group, is weaned on a day, and who waits for what. At once: all from the best age on. By
 * weight: from the earliest age on each that is heavy enough, at the latest age all. Biggest first: from the best age
 * on those at or over the middle weight of the litter and heavy enough, the smaller ones some days later. In two steps:
 * kept off the milk first, taken away some days later.
 * @param weanedKgs of litter mates that are weaned: who was small beside them is so still when they are gone
 */
export function weaningPlans(
  young: readonly ToWean[],
  rules: Rules,
  asOf: Day,
  weanedKgs: readonly number[] = [],
): WeaningPlan[] {
  const { weaningDays: w, rearing } = rules;
  const way = rearing.weaningWay;
  const kgs = [...young.flatMap((y) => y.kg ?? []), ...weanedKgs].sort((a, b) => a - b);
  const middle = kgs[Math.floor((kgs.length - 1) / 2)];
  return young.map((y) => {
    const age = asOf - y.bornOn;
    const isLight = y.kg !== undefined && y.kg < rearing.weaningKg;
    const isSmall = way === 'biggest-first' && y.kg !== undefined && middle !== undefined && y.kg < middle;
    const later = isSmall || (way === 'biggest-first' && isLight) ? rearing.stepDays : 0;
    const from = way === 'by-weight' ? w.opens : w.bestFrom + later;
    const waits = ((): WeaningPlan['waits'] => {
      if (y.begunOn !== undefined) return asOf - y.begunOn < rearing.stepDays ? 'between-steps' : undefined;
      if (age >= w.closes) return undefined;
      if (age < w.bestFrom && age < from) return 'too-young';
      if (age < from) return isSmall ? 'smaller' : 'too-light';
      return way === 'by-weight' && (isLight || (y.kg === undefined && age < w.bestFrom)) ? 'too-light' : undefined;
    })();
    return {
      id: y.id,
      window: {
        opens: addDays(y.bornOn, w.opens),
        bestFrom: addDays(y.bornOn, w.bestFrom + later),
        bestTo: addDays(y.bornOn, Math.max(w.bestTo, w.bestFrom + later)),
        closes: addDays(y.bornOn, w.closes),
      },
      isReady: waits === undefined,
      step: way === 'two-steps' && y.begunOn === undefined ? 'first' : 'last',
      waits,
    };
  });
}
