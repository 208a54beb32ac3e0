import {
  addDays,
  addHours,
  dayOfMoment,
  hoursBetween,
  minutesOfDay,
  momentAt,
  type Day,
  type Moment,
  type Window,
  type WindowOf,
} from '../calendar';
import type { SpeciesSettings } from '../species';
import { signSays, type HeatSign } from './signs';

/** Somebody looked at her, and what was seen; no sign is a look as well. */
export interface HeatLook {
  readonly at: Moment;
  readonly signs: readonly HeatSign[];
}

export interface Heat {
  /** First seen standing, or first seen with as many agreeing signs as are asked for. */
  readonly seenAt: Moment;
  /** The last look before at which she was not; standing began between the two. */
  readonly notYetAt: Moment | undefined;
  readonly isStanding: boolean;
  /** All signs of the heat, in the order seen. */
  readonly signs: readonly HeatSign[];
  readonly lastSeenAt: Moment;
}

/** Looks without a sign for so long end a heat. */
const HEAT_GAP_HOURS = 60;
/** An earlier look says something of when standing began only where it lies no longer back than this. */
const LOOK_BACK_HOURS = 36;

type Rules = Pick<SpeciesSettings, 'mating'>;

/**
 * Heats of a female from the looks at her, in order. A heat begins with the first look that sees her stand; where
 * nobody saw that, with the look that brings the number of different signs together that must agree (two that agree
 * beat one: paint rubbed and patch worn).
 * @param looks in any order
 */
export function heatsSeen(looks: readonly HeatLook[], { mating }: Rules): Heat[] {
  const heats: Heat[] = [];
  let seen:
    | { signs: Set<HeatSign>; first: Moment | undefined; standing: boolean; last: Moment; before: Moment | undefined }
    | undefined;
  let lastNothing: Moment | undefined;
  const close = (): void => {
    if (seen?.first !== undefined)
      heats.push({
        seenAt: seen.first,
        notYetAt: notYet(seen.before, seen.first),
        isStanding: seen.standing,
        signs: [...seen.signs],
        lastSeenAt: seen.last,
      });
    seen = undefined;
  };
  for (const look of [...looks].sort((a, b) => a.at - b.at)) {
    const telling = look.signs.filter((s) => ['stands', 'near'].includes(signSays(s)));
    if (seen && hoursBetween(seen.last, look.at) > HEAT_GAP_HOURS) close();
    if (telling.length === 0) {
      // "Over" and "not" end no count by themselves: she may only have moved off; the gap does.
      if (!seen?.first) lastNothing = look.at;
      continue;
    }
    seen ??= { signs: new Set(), first: undefined, standing: false, last: look.at, before: undefined };
    for (const s of telling) seen.signs.add(s);
    seen.last = look.at;
    const stands = telling.some((s) => signSays(s) === 'stands');
    // Seen standing later, the heat is reckoned from then: signs come hours before.
    if (stands && !seen.standing) {
      seen = { ...seen, standing: true, first: look.at, before: lastNothing };
    } else if (seen.first === undefined && seen.signs.size >= mating.signsNeeded) {
      seen = { ...seen, first: look.at, before: lastNothing };
    }
    if (!stands && !seen.standing) lastNothing = look.at;
  }
  close();
  return heats;
}

/** The look before, where it is near enough to say something; two looks of one minute say nothing of each other. */
const notYet = (before: Moment | undefined, first: Moment): Moment | undefined =>
  before !== undefined && before < first && hoursBetween(before, first) <= LOOK_BACK_HOURS ? before : undefined;

/**
 * When to serve a heat first seen at `onset`: by hours from the start of standing, or, by the school of morning and
 * evening, in the evening of a morning's heat and the morning after an evening's.
 * @returns undefined where heat has no hours (rabbits: any receptive day)
 */
export function serviceWindow(
  onset: Moment,
  { serviceHours: h, mating }: Pick<SpeciesSettings, 'serviceHours' | 'mating'>,
): WindowOf<Moment> | undefined {
  if (h.closes === 0) return undefined;
  if (mating.heatSchool === 'morning-evening') return byMorningEvening(onset);
  return {
    opens: addHours(onset, h.opens),
    bestFrom: addHours(onset, h.bestFrom),
    bestTo: addHours(onset, h.bestTo),
    closes: addHours(onset, h.closes),
  };
}

const NOON = 12 * 60;
const MORNING = 6 * 60;
const EVENING = 17 * 60;
/** A milking's length: the best stretch of the school of morning and evening. */
const ROUND_HOURS = 3;

function byMorningEvening(onset: Moment): WindowOf<Moment> {
  const day = dayOfMoment(onset);
  const isMorning = minutesOfDay(onset) < NOON;
  const bestFrom = isMorning ? momentAt(day, EVENING) : momentAt(addDays(day, 1), MORNING);
  return {
    opens: addHours(bestFrom, -3),
    bestFrom,
    bestTo: addHours(bestFrom, ROUND_HOURS),
    closes: addHours(bestFrom, 12),
  };
}

/**
 * When the window may have opened at the earliest: standing began somewhere between the last look at which she did not
 * and the first at which she did.
 * @returns undefined where nobody looked shortly before, or heat has no hours
 */
export const earliestOpens = (
  { notYetAt }: Pick<Heat, 'notYetAt'>,
  settings: Pick<SpeciesSettings, 'serviceHours' | 'mating'>,
): Moment | undefined => (notYetAt === undefined ? undefined : serviceWindow(notYetAt, settings)?.opens);

export type ServiceTiming = 'too-early' | 'perhaps-early' | 'early' | 'best' | 'late' | 'too-late';

/**
 * How a service lies to the window of its heat.
 * @param earliest when the window may have opened at the earliest, see `earliestOpens`
 */
export function serviceTiming(window: WindowOf<Moment>, at: Moment, earliest: Moment = window.opens): ServiceTiming {
  if (at < window.opens) return at < earliest ? 'too-early' : 'perhaps-early';
  if (at < window.bestFrom) return 'early';
  if (at <= window.bestTo) return 'best';
  return at <= window.closes ? 'late' : 'too-late';
}

/** A cycle's mean may be off by so much and still be the best guess. */
const BEST_DAYS = 1;

/** The next heats after one, each as a window that widens with every cycle. None for species without a cycle. */
export function nextHeats(
  lastOn: Day,
  { heatCycleDays: c }: Pick<SpeciesSettings, 'heatCycleDays'>,
  count = 2,
): Window[] {
  if (c.mean === 0) return [];
  return Array.from({ length: count }, (_, i) => {
    const n = i + 1;
    return {
      opens: addDays(lastOn, n * c.from),
      bestFrom: addDays(lastOn, n * c.mean - BEST_DAYS * n),
      bestTo: addDays(lastOn, n * c.mean + BEST_DAYS * n),
      closes: addDays(lastOn, n * c.to),
    };
  });
}
