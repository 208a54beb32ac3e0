import { birthSpread, birthWindow, siresOfBirth, stillToCome, type BirthSpread, type SireChance } from '../births';
import type { AnimalFacts } from '../book';
import { addDays, type Day, type Window } from '../calendar';
import { CARRYING_FROM, type Spell } from '../mating';
import {
  carriedSpell,
  carryingChance,
  tooSoon,
  type AgeFit,
  type CarriedSpell,
  type CarryingChance,
  type ScannedAge,
  type TestReading,
} from '../pregnancy';
import type { SpeciesSettings } from '../species';

/** A female's pregnancy as far as it is known: by which service, since when, how likely, and when it ends. */
export interface CarryingNow extends CarriedSpell {
  readonly chance: CarryingChance;
  /** The day of her birth, should she carry. */
  readonly spread: BirthSpread;
  readonly window: Window;
  /** All her days of birth are gone by: her chance is what was known before they were. */
  readonly isOverTime: boolean;
}

/** What is known of her beside her own entries. */
export interface CarryingContext {
  /** All her services, put together by heat, in order. */
  readonly spells: readonly Spell[];
  readonly lastBirthOn: Day | undefined;
  /** Share of services that take, of her species here. */
  readonly prior: number;
  readonly settings: SpeciesSettings;
  readonly today: Day;
}

/** Refused so many days after a service, the male is refused for being in young, and not for being too late. */
const CHECK_FROM_DAYS = 4;

/**
 * The last day that ended a pregnancy of hers and with it all that was seen of it: a birth, a loss after which she was
 * served, or the end of a time that brought nothing and after which she was. A loss that nothing followed is part of
 * the story that it ended.
 */
export function pregnancyEndedOn(
  { losses }: Pick<AnimalFacts, 'losses'>,
  { spells, lastBirthOn, settings }: Pick<CarryingContext, 'spells' | 'lastBirthOn' | 'settings'>,
): Day | undefined {
  const isServedAfter = (day: Day): boolean => spells.some((s) => s.on > day);
  const over = spells.map((s) => addDays(s.lastOn, settings.gestationDays.to));
  const days = [...losses.map((l) => l.on), ...over].filter(isServedAfter);
  return days.reduce<Day | undefined>((last, day) => (last === undefined || day > last ? day : last), lastBirthOn);
}

/** Services since a pregnancy ended, with how likely she carries from each, and the ages scanned since. */
export interface OpenServices {
  readonly spells: readonly Spell[];
  /** In the order of the spells; together, that she carries at all, by what was seen up to the last of them. */
  readonly weights: readonly number[];
  readonly scans: readonly ScannedAge[];
}

/**
 * The services she may carry from. One she was served after is not forgotten: that she came to the male again speaks
 * against the first, and so do the tests between, but neither is proof.
 * @param since after this day; undefined from the beginning
 * @param until up to this day
 */
export function openServices(
  facts: Pick<AnimalFacts, 'pregnancyTests'>,
  { spells, lastBirthOn, prior, settings }: CarryingContext,
  { since, until }: { readonly since: Day | undefined; readonly until: Day },
): OpenServices {
  const isIn = (day: Day): boolean => (since === undefined || day > since) && day <= until;
  const open = spells.filter((s) => isIn(s.on));
  let weights: number[] = [];
  open.forEach((spell, i) => {
    const carried = weights.reduce((s, w) => s + w, 0);
    weights.push((1 - carried) * prior);
    const next = open[i + 1];
    if (!next) return;
    const before = carried + (1 - carried) * prior;
    const tests = readings(facts, spell.lastOn, settings, lastBirthOn).filter((t) => t.on <= next.on);
    const seen = carryingChance(
      { servedOn: spell.lastOn, prior: before, returnedOn: next.on, tests },
      settings,
      next.on,
    );
    weights = weights.map((w) => (before === 0 ? 0 : (w * seen.probability) / before));
  });
  const scans = facts.pregnancyTests.flatMap((t) =>
    t.way === 'scan' && t.ageDays !== undefined && isIn(t.on) ? [{ on: t.on, ageDays: t.ageDays }] : [],
  );
  return { spells: open, weights, scans };
}

/** Her tests since a service, with whether each could tell. */
function readings(
  { pregnancyTests }: Pick<AnimalFacts, 'pregnancyTests'>,
  servedOn: Day,
  settings: SpeciesSettings,
  lastBirthOn: Day | undefined,
): TestReading[] {
  return pregnancyTests
    .filter((t) => t.on > servedOn)
    .map(({ on, way, result }): TestReading => {
      const rules = way === 'sight' ? undefined : settings.tests[way];
      return {
        on,
        way,
        result,
        isTooSoon: rules !== undefined && tooSoon(rules, { servedOn, lastBirthOn }, on) !== undefined,
      };
    });
}

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

/**
 * Who sired a birth, or would sire one on a day: her services before it by how likely she carried from each, by the age
 * a scan told, and by the length gestation would have had.
 * @param since the birth before it
 * @returns the likeliest first; none where no service lies within the usual range and four days of it
 */
export function siresOfBirthOf(
  facts: AnimalFacts,
  context: CarryingContext,
  { bornOn, since }: { readonly bornOn: Day; readonly since: Day | undefined },
): readonly SireChance[] {
  const { spells, weights, scans } = openServices(facts, context, { since, until: bornOn });
  const found = carriedSpell(spells, scans, weights);
  // An age that fits no service says nothing of which of them it was.
  const shares = found?.fit?.kind === 'none-fits' ? weights : (found?.conceptions.map((c) => c.share) ?? []);
  const candidates = spells.map(({ on, lastOn, maleIds }, i) => ({
    from: on,
    to: lastOn,
    maleIds,
    weight: shares[i] ?? 0,
  }));
  return siresOfBirth(bornOn, candidates, context.settings.gestationDays);
}

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
  const chance = carryingChance(
    {
      servedOn: spell.lastOn,
      prior: earlier + (1 - earlier) * context.prior,
      returnedOn: returnedOn(spell, open, fit),
      refusedOn: facts.heats.findLast((l) => l.signs.includes('refuses') && l.on >= spell.lastOn + CHECK_FROM_DAYS)?.on,
      tests: readings(facts, spell.lastOn, settings, lastBirthOn),
      lostOn: facts.losses.find((l) => l.on > spell.lastOn)?.on,
      stillToCome: rest > 0 ? rest : 1,
    },
    settings,
    today,
  );
  return { ...carried, chance, spread, window: birthWindow(conceptions, gestationDays), isOverTime: rest <= 0 };
}

/** The day she was seen back on heat or served again; what a scan that fits this service saw after it is explained. */
function returnedOn(spell: Spell, { spells, scans }: OpenServices, fit: AgeFit | undefined): Day | undefined {
  const scannedOn = fit?.kind === 'fits' ? scans.at(-1)?.on : undefined;
  const again = spells.slice(spells.indexOf(spell) + 1).map((s) => s.on);
  return [...(spell.outcome.kind === 'returned' ? [spell.outcome.on] : []), ...again]
    .sort((a, b) => a - b)
    .find((on) => scannedOn === undefined || on > scannedOn);
}
