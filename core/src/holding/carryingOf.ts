import { birthSpread, birthWindow, stillToCome, type BirthSpread } from '../births';
import type { AnimalFacts } from '../book';
import { addDays, type Day, type Window } from '../calendar';
import { CARRYING_FROM, type Spell } from '../mating';
import { carriedSpell, carryingChance, type AgeFit, type CarriedSpell, type CarryingChance } from '../pregnancy';
import { openServices, pregnancyEndedOn, readings, type CarryingContext, type OpenServices } from './openServices';

/** A female's pregnancy as far as it is known: by which service, since when, how likely, and when it ends. */
export interface CarryingNow extends CarriedSpell {
  readonly chance: CarryingChance;
  /** That she carries by all but the waiting: no birth yet makes nobody empty, and nobody free. */
  readonly beforeWaiting: number;
  /** The day of her birth, should she carry. */
  readonly spread: BirthSpread;
  readonly window: Window;
  /** All her days of birth are gone by: her chance is what was known before they were. */
  readonly isOverTime: boolean;
}

/** Refused so many days after a service, the male is refused for being in young, and not for being too late. */
const CHECK_FROM_DAYS = 4;

/**
 * What a female may be carrying, with how likely it is; undefined after a birth, and when she is so long past her time
 * that nobody waits for her any more.
 */
export function carryingOf(facts: AnimalFacts, context: CarryingContext): CarryingNow | undefined {
  const found = pregnancyOf(facts, context);
  if (!found || found.spell.outcome.kind === 'born') return undefined;
  const isWaitedFor = found.spell.outcome.kind === 'nothing-came' && context.today <= overdueLimit(found, context);
  return found.spell.isRipe && !isWaitedFor ? undefined : found;
}

/** A pregnancy that was seen by a test, and of which nobody wrote down how it ended. */
export interface Unanswered {
  readonly spell: Spell;
  /** When the birth was due. */
  readonly window: Window;
  /** The last test that told her in young. */
  readonly testedOn: Day;
}

/**
 * A female told in young by a test, long past her time, with neither birth nor loss nor an empty test since: somebody
 * knows what came of her, and until it is said she is neither free nor in young. Undefined for all others.
 */
export function unansweredOf(facts: AnimalFacts, context: CarryingContext): Unanswered | undefined {
  const found = pregnancyOf(facts, context);
  if (!found || found.spell.outcome.kind !== 'nothing-came') return undefined;
  const { spell, window, chance } = found;
  const isAnswered = facts.pregnancyTests.some((t) => t.result === 'empty' && t.on > window.closes);
  const test = chance.story.findLast((s) => s.kind === 'tested' && s.weight > 1);
  if (isAnswered || !test || chance.probability < CARRYING_FROM) return undefined;
  return context.today > overdueLimit(found, context) ? { spell, window, testedOn: test.on } : undefined;
}

/** The last day she is waited for. */
const overdueLimit = ({ window }: CarryingNow, { settings }: CarryingContext): Day =>
  addDays(window.closes, settings.overdueDays);

/** Her last pregnancy, whether or not its time is over. */
function pregnancyOf(facts: AnimalFacts, context: CarryingContext): CarryingNow | undefined {
  const { lastBirthOn, settings, today } = context;
  const { gestationDays } = settings;
  const open = openServices(facts, context, { since: pregnancyEndedOn(facts, context), until: today });
  const carried = carriedSpell(open.spells, open.scans, open.weights);
  if (!carried) return undefined;
  const { spell, fit, conceptions } = carried;
  const spread = birthSpread(conceptions, gestationDays);
  const rest = stillToCome(spread, today);
  const at = open.spells.indexOf(spell);
  const earlier = open.weights.slice(0, at).reduce((s, w) => s + w, 0);
  const seen = {
    servedOn: spell.lastOn,
    prior: earlier + (1 - earlier) * context.prior,
    returnedOn: returnedOn(spell, open, fit),
    refusedOn: facts.heats.findLast((l) => l.signs.includes('refuses') && l.on >= spell.lastOn + CHECK_FROM_DAYS)?.on,
    tests: readings(facts, spell.lastOn, settings, lastBirthOn),
    lostOn: facts.losses.find((l) => l.on > spell.lastOn)?.on,
  };
  const { probability: beforeWaiting } = carryingChance(seen, settings, today);
  const chance = carryingChance({ ...seen, stillToCome: rest > 0 ? rest : 1 }, settings, today);
  return {
    ...carried,
    chance,
    beforeWaiting,
    spread,
    window: birthWindow(conceptions, gestationDays),
    isOverTime: rest <= 0,
  };
}

/** The day she was seen back on heat or served again; what a scan that fits this service saw after it is explained. */
function returnedOn(spell: Spell, { spells, scans }: OpenServices, fit: AgeFit | undefined): Day | undefined {
  const scannedOn = fit?.kind === 'fits' ? scans.at(-1)?.on : undefined;
  const again = spells.slice(spells.indexOf(spell) + 1).map((s) => s.on);
  return [...(spell.outcome.kind === 'returned' ? [spell.outcome.on] : []), ...again]
    .sort((a, b) => a - b)
    .find((on) => scannedOn === undefined || on > scannedOn);
}

/** How many young she was last told to carry in this pregnancy; null where nobody counted. */
export const youngTold = (
  tests: readonly { readonly on: Day; readonly young: number | undefined }[],
  { spell }: Pick<CarryingNow, 'spell'>,
): number | null => tests.findLast((t) => t.on > spell.lastOn && t.young !== undefined)?.young ?? null;
