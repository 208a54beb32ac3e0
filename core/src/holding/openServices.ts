import type { AnimalFacts } from '../book';
import { addDays, type Day } from '../calendar';
import type { Spell } from '../mating';
import { carryingChance, tooSoon, type ScannedAge, type TestReading } from '../pregnancy';
import type { SpeciesSettings } from '../species';

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
export function readings(
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
