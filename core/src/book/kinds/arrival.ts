import { addYears, dayOf, isoOf, parseDay, type BirthKnownTo } from '../../calendar';
import { checkParent } from '../../pedigree';
import { SPECIES_WORDS, type Sex, type Species } from '../../species';
import type { BookView } from '../bookView';
import type { AnimalRecord } from '../facts';
import { geneticParents } from '../geneticParents';
import type { Refusal } from '../refusals';
import type { BareKind, ToCheck } from './kind';
import type { AnimalId } from '../../units';

/** How one comes into the book; `named` never stood here, it is known by its number as a parent. */
export const ARRIVAL_WAYS = ['born', 'bought', 'found', 'named'] as const;
export type ArrivalWay = (typeof ARRIVAL_WAYS)[number];

export interface ArrivalWritten {
  readonly species: Species;
  readonly sex: Sex;
  readonly bornOn?: string | undefined;
  readonly damId?: AnimalId | undefined;
  readonly donorId?: AnimalId | undefined;
  readonly sireId?: AnimalId | undefined;
  readonly birthType?: number | undefined;
  readonly rearingType?: number | undefined;
  readonly strain?: string | undefined;
  readonly boughtMinor?: number | undefined;
  readonly birthKnownTo?: BirthKnownTo | undefined;
}

/** It comes into the book: by birth or from elsewhere. Its record stands by itself, so that it can be changed. */
export const arrival: BareKind<ArrivalWritten> = { list: null, touches: ['kin'] };

/** The record an arrival opens. */
export const recordOf = (entry: ArrivalWritten & { readonly animalId: AnimalId }, version = 1): AnimalRecord => ({
  id: entry.animalId,
  species: entry.species,
  sex: entry.sex,
  bornOn: entry.bornOn ? dayOf(entry.bornOn) : undefined,
  damId: entry.damId,
  donorId: entry.donorId,
  sireId: entry.sireId,
  birthType: entry.birthType,
  rearingType: entry.rearingType,
  strain: entry.strain,
  boughtMinor: entry.boughtMinor,
  birthKnownTo: entry.bornOn ? entry.birthKnownTo : undefined,
  version,
});

/** The first rule an arrival breaks: its animal is not in the book yet. */
export function checkArrival(entry: ToCheck<ArrivalWritten>, book: BookView): Refusal | undefined {
  if (book.animal(entry.animalId)) return { code: 'animal-known', field: 'animalId', value: entry.animalId };
  const bornOn = entry.bornOn === undefined ? undefined : parseDay(entry.bornOn);
  if (bornOn !== undefined && bornOn > entry.day)
    return { code: 'born-after-arrival', field: 'bornOn', value: isoOf(bornOn), on: isoOf(entry.day) };
  const oldestYears = SPECIES_WORDS[entry.species].oldestYears;
  if (bornOn !== undefined && bornOn < addYears(entry.day, -oldestYears))
    return { code: 'born-too-long-ago', field: 'bornOn', value: isoOf(bornOn), oldestYears, species: entry.species };
  return checkRecord(recordOf(entry), book);
}

/** Rules of an animal's record by itself and against its parents; for an arrival and for a change of the record. */
export function checkRecord(animal: AnimalRecord, book: BookView): Refusal | undefined {
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
