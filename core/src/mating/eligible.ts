import { addDays, addYears, type Day } from '../calendar';
import type { SpeciesSettings } from '../species';
import type { Proportion } from '../statistics';
import type { Kilograms } from '../units';

/** Why a female is not mated, or not yet; `until` where the day is known. */
export type FemaleReason =
  | { readonly code: 'too-young'; readonly until: Day }
  | {
      readonly code: 'too-light';
      readonly kg: Kilograms;
      readonly neededKg: Kilograms;
      readonly until: Day | undefined;
    }
  | { readonly code: 'heats-to-skip'; readonly goneBy: number; readonly of: number }
  | { readonly code: 'resting'; readonly bornOn: Day; readonly until: Day }
  | { readonly code: 'womb'; readonly since: Day }
  | { readonly code: 'thin'; readonly score: number; readonly least: number }
  | { readonly code: 'carrying'; readonly servedOn: Day; readonly probability: number }
  /** Told in young, her time long over, and nobody said what came of her. */
  | { readonly code: 'unanswered'; readonly dueOn: Day };

export type MaleReason =
  | { readonly code: 'too-young'; readonly until: Day }
  | {
      readonly code: 'too-light';
      readonly kg: Kilograms;
      readonly neededKg: Kilograms;
      readonly until: Day | undefined;
    }
  | { readonly code: 'failed-check'; readonly on: Day; readonly parts: readonly string[] }
  | { readonly code: 'not-checked'; readonly lastOn: Day | undefined }
  | { readonly code: 'old'; readonly since: Day }
  | { readonly code: 'low-share'; readonly share: Proportion }
  | { readonly code: 'resting'; readonly until: Day };

export interface Readiness<Reason> {
  readonly isReady: boolean;
  /** What speaks against it; a ready male may still carry a flag. */
  readonly reasons: readonly Reason[];
  /** The day the last of the known reasons is over; undefined where one has no day. */
  readonly readyOn: Day | undefined;
}

export interface FemaleToMate {
  readonly bornOn: Day | undefined;
  readonly hasGivenBirth: boolean;
  readonly lastBirthOn: Day | undefined;
  /** Now, and when she reaches the weight of her first mating. */
  readonly weight:
    { readonly kg: Kilograms; readonly neededKg: Kilograms; readonly reachedOn: Day | undefined } | undefined;
  /** Heats that are over; the one she is on has not gone by. */
  readonly heatsGoneBy: number;
  /** Since when a retained afterbirth or an infected womb is not cured. */
  readonly wombSince: Day | undefined;
  readonly score: number | undefined;
  readonly served:
    | {
        readonly on: Day;
        readonly probability: number;
        /** Her birth is awaited: she is left alone though no birth yet has made it less likely. */
        readonly isAwaited?: boolean;
      }
    | undefined;
  /** When a birth was due of which nobody said whether it came. */
  readonly dueUnanswered: Day | undefined;
}

/** From this probability of carrying on she is left alone, and waited for. */
export const CARRYING_FROM = 0.5;

type Rules = Pick<SpeciesSettings, 'femaleFirstMatingDays' | 'waitAfterBirthDays' | 'heatCycleDays' | 'mating'>;

/** Whether a female may be mated today, with all reasons against it. */
export function femaleReadiness(f: FemaleToMate, rules: Rules, asOf: Day): Readiness<FemaleReason> {
  const { mating, heatCycleDays } = rules;
  const reasons: FemaleReason[] = [];
  const oldEnough = f.bornOn === undefined ? undefined : addDays(f.bornOn, rules.femaleFirstMatingDays);
  if (!f.hasGivenBirth) {
    if (oldEnough !== undefined && oldEnough > asOf) reasons.push({ code: 'too-young', until: oldEnough });
    if (f.weight && f.weight.kg < f.weight.neededKg)
      reasons.push({ code: 'too-light', kg: f.weight.kg, neededKg: f.weight.neededKg, until: f.weight.reachedOn });
    // So long past the age of her first mating she has had them, whether or not anybody saw.
    const isGrown = oldEnough === undefined || asOf >= addDays(oldEnough, (mating.heatsSkipped + 1) * heatCycleDays.to);
    if (f.heatsGoneBy < mating.heatsSkipped && !isGrown && !f.served)
      reasons.push({ code: 'heats-to-skip', goneBy: f.heatsGoneBy, of: mating.heatsSkipped });
  }
  if (f.lastBirthOn !== undefined) {
    const until = addDays(f.lastBirthOn, rules.waitAfterBirthDays);
    if (until > asOf) reasons.push({ code: 'resting', bornOn: f.lastBirthOn, until });
  }
  if (f.wombSince !== undefined) reasons.push({ code: 'womb', since: f.wombSince });
  if (f.score !== undefined && f.score < mating.scoreLeast)
    reasons.push({ code: 'thin', score: f.score, least: mating.scoreLeast });
  if (f.served && (f.served.isAwaited || f.served.probability >= CARRYING_FROM))
    reasons.push({ code: 'carrying', servedOn: f.served.on, probability: f.served.probability });
  if (f.dueUnanswered !== undefined) reasons.push({ code: 'unanswered', dueOn: f.dueUnanswered });
  return readiness(reasons);
}

export interface MaleToMate {
  readonly bornOn: Day | undefined;
  readonly weight:
    { readonly kg: Kilograms; readonly neededKg: Kilograms; readonly reachedOn: Day | undefined } | undefined;
  readonly lastCheck: { readonly on: Day; readonly failed: readonly string[] } | undefined;
  /** Of his females that took. */
  readonly share: Proportion | undefined;
  /** Rested until; set by hand. */
  readonly restsUntil: Day | undefined;
}

/** Whether a male may be used today. Age, an old check and a low share are flags: the person decides. */
export function maleReadiness(
  m: MaleToMate,
  { mating }: Pick<SpeciesSettings, 'mating'>,
  asOf: Day,
): Readiness<MaleReason> {
  const reasons: MaleReason[] = [];
  const flags: MaleReason[] = [];
  if (m.bornOn !== undefined) {
    const oldEnough = addDays(m.bornOn, mating.maleFirstDays);
    if (oldEnough > asOf) reasons.push({ code: 'too-young', until: oldEnough });
    const old = addYears(m.bornOn, mating.maleOldYears);
    if (old <= asOf) flags.push({ code: 'old', since: old });
  }
  if (m.weight && m.weight.kg < m.weight.neededKg)
    reasons.push({ code: 'too-light', kg: m.weight.kg, neededKg: m.weight.neededKg, until: m.weight.reachedOn });
  if (m.restsUntil !== undefined && m.restsUntil > asOf) reasons.push({ code: 'resting', until: m.restsUntil });
  if (m.lastCheck && m.lastCheck.failed.length > 0)
    reasons.push({ code: 'failed-check', on: m.lastCheck.on, parts: m.lastCheck.failed });
  else if (!m.lastCheck || asOf - m.lastCheck.on > mating.maleCheckGoodDays)
    flags.push({ code: 'not-checked', lastOn: m.lastCheck?.on });
  if (m.share && m.share.high < mating.maleShareLeast) flags.push({ code: 'low-share', share: m.share });
  return readiness(reasons, flags);
}

/** Ready where nothing speaks against it; flags leave the choice to the person. */
function readiness<Reason extends { readonly code: string; readonly until?: Day | undefined }>(
  against: readonly Reason[],
  flags: readonly Reason[] = [],
): Readiness<Reason> {
  const days = against.map((r) => r.until);
  const isKnown = days.length > 0 && days.every((d) => d !== undefined);
  return {
    isReady: against.length === 0,
    reasons: [...against, ...flags],
    readyOn: isKnown ? (Math.max(...(days as Day[])) as Day) : undefined,
  };
}
