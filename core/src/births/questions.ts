import { addDays, isoOf, type Day } from '../calendar';
import type { TestResult } from '../pregnancy';
import { GESTATION_SLACK_DAYS, type RearingRules, type Species, type SpeciesSettings } from '../species';
import type { Birth } from './birthsOf';
import { SAME_LITTER_DAYS } from './litters';
import type { Days } from '../units';

/** What makes a birth worth asking about before it is believed; days as dates, so that it can be sent. */
export type BirthQuestion =
  | { readonly code: 'born-dead'; readonly dead: number }
  | { readonly code: 'too-early'; readonly servedOn: string; readonly days: Days; readonly shortest: number }
  | { readonly code: 'too-late'; readonly servedOn: string; readonly days: Days; readonly longest: number }
  | { readonly code: 'more-than-scanned'; readonly scanned: number; readonly born: number; readonly on: string }
  | { readonly code: 'tested-empty'; readonly on: string }
  /** No service on record, and no male near her when she must have been served. */
  | { readonly code: 'never-mated'; readonly from: string; readonly to: string }
  | { readonly code: 'dam-too-young'; readonly ageDays: Days; readonly youngestDays: Days }
  | { readonly code: 'two-births'; readonly on: string; readonly days: Days }
  | { readonly code: 'other-species'; readonly told: Species; readonly species: Species };

export interface BirthAsked {
  readonly on: Day;
  readonly alive: number;
  readonly dead: number;
  /** Of which species the young were said to be. */
  readonly species: Species | undefined;
}

export interface DamAsked {
  readonly species: Species;
  readonly bornOn: Day | undefined;
  /** Whether she may have met a male that sires in a stretch of days. */
  readonly wasNearMale: (stretch: { readonly from: Day; readonly to: Day }) => boolean;
  /** Her other births. */
  readonly births: readonly Pick<Birth, 'on'>[];
  readonly serviceDays: readonly Day[];
  readonly tests: readonly { readonly on: Day; readonly result: TestResult; readonly young: number | undefined }[];
}

type BirthRules = Pick<SpeciesSettings, 'gestationDays' | 'femaleFirstMatingDays'> & {
  readonly rearing: Pick<RearingRules, 'deadAskedFrom'>;
};

/**
 * All that speaks against a birth as it was written down. Services and tests count since the birth before it; a birth
 * fits a service when it comes within the usual range of it, four days either way. Where no service is on record she
 * may have run with a male; it is asked about where none was near. A dam served before she was of age for it is asked
 * about too: it may be another, or her birth date is wrong.
 */
export function birthQuestions(
  birth: BirthAsked,
  dam: DamAsked,
  { gestationDays: gestation, femaleFirstMatingDays, rearing: { deadAskedFrom } }: BirthRules,
): BirthQuestion[] {
  const asked: BirthQuestion[] = [];
  const { on } = birth;
  if (birth.species !== undefined && birth.species !== dam.species)
    asked.push({ code: 'other-species', told: birth.species, species: dam.species });
  const others = dam.births.filter((b) => Math.abs(b.on - on) > SAME_LITTER_DAYS);
  const near = others.find((b) => Math.abs(b.on - on) < gestation.from - GESTATION_SLACK_DAYS);
  if (near) asked.push({ code: 'two-births', on: isoOf(near.on), days: Math.abs(near.on - on) });
  const before = Math.max(-Infinity, ...others.map((b) => b.on).filter((d) => d < on));
  const services = dam.serviceDays.filter((d) => d > before && d <= on);
  const [shortest, longest] = [gestation.from - GESTATION_SLACK_DAYS, gestation.to + GESTATION_SLACK_DAYS];
  if (services.length === 0) {
    const stretch = { from: addDays(on, -longest), to: addDays(on, -shortest) };
    if (!dam.wasNearMale(stretch))
      asked.push({ code: 'never-mated', from: isoOf(stretch.from), to: isoOf(stretch.to) });
  }
  const youngestDays = femaleFirstMatingDays + gestation.from - GESTATION_SLACK_DAYS;
  if (dam.bornOn !== undefined && others.every((b) => b.on > on) && on - dam.bornOn < youngestDays)
    asked.push({ code: 'dam-too-young', ageDays: on - dam.bornOn, youngestDays });
  const fits = services.some((d) => on - d >= shortest && on - d <= longest);
  const first = services[0];
  const last = services.at(-1);
  if (!fits && first !== undefined && last !== undefined) {
    // Served long ago and again a while ago: it is the nearer of the two that is asked about.
    const early = services.find((d) => on - d < shortest);
    if (early !== undefined)
      asked.push({ code: 'too-early', servedOn: isoOf(early), days: on - early, shortest: gestation.from });
    else asked.push({ code: 'too-late', servedOn: isoOf(last), days: on - last, longest: gestation.to });
  }
  const tests = dam.tests.filter((t) => t.on > before && t.on <= on);
  const test = tests.at(-1);
  if (test?.result === 'empty') asked.push({ code: 'tested-empty', on: isoOf(test.on) });
  const count = tests.findLast((t) => t.young !== undefined);
  const born = birth.alive + birth.dead;
  if (count?.young !== undefined && born > count.young)
    asked.push({ code: 'more-than-scanned', scanned: count.young, born, on: isoOf(count.on) });
  if (birth.dead > 0 && (birth.alive === 0 || birth.dead >= deadAskedFrom))
    asked.push({ code: 'born-dead', dead: birth.dead });
  return asked;
}
