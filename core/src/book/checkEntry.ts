import { addHours, isoMoment, isoOf, type Day, type Moment } from '../calendar';
import { isScore } from '../condition';
import {
  normalised,
  readElectronicNumber,
  readTemplate,
  type ElectronicRefusal,
  type IdentifierKind,
} from '../identity';
import { checkParent, type ParentageFault, type ParentRole } from '../pedigree';
import type { Sex, Species } from '../species';
import { wornIdentifiers } from './derived';
import { checkBirth, type BirthBook, type BirthEntryToCheck, type BirthRefusal } from './checkBirth';
import { checkMating, type MatingBook, type MatingEntryToCheck, type MatingRefusal } from './checkMating';
import {
  checkPregnancy,
  testTooSoon,
  type PregnancyBook,
  type PregnancyEntryToCheck,
  type PregnancyRefusal,
} from './checkPregnancy';
import type { AnimalFacts } from './facts';
import { geneticParents } from './geneticParents';

/** A tablet's clock may go ahead of this computer's by so much. */
const CLOCKS_APART_HOURS = 0.25;

/** An entry as the rules see it. */
export type CheckedEntry =
  | { readonly type: 'arrival'; readonly animalId: string; readonly on: Day; readonly animal: ArrivalFacts }
  | { readonly type: 'weight'; readonly animalId: string; readonly on: Day; readonly kg: number }
  | {
      readonly type: 'identifier';
      readonly animalId: string;
      readonly on: Day;
      readonly kind: IdentifierKind;
      readonly text: string;
      readonly colour: string | undefined;
    }
  | { readonly type: 'identifier-end'; readonly animalId: string; readonly on: Day; readonly identifierId: string }
  | { readonly type: 'move'; readonly animalId: string; readonly on: Day; readonly groupId: string }
  | { readonly type: 'departure'; readonly animalId: string; readonly on: Day }
  | {
      readonly type: 'treatment';
      readonly animalId: string;
      readonly on: Day;
      readonly productId: string;
      readonly amount: number;
      readonly isOffLabel: boolean;
      readonly meatDays: number | undefined;
    }
  | { readonly type: 'look'; readonly animalId: string; readonly on: Day; readonly standardIds: readonly string[] }
  | {
      readonly type: 'sample';
      readonly animalId: string;
      readonly on: Day;
      readonly tube: string;
      /** Blood that is to tell of young; it is asked not too soon, unless there is a reason. */
      readonly isOfYoung: boolean;
      readonly reason: string | undefined;
    }
  | {
      readonly type: 'litter-weight';
      readonly animalId: string;
      readonly on: Day;
      readonly totalKg: number;
      readonly count: number;
    }
  | { readonly type: 'score'; readonly animalId: string; readonly on: Day; readonly score: number }
  | MatingEntryToCheck
  | PregnancyEntryToCheck
  | BirthEntryToCheck
  | {
      readonly type: 'mark' | 'choice' | 'note' | 'passage' | 'care' | 'mob' | 'check';
      readonly animalId: string;
      readonly on: Day;
    };

export interface ArrivalFacts {
  readonly species: Species;
  readonly sex: Sex;
  readonly bornOn: Day | undefined;
  readonly damId: string | undefined;
  /** Whose embryo it was, where another carried it. */
  readonly donorId: string | undefined;
  readonly sireId: string | undefined;
  readonly birthType: number | undefined;
  readonly rearingType: number | undefined;
}

/** What the rules may ask of the book. */
export interface BookView extends PregnancyBook, BirthBook, MatingBook {
  readonly today: Day;
  readonly now: Moment;
  hasProduct(id: string): boolean;
  hasJob(id: string): boolean;
  /** Who has the tube of this number already, on that day or in the same job. */
  tubeOf(tube: string, on: Day): string | undefined;
  /** Animals that wear or wore an identifier of this normalised text. */
  wearersOf(plainText: string): Iterable<AnimalFacts>;
}

/** Why an entry is refused, with the field, the value and what it takes to say the remedy. */
export type Refusal = { readonly field: string; readonly value: string } & (
  | {
      readonly code:
        | 'unknown-animal'
        | 'animal-known'
        | 'unknown-group'
        | 'unknown-identifier'
        | 'identifier-ended'
        | 'in-future'
        | 'later-than-now'
        | 'empty'
        | 'unknown-product'
        | 'unknown-job'
        | 'amount-not-positive'
        | 'withdrawal-needed'
        | 'nothing-looked-at'
        | 'not-a-dam'
        | 'not-a-score';
    }
  | { readonly code: 'before-birth'; readonly bornOn: string }
  | { readonly code: 'born-after-arrival'; readonly on: string }
  | { readonly code: 'gone'; readonly goneOn: string }
  | { readonly code: 'tube-taken'; readonly animalId: string }
  | { readonly code: 'weight-not-positive' }
  | { readonly code: 'weight-too-high'; readonly heaviestKg: number; readonly species: Species }
  | { readonly code: 'number-worn'; readonly wearerId: string; readonly colour: string | undefined }
  | { readonly code: 'electronic'; readonly reason: ElectronicRefusal; readonly length: number | undefined }
  | { readonly code: 'reared-more-than-born'; readonly born: number }
  | MatingRefusal
  | PregnancyRefusal
  | BirthRefusal
  | { readonly code: 'parentage'; readonly role: ParentRole; readonly fault: ParentageFault }
);

/** Whether the job an entry was written in is in the book; a book that was put back may not have it. */
export function checkJob({ jobId }: { readonly jobId?: string }, book: Pick<BookView, 'hasJob'>): Refusal | undefined {
  return jobId === undefined || book.hasJob(jobId) ? undefined : { code: 'unknown-job', field: 'jobId', value: jobId };
}

/** The first rule of the book an entry breaks. */
export function checkEntry(entry: CheckedEntry, book: BookView): Refusal | undefined {
  if (entry.on > book.today) return { code: 'in-future', field: 'on', value: isoOf(entry.on) };
  if ('at' in entry && entry.at !== undefined && entry.at > addHours(book.now, CLOCKS_APART_HOURS))
    return { code: 'later-than-now', field: 'at', value: isoMoment(entry.at) };
  if (entry.type === 'arrival') return checkArrival(entry, book);
  const facts = book.animal(entry.animalId);
  if (!facts) return { code: 'unknown-animal', field: 'animalId', value: entry.animalId };
  const { bornOn } = facts.record;
  if (bornOn !== undefined && entry.on < bornOn)
    return { code: 'before-birth', field: 'on', value: isoOf(entry.on), bornOn: isoOf(bornOn) };
  const gone = facts.departures.find((d) => d.on < entry.on || (entry.type === 'departure' && d.on === entry.on));
  if (gone && entry.type !== 'note')
    return { code: 'gone', field: 'on', value: isoOf(entry.on), goneOn: isoOf(gone.on) };
  switch (entry.type) {
    case 'weight':
      return checkWeight(entry.kg, facts.record.species, book);
    case 'identifier':
      return checkIdentifier(entry, book);
    case 'identifier-end':
      return checkIdentifierEnd(entry.identifierId, facts);
    case 'move':
      return book.hasGroup(entry.groupId)
        ? undefined
        : { code: 'unknown-group', field: 'groupId', value: entry.groupId };
    case 'treatment':
      return checkTreatment(entry, book);
    case 'look':
      return entry.standardIds.length === 0 ? { code: 'nothing-looked-at', field: 'grades', value: '' } : undefined;
    case 'sample':
      return checkSample(entry, facts, book);
    case 'litter-weight':
      return checkLitterWeight(entry, facts, book);
    case 'score':
      return isScore(entry.score) ? undefined : { code: 'not-a-score', field: 'score', value: String(entry.score) };
    case 'heat':
    case 'service':
    case 'stay':
    case 'stay-end':
    case 'harness':
    case 'male-check':
    case 'gene-test':
      return checkMating(entry, facts, book);
    case 'pregnancy-test':
    case 'loss':
    case 'way-on':
    case 'carrying-step':
      return checkPregnancy(entry, facts, book);
    case 'birth':
    case 'afterbirth':
    case 'colostrum':
    case 'fostering':
    case 'weaning':
    case 'pen-stage':
    case 'feed':
      return checkBirth(entry, facts, book);
    case 'mob':
    case 'check':
    case 'care':
    case 'departure':
    case 'mark':
    case 'choice':
    case 'note':
    case 'passage':
      return undefined;
  }
}

/** A weight nobody could have read: not above zero, or above the heaviest of the species. */
export function checkWeight(kg: number, species: Species, book: Pick<BookView, 'settings'>): Refusal | undefined {
  const value = String(kg);
  if (!(kg > 0)) return { code: 'weight-not-positive', field: 'kg', value };
  const { heaviestKg } = book.settings(species);
  return kg > heaviestKg ? { code: 'weight-too-high', field: 'kg', value, heaviestKg, species } : undefined;
}

function checkTreatment(entry: Extract<CheckedEntry, { type: 'treatment' }>, book: BookView): Refusal | undefined {
  const { productId, amount, isOffLabel, meatDays } = entry;
  if (!book.hasProduct(productId)) return { code: 'unknown-product', field: 'productId', value: productId };
  if (!(amount > 0)) return { code: 'amount-not-positive', field: 'amount', value: String(amount) };
  // Off the label nothing is known but what the vet says: without a figure the meat would never be known to be clear.
  if (isOffLabel && meatDays === undefined) return { code: 'withdrawal-needed', field: 'meatDays', value: '' };
  return undefined;
}

function checkSample(
  entry: Extract<CheckedEntry, { type: 'sample' }>,
  { record }: AnimalFacts,
  book: BookView,
): Refusal | undefined {
  const value = entry.tube;
  if (normalised(value) === '') return { code: 'empty', field: 'tube', value };
  const animalId = book.tubeOf(value, entry.on);
  if (animalId !== undefined) return { code: 'tube-taken', field: 'tube', value, animalId };
  if (!entry.isOfYoung) return undefined;
  if (record.sex !== 'female') return { code: 'does-not-carry', field: 'animalId', value: record.id };
  return entry.reason === undefined ? testTooSoon(entry, 'blood', record.species, book) : undefined;
}

function checkLitterWeight(
  { totalKg, count }: Extract<CheckedEntry, { type: 'litter-weight' }>,
  { record }: AnimalFacts,
  book: BookView,
): Refusal | undefined {
  if (record.sex !== 'female') return { code: 'not-a-dam', field: 'animalId', value: record.id };
  // By the head: a litter may weigh more than any one of the species.
  const fault = checkWeight(totalKg / count, record.species, book);
  return fault && { ...fault, field: 'totalKg' };
}

function checkArrival(entry: Extract<CheckedEntry, { type: 'arrival' }>, book: BookView): Refusal | undefined {
  if (book.animal(entry.animalId)) return { code: 'animal-known', field: 'animalId', value: entry.animalId };
  const { bornOn } = entry.animal;
  if (bornOn !== undefined && bornOn > entry.on)
    return { code: 'born-after-arrival', field: 'bornOn', value: isoOf(bornOn), on: isoOf(entry.on) };
  return checkRecord({ id: entry.animalId, ...entry.animal }, book);
}

/** Rules of an animal's record by itself and against its parents; for an arrival and for a change of the record. */
export function checkRecord(animal: ArrivalFacts & { readonly id: string }, book: BookView): Refusal | undefined {
  const { bornOn, birthType, rearingType } = animal;
  if (bornOn !== undefined && bornOn > book.today) return { code: 'in-future', field: 'bornOn', value: isoOf(bornOn) };
  // A lamb may be reared beside a foster mate, so one more than born is fine; nine for a twin is a slip.
  if (birthType !== undefined && rearingType !== undefined && rearingType > birthType + 4)
    return { code: 'reared-more-than-born', field: 'rearingType', value: String(rearingType), born: birthType };
  const family = (id: string) => {
    const record = book.animal(id)?.record;
    return record && geneticParents(record);
  };
  for (const [field, role, parentId] of [
    ['damId', 'dam', animal.damId],
    ['donorId', 'dam', animal.donorId],
    ['sireId', 'sire', animal.sireId],
  ] as const) {
    if (parentId === undefined) continue;
    const fault = checkParent(animal, parentId, role, family);
    if (fault) return { code: 'parentage', field, value: parentId, role, fault };
  }
  return undefined;
}

function checkIdentifier(entry: Extract<CheckedEntry, { type: 'identifier' }>, book: BookView): Refusal | undefined {
  const plain = normalised(entry.text);
  if (plain === '') return { code: 'empty', field: 'text', value: entry.text };
  if (entry.kind === 'electronic') {
    const read = readElectronicNumber(entry.text);
    if (read.kind === 'refused')
      return { code: 'electronic', field: 'text', value: entry.text, reason: read.reason, length: read.length };
  }
  if (entry.kind === 'name') return undefined;
  for (const wearer of book.wearersOf(plain)) {
    if (wearer.record.id === entry.animalId || wearer.departures.length > 0) continue;
    const same = wornIdentifiers(wearer).find(
      (i) => i.kind === entry.kind && normalised(i.text) === plain && (i.colour ?? '') === (entry.colour ?? ''),
    );
    if (same)
      return {
        code: 'number-worn',
        field: 'text',
        value: entry.text,
        wearerId: wearer.record.id,
        colour: entry.colour,
      };
  }
  return undefined;
}

function checkIdentifierEnd(identifierId: string, facts: AnimalFacts): Refusal | undefined {
  const value = identifierId;
  if (!facts.identifiers.some((i) => i.entryId === identifierId))
    return { code: 'unknown-identifier', field: 'identifierId', value };
  return facts.identifierEnds.some((e) => e.identifierId === identifierId)
    ? { code: 'identifier-ended', field: 'identifierId', value }
    : undefined;
}

/** Whether a text can be the holding's number template. */
export const isTemplate = (text: string): boolean => readTemplate(text).kind === 'template';
