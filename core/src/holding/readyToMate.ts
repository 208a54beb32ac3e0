import type { Birth } from '../births';
import { factLists, type AnimalFacts } from '../book';
import { addDays, dayOfMoment, type Day, type Moment } from '../calendar';
import type { ScoreOnDay } from '../condition';
import { dayOfWeight, growthCurve, type Reading } from '../growth';
import {
  CARRYING_FROM,
  femaleReadiness,
  maleReadiness,
  type FemaleReason,
  type FemaleToMate,
  type MaleReason,
  type Readiness,
} from '../mating';
import type { SpeciesSettings } from '../species';
import { afterbirthOf } from './afterbirthOf';
import { carryingOf, unansweredOf } from './carryingOf';
import type { FemaleHistory } from './femaleHistory';

/** What of a female beside her entries decides whether she may be mated. */
export interface ReadyContext {
  readonly history: FemaleHistory;
  readonly births: readonly Birth[];
  /** Her readings by day, guesses set right. */
  readonly daily: readonly Reading[];
  /** Her scores by day. */
  readonly scores: readonly ScoreOnDay[];
  /** Share of services that take, of her species here. */
  readonly prior: number;
  readonly settings: SpeciesSettings;
  readonly today: Day;
  readonly now: Moment;
}

/** A score older than this says nothing of today. */
const SCORE_DAYS = 150;
const HOURS_A_DAY = 24;
/** From this probability on she is taken to be in young, and is not served by mistake. */
const SURELY_CARRYING = 0.99;

/** Whether a female may be mated today, with all that speaks against it. */
export const readyToMate = (facts: AnimalFacts, context: ReadyContext): Readiness<FemaleReason> =>
  femaleReadiness(femaleToMate(facts, context), context.settings, context.today);

function femaleToMate(facts: AnimalFacts, context: ReadyContext): FemaleToMate {
  const { history, births, daily, scores, prior, settings, today, now } = context;
  const carrying = { spells: history.spells, lastBirthOn: history.lastBirthOn, prior, settings, today };
  const found = carryingOf(facts, carrying);
  const score = scores.at(-1);
  const standing = Math.ceil(settings.standingHeatHours.to / HOURS_A_DAY);
  return {
    bornOn: facts.record.bornOn,
    hasGivenBirth: history.hasGivenBirth,
    lastBirthOn: history.lastBirthOn,
    weight: history.hasGivenBirth ? undefined : weightToMate(facts, 'female', daily, settings),
    // A heat may still go on as long as one stands at the most: until then it has not gone by.
    heatsGoneBy: history.heats.filter((h) => addDays(dayOfMoment(h.lastSeenAt), standing) <= today).length,
    wombSince: wombSince(facts, births, settings, now),
    score: score && today - score.on <= SCORE_DAYS ? score.score : undefined,
    served: found && {
      on: found.spell.on,
      probability: found.chance.probability,
      isAwaited: found.beforeWaiting >= CARRYING_FROM,
    },
    dueUnanswered: unansweredOf(facts, carrying)?.window.bestFrom,
  };
}

/**
 * Whether a reason is more than a caution: who serves her all the same says why. Thin ones, and ones that may carry,
 * are left to the person.
 */
export function holdsBack(reason: FemaleReason): boolean {
  switch (reason.code) {
    case 'thin':
      return false;
    case 'carrying':
      return reason.probability >= SURELY_CARRYING;
    case 'too-young':
    case 'too-light':
    case 'heats-to-skip':
    case 'resting':
    case 'womb':
    case 'unanswered':
      return true;
  }
}

/**
 * Whether a reason keeps a female out of a plan of who goes to whom: all that hold her back, and being taken to be in
 * young. Thin ones stay in.
 */
export const leavesPlan = (reason: FemaleReason): boolean => holdsBack(reason) || reason.code === 'carrying';

/** Whether a male is not used without a reason. */
export const holdsMaleBack = ({ code }: MaleReason): boolean => code === 'too-young' || code === 'failed-check';

/** Why a male is not used on a day: his age, or the last check of him by then. */
export function maleHeldBack(facts: AnimalFacts, settings: SpeciesSettings, on: Day): readonly MaleReason[] {
  const check = facts.maleChecks.findLast((c) => c.on <= on);
  const failed = check ? failedParts(check.grades) : [];
  const known = {
    bornOn: facts.record.bornOn,
    weight: undefined,
    lastCheck: check && { on: check.on, failed },
    share: undefined,
    restsUntil: undefined,
  };
  return maleReadiness(known, settings, on).reasons.filter(holdsMaleBack);
}

/** Parts of a check that were found unfit. */
export const failedParts = (grades: Readonly<Record<string, string>>): string[] =>
  Object.entries(grades).flatMap(([part, grade]) => (grade === 'fail' ? [part] : []));

/** Since when her womb is not clear: found so, or an afterbirth held back, and not found clear since. */
function wombSince(
  facts: AnimalFacts,
  births: readonly Birth[],
  settings: SpeciesSettings,
  now: Moment,
): Day | undefined {
  const womb = facts.checks.findLast((c) => c.what === 'womb');
  const heldSince = afterbirthOf(facts, births, settings, now)?.heldSince;
  const isCleared = womb && !womb.isFound && heldSince !== undefined && womb.on > heldSince;
  return womb?.isFound ? womb.on : isCleared ? undefined : heldSince;
}

/**
 * A young animal's weight beside what is wanted at its first mating, and when its curve gets there. Its own grown
 * weight is taken where its curve tells it; from a few readings it would be read off the very table it is held to.
 */
export function weightToMate(
  { record: { bornOn } }: AnimalFacts,
  sex: 'female' | 'male',
  daily: readonly Reading[],
  settings: SpeciesSettings,
): FemaleToMate['weight'] {
  const last = daily.at(-1);
  if (!last || bornOn === undefined) return undefined;
  const curve = growthCurve(bornOn, daily, settings);
  const matureKg = curve.kind === 'curve' ? curve.matureKg : settings.matureWeightKg[sex];
  const neededKg = matureKg * settings.mating.firstMatingShare;
  return { kg: last.kg, neededKg, reachedOn: dayOfWeight(curve, neededKg, bornOn, last) };
}

/** An animal as it was known on a day, what happened later left out; itself where nothing did. */
export function factsUntil(facts: AnimalFacts, day: Day): AnimalFacts {
  if (!factLists(facts).some((list) => list.some((f) => f.on > day))) return facts;
  return Object.fromEntries(
    Object.entries(facts).map(([name, value]) => [
      name,
      Array.isArray(value) ? (value as { on: Day }[]).filter((f) => f.on <= day) : (value as unknown),
    ]),
  ) as unknown as AnimalFacts;
}
