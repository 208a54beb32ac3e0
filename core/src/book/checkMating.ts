import { dayOfMoment, isoMoment, isoOf, type Day, type Moment } from '../calendar';
import type { FemaleReason, MaleReason, PairRefusal, ServiceWay } from '../mating';
import type { Species, SpeciesSettings } from '../species';
import type { AnimalFacts } from './facts';

interface OfAnimal {
  readonly animalId: string;
  readonly on: Day;
}

/** Entries of mating, as the rules see them. */
export type MatingEntryToCheck =
  | (OfAnimal & { readonly type: 'heat'; readonly at: Moment })
  | (OfAnimal & {
      readonly type: 'service';
      readonly at: Moment | undefined;
      readonly way: ServiceWay;
      readonly maleIds: readonly string[];
      readonly straw: string | undefined;
      readonly otherMale: string | undefined;
      readonly reason: string | undefined;
    })
  | (OfAnimal & {
      readonly type: 'stay';
      readonly groupId: string;
      readonly isTeaser: boolean;
      readonly reason: string | undefined;
    })
  | (OfAnimal & { readonly type: 'stay-end' | 'harness'; readonly stayId: string })
  | (OfAnimal & { readonly type: 'male-check' })
  | (OfAnimal & { readonly type: 'gene-test'; readonly gene: string; readonly sampleId: string | undefined });

/** What the young of a pair would be, and why it is not to be. */
export interface PairJudged {
  readonly inbreeding: number;
  readonly refusal: PairRefusal | undefined;
}

export type MatingRefusal = { readonly field: string; readonly value: string } & (
  | {
      readonly code: 'not-a-female' | 'not-a-male' | 'no-sire' | 'unknown-stay' | 'stay-ended' | 'unknown-male';
    }
  | { readonly code: 'time-of-other-day'; readonly on: string }
  | { readonly code: 'male-of-other-species' }
  | { readonly code: 'male-gone'; readonly goneOn: string }
  /** A pair that is not put together, and no reason given why it was all the same. */
  | { readonly code: 'pair'; readonly refusal: PairRefusal; readonly inbreeding: number }
  /** One that is not to be mated now, and no reason given. */
  | { readonly code: 'held-back'; readonly reasons: readonly FemaleReason[] }
  | { readonly code: 'male-held-back'; readonly reasons: readonly MaleReason[] }
  /** Put in with females that are too young, or too near kin to him, and no reason given. */
  | { readonly code: 'not-with-these'; readonly femaleIds: readonly string[]; readonly groupId: string }
);

/** What the rules of mating ask of the book. */
export interface MatingBook {
  animal(id: string): AnimalFacts | undefined;
  hasGroup(id: string): boolean;
  settings(species: Species): SpeciesSettings;
  /** What the young of two would be, and whether they may be put together. */
  pair(femaleId: string, maleId: string): PairJudged;
  /** Why a female is not to be mated on a day, cautions left out. */
  heldBack(femaleId: string, on: Day): readonly FemaleReason[];
  /** Why a male is not to be used on a day, cautions left out. */
  maleHeldBack(maleId: string, on: Day): readonly MaleReason[];
  /** Females in a group on a day. */
  femalesIn(groupId: string, on: Day): readonly AnimalFacts[];
}

/** Ways by which a person puts two together; a mark found in the field is written down whoever made it. */
const BY_CHOICE: readonly ServiceWay[] = ['hand', 'insemination'];

/** The first rule of mating an entry breaks. */
export function checkMating(
  entry: MatingEntryToCheck,
  facts: AnimalFacts,
  book: MatingBook,
):
  | MatingRefusal
  | { readonly code: 'unknown-group' | 'unknown-sample' | 'empty'; readonly field: string; readonly value: string }
  | undefined {
  const { sex } = facts.record;
  const own = { field: 'animalId', value: entry.animalId };
  switch (entry.type) {
    case 'heat':
    case 'service':
      if (sex !== 'female') return { code: 'not-a-female', ...own };
      if (entry.at !== undefined && dayOfMoment(entry.at) !== entry.on)
        return { code: 'time-of-other-day', field: 'at', value: isoMoment(entry.at), on: isoOf(entry.on) };
      return entry.type === 'service' ? checkService(entry, facts, book) : undefined;
    case 'stay':
      if (sex !== 'male' && sex !== 'castrate') return { code: 'not-a-male', ...own };
      if (!book.hasGroup(entry.groupId)) return { code: 'unknown-group', field: 'groupId', value: entry.groupId };
      return entry.isTeaser || entry.reason !== undefined || sex !== 'male'
        ? undefined
        : checkStay(entry, facts.record, book);
    case 'stay-end':
    case 'harness': {
      const value = { field: 'stayId', value: entry.stayId };
      if (!facts.stays.some((s) => s.entryId === entry.stayId)) return { code: 'unknown-stay', ...value };
      return facts.stayEnds.some((e) => e.stayId === entry.stayId) ? { code: 'stay-ended', ...value } : undefined;
    }
    case 'male-check':
      return sex === 'male' ? undefined : { code: 'not-a-male', ...own };
    case 'gene-test':
      if (entry.gene.trim() === '') return { code: 'empty', field: 'gene', value: entry.gene };
      return entry.sampleId === undefined || facts.samples.some((s) => s.entryId === entry.sampleId)
        ? undefined
        : { code: 'unknown-sample', field: 'sampleId', value: entry.sampleId };
  }
}

function checkStay(
  { animalId, groupId, on }: Extract<MatingEntryToCheck, { type: 'stay' }>,
  { species }: AnimalFacts['record'],
  book: MatingBook,
): MatingRefusal | undefined {
  const { femaleFirstMatingDays, mating } = book.settings(species);
  const field = 'reason';
  const reasons = book.maleHeldBack(animalId, on);
  if (reasons.length > 0) return { code: 'male-held-back', field, value: animalId, reasons };
  const femaleIds = book.femalesIn(groupId, on).flatMap(({ record: { id, bornOn } }) => {
    const ageDays = bornOn === undefined ? Infinity : on - bornOn;
    // Sucklings do not conceive; from then on, until they may be mated, they are kept from him.
    if (ageDays < mating.malesApartDays) return [];
    return ageDays < femaleFirstMatingDays || book.pair(id, animalId).refusal ? [id] : [];
  });
  return femaleIds.length > 0 ? { code: 'not-with-these', field, value: animalId, femaleIds, groupId } : undefined;
}

function checkService(
  entry: Extract<MatingEntryToCheck, { type: 'service' }>,
  { record }: AnimalFacts,
  book: MatingBook,
): MatingRefusal | undefined {
  const { maleIds, straw, otherMale, way, reason, on } = entry;
  if (maleIds.length === 0 && straw === undefined && otherMale === undefined)
    return { code: 'no-sire', field: 'maleIds', value: '' };
  for (const value of maleIds) {
    const male = book.animal(value);
    const field = 'maleIds';
    if (!male) return { code: 'unknown-male', field, value };
    if (male.record.sex !== 'male' && male.record.sex !== 'castrate') return { code: 'not-a-male', field, value };
    if (male.record.species !== record.species) return { code: 'male-of-other-species', field, value };
    // A straw outlives its bull.
    const gone = way === 'insemination' ? undefined : male.departures.find((d) => d.on < on);
    if (gone) return { code: 'male-gone', field, value, goneOn: isoOf(gone.on) };
    if (reason !== undefined || !BY_CHOICE.includes(way)) continue;
    const { refusal, inbreeding } = book.pair(record.id, value);
    if (refusal) return { code: 'pair', field, value, refusal, inbreeding };
    const reasons = way === 'hand' ? book.maleHeldBack(value, on) : [];
    if (reasons.length > 0) return { code: 'male-held-back', field: 'reason', value, reasons };
  }
  if (reason !== undefined || !BY_CHOICE.includes(way)) return undefined;
  const reasons = book.heldBack(record.id, on);
  return reasons.length > 0 ? { code: 'held-back', field: 'reason', value: record.id, reasons } : undefined;
}
