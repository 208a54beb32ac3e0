import { checkLeaving, isPresent, reservedOn, type AnimalFacts } from '../book';
import { addDays, isoOf, type Day, type Window } from '../calendar';
import type { SpeciesSettings } from '../species';
import { normalised } from '../identity';
import type { Days } from '../units';

/** Why one may not be fit to travel: a person looks, the vet and local rules decide. */
export type UnfitCheck =
  | { readonly code: 'near-birth'; readonly isStop: false; readonly from: string }
  | { readonly code: 'lame'; readonly isStop: false; readonly on: string };

/** What speaks against taking one on a load: a stop keeps it off, a caution is looked at by a person. */
export type LoadCheck =
  | { readonly code: 'gone'; readonly isStop: true; readonly on: string }
  | { readonly code: 'meat-withheld'; readonly isStop: true; readonly until: string; readonly clearOn: string }
  | { readonly code: 'buyer-to-tell'; readonly isStop: true; readonly until: string }
  | { readonly code: 'reserved'; readonly isStop: true; readonly buyer: string }
  | { readonly code: 'too-young'; readonly isStop: true; readonly inDays: Days }
  | UnfitCheck;

/** Where and when a load goes. */
export interface LoadAsked {
  readonly on: Day;
  /** Killed there, or sold alive. */
  readonly isDead: boolean;
  readonly outletName: string;
}

/** In the last tenth of carrying no female travels: the rule of many places; local rules decide. */
const LAST_SHARE = 0.1;
/** A fault of feet or legs seen at a look-over is asked about for so long. */
const LAME_DAYS: Days = 60;
/** Standards of the look-over that lame ones fail. */
const LAME_STANDARDS = /-(feet|legs|pasterns)$/;

/**
 * What speaks against one on a load, the stops before the cautions.
 * @param birth when a female is likely to give birth; undefined of one that does not carry
 */
export function loadChecks(
  facts: AnimalFacts,
  { on, isDead, outletName }: LoadAsked,
  settings: SpeciesSettings,
  birth: Window | undefined,
): LoadCheck[] {
  const checks: LoadCheck[] = [];
  const left = facts.departures.at(-1);
  if (left && !isPresent(facts, on)) checks.push({ code: 'gone', isStop: true, on: isoOf(left.on) });
  const held = checkLeaving({ how: isDead ? 'slaughtered' : 'sold' }, facts, on);
  if (held?.code === 'meat-withheld')
    checks.push({ code: 'meat-withheld', isStop: true, until: held.until, clearOn: held.clearOn });
  if (held?.code === 'buyer-not-told') checks.push({ code: 'buyer-to-tell', isStop: true, until: held.until });
  const reserved = reservedOn(facts, on);
  if (reserved && normalised(reserved.buyer) !== normalised(outletName))
    checks.push({ code: 'reserved', isStop: true, buyer: reserved.buyer });
  const { bornOn } = facts.record;
  const inDays = bornOn === undefined ? 0 : settings.selling.leavesFromDays - (on - bornOn);
  if (inDays > 0) checks.push({ code: 'too-young', isStop: true, inDays });
  return [...checks, ...unfitChecks(facts, on, settings, birth)];
}

/**
 * Whether one may be unfit to travel on a day.
 * @param birth when a female is likely to give birth; undefined of one that does not carry
 */
export function unfitChecks(
  facts: AnimalFacts,
  on: Day,
  settings: SpeciesSettings,
  birth: Window | undefined,
): UnfitCheck[] {
  const checks: UnfitCheck[] = [];
  const last = birth && addDays(birth.opens, -Math.round(LAST_SHARE * settings.gestationDays.mean));
  if (last !== undefined && on >= last) checks.push({ code: 'near-birth', isStop: false, from: isoOf(last) });
  const lame = facts.looks.findLast(
    (l) => l.on <= on && on - l.on <= LAME_DAYS && Object.keys(l.grades).some((id) => LAME_STANDARDS.test(id)),
  );
  if (lame && Object.entries(lame.grades).some(([id, grade]) => LAME_STANDARDS.test(id) && grade === 'fail'))
    checks.push({ code: 'lame', isStop: false, on: isoOf(lame.on) });
  return checks;
}
