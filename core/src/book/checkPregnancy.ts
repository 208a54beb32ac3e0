import { isoOf, type Day } from '../calendar';
import { tooSoon, type EvidenceWay, type TestResult, type TestedFemale, type TooSoon } from '../pregnancy';
import { OVERDUE_DAYS, type Species, type SpeciesSettings } from '../species';
import type { AnimalFacts } from './facts';

interface OfAnimal {
  readonly animalId: string;
  readonly on: Day;
}

/** Entries of carrying, as the rules see them. */
export type PregnancyEntryToCheck =
  | (OfAnimal & {
      readonly type: 'pregnancy-test';
      readonly way: EvidenceWay;
      readonly result: TestResult;
      readonly young: number | undefined;
      readonly ageDays: number | undefined;
      readonly sampleId: string | undefined;
      readonly reason: string | undefined;
    })
  | (OfAnimal & { readonly type: 'loss' | 'way-on' | 'carrying-step' });

/** A test asked too soon, as it is told: days as dates, so that it can be sent. */
export interface TooSoonTold extends Omit<TooSoon, 'since' | 'validFrom'> {
  readonly way: EvidenceWay;
  readonly since: string;
  readonly validFrom: string;
}

export const toldTooSoon = (found: TooSoon, way: EvidenceWay): TooSoonTold => ({
  ...found,
  way,
  since: isoOf(found.since),
  validFrom: isoOf(found.validFrom),
});

export type PregnancyRefusal = { readonly field: string; readonly value: string } & (
  | { readonly code: 'does-not-carry' | 'young-of-empty' | 'unknown-sample' | 'tube-answered' }
  | { readonly code: 'no-such-test'; readonly species: Species }
  | { readonly code: 'age-too-high'; readonly mostDays: number }
  /** Before the test can tell, and no reason given why it was made all the same. */
  | { readonly code: 'test-too-soon'; readonly test: TooSoonTold }
);

/** What the rules of carrying ask of the book. */
export interface PregnancyBook {
  settings(species: Species): SpeciesSettings;
  /** Her last service since her last birth, and that birth, up to a day. */
  tested(femaleId: string, on: Day): TestedFemale | undefined;
}

/** The first rule of carrying an entry breaks. */
export function checkPregnancy(
  entry: PregnancyEntryToCheck,
  facts: AnimalFacts,
  book: PregnancyBook,
): PregnancyRefusal | undefined {
  const { sex, species } = facts.record;
  if (sex !== 'female') return { code: 'does-not-carry', field: 'animalId', value: entry.animalId };
  if (entry.type !== 'pregnancy-test') return undefined;
  const { way, result, young, ageDays, sampleId, reason } = entry;
  const { tests, gestationDays } = book.settings(species);
  if (way !== 'sight' && !tests[way]) return { code: 'no-such-test', field: 'way', value: way, species };
  if (result === 'empty' && (young !== undefined || ageDays !== undefined))
    return {
      code: 'young-of-empty',
      field: young === undefined ? 'ageDays' : 'young',
      value: String(young ?? ageDays),
    };
  const mostDays = gestationDays.to + OVERDUE_DAYS;
  if (ageDays !== undefined && ageDays > mostDays)
    return { code: 'age-too-high', field: 'ageDays', value: String(ageDays), mostDays };
  if (sampleId !== undefined) {
    const value = sampleId;
    if (!facts.samples.some((s) => s.entryId === sampleId)) return { code: 'unknown-sample', field: 'sampleId', value };
    if (facts.pregnancyTests.some((t) => t.sampleId === sampleId))
      return { code: 'tube-answered', field: 'sampleId', value };
    // What was said of the day it was taken holds for its result.
    return undefined;
  }
  return reason === undefined ? testTooSoon(entry, way, species, book) : undefined;
}

/** Why a test of a day could not tell yet; by its book's figures. */
export function testTooSoon(
  { animalId, on }: OfAnimal,
  way: EvidenceWay,
  species: Species,
  book: PregnancyBook,
): PregnancyRefusal | undefined {
  const rules = way === 'sight' ? undefined : book.settings(species).tests[way];
  const female = rules && book.tested(animalId, on);
  const found = rules && female && tooSoon(rules, female, on);
  return found && { code: 'test-too-soon', field: 'on', value: isoOf(on), test: toldTooSoon(found, way) };
}
