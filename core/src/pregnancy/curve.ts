import { addDays, type Day } from '../calendar';
import type { Days } from '../units';

/** A female eligible at the start of mating. */
export interface CurveFemale {
  /** The day she conceived, as far as it is known; undefined for empty ones and those not known of. */
  readonly conceivedOn: Day | undefined;
  /** That she carries: 1 once it is known, less while it is foretold. */
  readonly weight: number;
  /** The day she was sold or died. */
  readonly leftOn: Day | undefined;
}

export interface InYoungCurve {
  readonly startOn: Day;
  readonly base: number;
  /** Share in young at the end of each day from the start of mating on. */
  readonly perDay: readonly number[];
  /** Of the base, those conceived by the last day (weights summed). */
  readonly conceived: number;
  /** The first day (0 being the start) by which half are in young. */
  readonly medianDay: number | undefined;
}

/**
 * Share in young by day from the start of mating. Empty, never served and unscanned females stay in the base; one that
 * was sold or died leaves it from that day, by the product-limit estimate (Kaplan & Meier 1958, JASA 53: 457-481),
 * which is the plain share while none has left. Who conceived before day 0 is never in a numerator. A day's weights
 * that are not whole stand for what is only likely.
 * @param until the last day of the curve
 * @returns undefined without a female
 */
export function inYoungCurve(females: readonly CurveFemale[], startOn: Day, until: Day): InYoungCurve | undefined {
  if (females.length === 0) return undefined;
  const days = Math.max(0, until - startOn) + 1;
  const conceived = new Array<number>(days).fill(0);
  const left = new Array<number>(days).fill(0);
  for (const { conceivedOn, weight, leftOn } of females) {
    const at = conceivedOn === undefined ? undefined : conceivedOn - startOn;
    const gone = leftOn === undefined ? undefined : Math.max(0, leftOn - startOn);
    const took = at !== undefined && at >= 0 && at < days && (gone === undefined || at < gone) ? weight : 0;
    if (took > 0 && at !== undefined) conceived[at] = (conceived[at] ?? 0) + took;
    // Only what had not conceived is still at risk when she leaves.
    if (gone !== undefined && gone < days) left[gone] = (left[gone] ?? 0) + 1 - took;
  }
  let atRisk = females.length;
  let empty = 1;
  const perDay = conceived.map((n, d) => {
    atRisk -= left[d] as number;
    if (n > 0 && atRisk > 0) empty *= Math.max(0, 1 - n / atRisk);
    atRisk -= n;
    return 1 - empty;
  });
  const medianDay = perDay.findIndex((share) => share >= 0.5 - 1e-9);
  return {
    startOn,
    base: females.length,
    perDay,
    conceived: conceived.reduce((s, n) => s + n, 0),
    medianDay: medianDay < 0 ? undefined : medianDay,
  };
}

/** Share in young at the end of day `days - 1`: a 3-week rate counts days 0 to 20, week w ends on day 7w - 1. */
export const inYoungBy = (curve: Pick<InYoungCurve, 'perDay'>, days: Days): number =>
  days < 1 ? 0 : (curve.perDay[Math.min(days, curve.perDay.length) - 1] ?? 0);

/** A point the share in young is wanted to have reached. */
export interface AimPoint {
  readonly day: number;
  readonly share: number;
}

/**
 * The share wanted by cycle, from nothing on day 0: straight lines between the ends of the cycles. Where mating itself
 * brings the heat on, all is wanted on the first day.
 */
export function aimLine(
  aims: { readonly aimFirst: number; readonly aimSecond: number; readonly aimLast: number },
  cycleDays: Days,
): AimPoint[] {
  if (cycleDays === 0) return [{ day: 0, share: aims.aimFirst }];
  return [
    { day: 0, share: 0 },
    { day: cycleDays, share: aims.aimFirst },
    { day: 2 * cycleDays, share: aims.aimSecond },
    { day: 3 * cycleDays, share: aims.aimLast },
  ];
}

/** Services no further apart than this are of one season of mating; where there is no cycle, of one round. */
const SEASON_GAP_DAYS = 60;
const ROUND_GAP_DAYS = 13;

export interface MatingSeason {
  readonly from: Day;
  /** The last service in it. */
  readonly to: Day;
}

/** Seasons of mating a species had, by its service days, in order. */
export function matingSeasons(serviceDays: readonly Day[], cycleDays: Days): MatingSeason[] {
  const gap = cycleDays > 0 ? SEASON_GAP_DAYS : ROUND_GAP_DAYS;
  const seasons: { from: Day; to: Day }[] = [];
  for (const on of [...serviceDays].sort((a, b) => a - b)) {
    const last = seasons.at(-1);
    if (last && on - last.to <= gap) last.to = on;
    else seasons.push({ from: on, to: on });
  }
  return seasons;
}

/** The last day of a curve: three cycles, or as long as there were services, and no later than `asOf`. */
export const curveEnd = ({ from, to }: MatingSeason, cycleDays: Days, asOf: Day): Day =>
  Math.min(asOf, Math.max(addDays(from, 3 * Math.max(cycleDays, 7)), to)) as Day;
