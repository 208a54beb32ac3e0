import { OVERDUE_DAYS } from '../births';
import type { AnimalFacts } from '../book';
import { addDays, type Day } from '../calendar';
import type { Spell } from '../mating';
import {
  carriedSpell,
  carryingChance,
  tooSoon,
  type CarriedSpell,
  type CarryingChance,
  type TestReading,
} from '../pregnancy';
import type { SpeciesSettings } from '../species';

/** A female's pregnancy as far as it is known: by which service, since when, how likely. */
export interface CarryingNow extends CarriedSpell {
  readonly chance: CarryingChance;
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
 * The last day that ended a pregnancy of hers and with it all that was seen of it: a birth, or a loss after which she
 * was served. A loss that nothing followed is part of the story that it ended.
 */
export function pregnancyEndedOn(
  { losses }: Pick<AnimalFacts, 'losses'>,
  { spells, lastBirthOn }: Pick<CarryingContext, 'spells' | 'lastBirthOn'>,
): Day | undefined {
  const lostOn = losses.findLast((l) => spells.some((s) => s.on > l.on))?.on;
  if (lostOn === undefined || lastBirthOn === undefined) return lostOn ?? lastBirthOn;
  return lostOn > lastBirthOn ? lostOn : lastBirthOn;
}

/**
 * The spell a female may be carrying from, with how likely it is; undefined after a birth, or when her time is over.
 * @param over also of one whose time is just over, and of whom neither a birth nor anything else was written down
 */
export function carryingOf(
  facts: AnimalFacts,
  context: CarryingContext,
  over: 'not-over' | 'just-over' = 'not-over',
): CarryingNow | undefined {
  const { lastBirthOn, prior, settings, today } = context;
  const endedOn = pregnancyEndedOn(facts, context);
  const isSince = (day: Day): boolean => endedOn === undefined || day > endedOn;
  const open = context.spells.filter((s) => isSince(s.on));
  const scans = facts.pregnancyTests.flatMap((t) =>
    t.way === 'scan' && t.ageDays !== undefined && isSince(t.on) ? [{ on: t.on, ageDays: t.ageDays }] : [],
  );
  const carried = carriedSpell(open, scans);
  if (!carried) return undefined;
  const { spell } = carried;
  // Her time is over: a birth, or none, has said what there was to say.
  const isJustOver =
    over === 'just-over' &&
    spell.outcome.kind === 'nothing-came' &&
    today <= addDays(spell.lastOn, settings.gestationDays.to + OVERDUE_DAYS);
  if ((spell.isRipe && !isJustOver) || spell.outcome.kind === 'born') return undefined;
  // Where a scan fits an earlier service, being served again since speaks against it, however late that was.
  const again = open.find((s) => s.on > spell.lastOn)?.on;
  const returnedOn = spell.outcome.kind === 'returned' ? spell.outcome.on : again;
  const female = { servedOn: spell.lastOn, lastBirthOn };
  const tests = facts.pregnancyTests
    .filter((t) => t.on > spell.lastOn)
    .map(({ on, way, result }): TestReading => {
      const rules = way === 'sight' ? undefined : settings.tests[way];
      return { on, way, result, isTooSoon: rules !== undefined && tooSoon(rules, female, on) !== undefined };
    });
  const lostOn = facts.losses.find((l) => l.on > spell.lastOn)?.on;
  const refusedOn = facts.heats.findLast(
    (l) => l.signs.includes('refuses') && l.on >= spell.lastOn + CHECK_FROM_DAYS,
  )?.on;
  return {
    ...carried,
    chance: carryingChance({ servedOn: spell.lastOn, prior, returnedOn, refusedOn, tests, lostOn }, settings, today),
  };
}
