import type { Day } from '../calendar';
import { planKindOf } from '../season';
import type { SpeciesSettings } from '../species';
import { standardDeviation, t80, Z_80 } from '../statistics';
import type { RearingTally } from './rearingTally';
import { reachesWeaning } from './youngSurvival';

/** A birth and what its dam reared of it. */
export interface RearedOfBirth {
  readonly on: Day;
  readonly tally: Pick<RearingTally, 'reared' | 'agesWithHer'>;
}

export interface RearedPerYear {
  readonly perYear: number;
  readonly standardError: number;
  /** 80 % interval: Student's t, or the normal under three litters; not cut at 0. */
  readonly low: number;
  readonly high: number;
  readonly litters: number;
  /** Reached weaning. */
  readonly weaned: number;
  /** The same, and of those with her still the chance that they do. */
  readonly reared: number;
  /** At risk, not rounded. */
  readonly years: number;
}

const DAYS_A_YEAR = 365.25;
const USUAL_INTERVAL_DAYS = 365;
/** The species' spread counts as so many litters beside a dam's own. */
const PRIOR_LITTERS = 4;
const OWN_SPREAD_FROM = 3;

/**
 * Young a female rears a year of her breeding life. Her years run from the first birth to the last, and on by the usual
 * interval between births or, where it is longer, by the days since the last one: a birth is not yet a year's rest, and
 * one that stays empty goes on counting. A young under weaning age counts the chance that it reaches it. The error is
 * that of a sum of so many litters: from three on with her own spread drawn to the species', under three the species'.
 * @param births   oldest first, none after `until`
 * @param until    today, or the day she left
 * @param survival of the holding's young, see `youngSurvival`
 * @returns undefined without a birth
 */
export function rearedPerYear(
  births: readonly RearedOfBirth[],
  { until, survival }: { readonly until: Day; readonly survival: readonly number[] },
  settings: Pick<SpeciesSettings, 'gestationDays' | 'waitAfterBirthDays' | 'heatCycleDays' | 'rearing'>,
): RearedPerYear | undefined {
  const [first, last] = [births[0], births.at(-1)];
  if (!first || !last) return undefined;
  const each = births.map(
    ({ tally }) => tally.reared + tally.agesWithHer.reduce((s, age) => s + reachesWeaning(survival, age), 0),
  );
  const reared = each.reduce((s, n) => s + n, 0);
  const weaned = births.reduce((s, { tally }) => s + tally.reared, 0);
  const usual =
    planKindOf(settings) === 'rolling'
      ? settings.gestationDays.mean + settings.waitAfterBirthDays
      : USUAL_INTERVAL_DAYS;
  const years = (last.on - first.on + Math.max(usual, until - last.on)) / DAYS_A_YEAR;
  const n = births.length;
  const ofSpecies = settings.rearing.youngSd ** 2;
  const own = n >= OWN_SPREAD_FROM ? (standardDeviation(each) ?? 0) ** 2 : undefined;
  const variance =
    own === undefined ? ofSpecies : ((n - 1) * own + PRIOR_LITTERS * ofSpecies) / (n - 1 + PRIOR_LITTERS);
  const standardError = Math.sqrt(n * variance) / years;
  const half = (own === undefined ? Z_80 : t80(n + 3)) * standardError;
  const perYear = reared / years;
  return { perYear, standardError, low: perYear - half, high: perYear + half, litters: n, weaned, reared, years };
}
