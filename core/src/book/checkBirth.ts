import { birthQuestions, SAME_LITTER_DAYS, type Birth, type BirthAsked, type BirthQuestion } from '../births';
import { dayOfMoment, isoMoment, isoOf, type Day, type Moment } from '../calendar';
import type { Species, SpeciesSettings } from '../species';
import { isPresent } from './derived';
import type { AnimalFacts } from './facts';

interface OfAnimal {
  readonly animalId: string;
  readonly on: Day;
}

/** Entries of births and rearing, as the rules see them. */
export type BirthEntryToCheck =
  | (OfAnimal & {
      readonly type: 'birth';
      readonly at: Moment | undefined;
      readonly alive: number;
      readonly dead: number;
      readonly deadYoung: number;
      readonly species: Species | undefined;
      readonly reason: string | undefined;
    })
  | (OfAnimal & { readonly type: 'colostrum'; readonly at: Moment })
  | (OfAnimal & { readonly type: 'fostering'; readonly damId: string | undefined })
  | (OfAnimal & { readonly type: 'feed'; readonly since: Day })
  | (OfAnimal & { readonly type: 'weaning'; readonly isDone: boolean })
  | (OfAnimal & { readonly type: 'afterbirth' | 'pen-stage' });

export type BirthRefusal = { readonly field: string; readonly value: string } & (
  | {
      readonly code:
        | 'gives-no-birth'
        | 'nobody-born'
        | 'more-dead-than-told'
        | 'no-birth-before'
        | 'no-age'
        | 'own-mother'
        | 'ends-before-it-begins'
        | 'already-weaned'
        | 'dam-gone';
    }
  | { readonly code: 'time-of-other-day'; readonly on: string }
  | { readonly code: 'birth-known'; readonly on: string }
  | { readonly code: 'too-old-for-colostrum'; readonly ageDays: number }
  /** Something speaks against it, and no reason was given why it is so all the same. */
  | { readonly code: 'birth-questioned'; readonly questions: readonly BirthQuestion[] }
);

/** What the rules of births ask of the book. */
export interface BirthBook {
  animal(id: string): AnimalFacts | undefined;
  settings(species: Species): SpeciesSettings;
  /** A female's births, written down or known by their young. */
  birthsOf(damId: string): readonly Birth[];
  /** Whether a female may have met a male that sires in a stretch of days. */
  wasNearMale(femaleId: string, stretch: { readonly from: Day; readonly to: Day }): boolean;
}

/** First milk is written down of young up to so many days old. */
const COLOSTRUM_DAYS = 3;
/** An afterbirth is spoken of for so long after the birth. */
const AFTERBIRTH_DAYS = 30;

/** The first rule of births and rearing an entry breaks. */
export function checkBirth(entry: BirthEntryToCheck, facts: AnimalFacts, book: BirthBook): BirthRefusal | undefined {
  const { record } = facts;
  const { on } = entry;
  switch (entry.type) {
    case 'birth':
      return checkGivenBirth(entry, facts, book);
    case 'afterbirth':
    case 'pen-stage': {
      if (record.sex !== 'female') return { code: 'gives-no-birth', field: 'animalId', value: record.id };
      const last = book.birthsOf(record.id).findLast((b) => b.on <= on)?.on;
      const within = entry.type === 'afterbirth' ? AFTERBIRTH_DAYS : Infinity;
      return last === undefined || on - last > within
        ? { code: 'no-birth-before', field: 'on', value: isoOf(on) }
        : undefined;
    }
    case 'colostrum': {
      if (dayOfMoment(entry.at) !== on) return otherDay(entry.at, on);
      if (record.bornOn === undefined) return { code: 'no-age', field: 'animalId', value: record.id };
      const ageDays = on - record.bornOn;
      return ageDays > COLOSTRUM_DAYS
        ? { code: 'too-old-for-colostrum', field: 'on', value: isoOf(on), ageDays }
        : undefined;
    }
    case 'fostering': {
      if (facts.weanings.some((w) => w.isDone && w.on <= on))
        return { code: 'already-weaned', field: 'animalId', value: record.id };
      if (entry.damId === undefined) return undefined;
      const value = entry.damId;
      const dam = book.animal(value);
      if (!dam || dam.record.sex !== 'female') return { code: 'gives-no-birth', field: 'damId', value };
      if (value === record.id) return { code: 'own-mother', field: 'damId', value };
      return isPresent(dam, on) ? undefined : { code: 'dam-gone', field: 'damId', value };
    }
    case 'feed':
      return entry.since >= on
        ? { code: 'ends-before-it-begins', field: 'since', value: isoOf(entry.since) }
        : undefined;
    case 'weaning':
      return facts.weanings.some((w) => w.isDone) && entry.isDone
        ? { code: 'already-weaned', field: 'animalId', value: record.id }
        : undefined;
  }
}

const otherDay = (at: Moment, on: Day): BirthRefusal => ({
  code: 'time-of-other-day',
  field: 'at',
  value: isoMoment(at),
  on: isoOf(on),
});

function checkGivenBirth(
  entry: Extract<BirthEntryToCheck, { type: 'birth' }>,
  facts: AnimalFacts,
  book: BirthBook,
): BirthRefusal | undefined {
  const { record } = facts;
  const { on, at, alive, dead, deadYoung, reason } = entry;
  if (record.sex !== 'female') return { code: 'gives-no-birth', field: 'animalId', value: record.id };
  if (alive + dead === 0) return { code: 'nobody-born', field: 'alive', value: '0' };
  if (deadYoung > dead) return { code: 'more-dead-than-told', field: 'deadYoung', value: String(deadYoung) };
  if (at !== undefined && dayOfMoment(at) !== on) return otherDay(at, on);
  const births = book.birthsOf(facts.record.id);
  const same = births.find((b) => b.written && Math.abs(b.on - on) <= SAME_LITTER_DAYS);
  if (same) return { code: 'birth-known', field: 'on', value: isoOf(on), on: isoOf(same.on) };
  if (reason !== undefined) return undefined;
  const questions = questionsOf(entry, facts, book);
  return questions.length === 0 ? undefined : { code: 'birth-questioned', field: 'reason', value: '', questions };
}

/** What speaks against a birth of a female, by all the book knows of her. */
export function questionsOf(birth: BirthAsked, facts: AnimalFacts, book: BirthBook): BirthQuestion[] {
  const { id, species } = facts.record;
  const dam = {
    species,
    bornOn: facts.record.bornOn,
    wasNearMale: (stretch: { readonly from: Day; readonly to: Day }) => book.wasNearMale(id, stretch),
    births: book.birthsOf(id),
    serviceDays: facts.services.map((s) => s.on),
    tests: facts.pregnancyTests,
  };
  return birthQuestions(birth, dam, book.settings(species));
}
