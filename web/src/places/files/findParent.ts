import { normalised, TAG_COLOURS, type Resolved, type Sex, type Species } from '@yaylak/core';
import type { FileAnimal } from './animalEntries';
import type { BookNumber } from './importEntries';

export type Role = 'dam' | 'sire';

/** Who can be meant by a number. */
interface Candidate {
  readonly animalId: string;
  readonly species: Species;
  readonly sex: Sex;
  readonly bornOn?: string | undefined;
  readonly isPresent?: boolean;
}

const COLOUR_BEFORE = new RegExp(`^(?:${TAG_COLOURS.join('|')}) `);
const canBe = (role: Role, sex: Sex): boolean =>
  role === 'dam' ? sex === 'female' : sex === 'male' || sex === 'castrate';

/**
 * Finds who a dam's or sire's number means: one of the file before one of the book, of the young's species. Of several
 * that wear the number, who fits by sex and age; one that does not fit is answered all the same where it stands alone,
 * so that the book says what is wrong with it.
 */
export function parentFinder(read: readonly FileAnimal[], book: readonly BookNumber[]) {
  const inFile = new Map<string, Candidate[]>();
  const inBook = new Map<string, Candidate[]>();
  for (const { animalId, row } of read) {
    const { species, sex, bornOn, number, colour, tattoo, electronic, name } = row;
    for (const text of [number, colour && number && `${colour} ${number}`, tattoo, electronic, name])
      if (text !== undefined) put(inFile, text, { animalId, species, sex, bornOn });
  }
  for (const { animalId, text, colour, species, sex, isPresent, isWorn } of book) {
    const candidate = { animalId, species, sex, isPresent: isPresent && isWorn };
    put(inBook, text, candidate);
    if (colour) put(inBook, `${colour} ${text}`, candidate);
  }
  return (
    number: string,
    role: Role,
    young: { readonly species: Species; readonly bornOn: string | undefined },
  ): Resolved => {
    const texts = [number, number.toLowerCase().replace(COLOUR_BEFORE, '')];
    for (const all of [inFile, inBook])
      for (const text of texts) {
        const found = among(
          (all.get(normalised(text)) ?? []).filter((c) => c.species === young.species),
          role,
          young,
        );
        if (found.kind !== 'none') return found;
      }
    return { kind: 'none' };
  };
}

function put(into: Map<string, Candidate[]>, text: string, candidate: Candidate): void {
  const key = normalised(text);
  const list = into.get(key);
  if (list) list.push(candidate);
  else into.set(key, [candidate]);
}

function among(all: readonly Candidate[], role: Role, young: { readonly bornOn: string | undefined }): Resolved {
  const isOlder = (c: Candidate): boolean =>
    c.bornOn === undefined || young.bornOn === undefined || c.bornOn < young.bornOn;
  let left = all;
  for (const fits of [(c: Candidate) => canBe(role, c.sex), isOlder, (c: Candidate) => c.isPresent === true]) {
    const fitting = left.filter(fits);
    if (fitting.length > 0) left = fitting;
  }
  const animalIds = [...new Set(left.map((c) => c.animalId))];
  const [animalId] = animalIds;
  if (animalId === undefined) return { kind: 'none' };
  return animalIds.length === 1 ? { kind: 'one', animalId } : { kind: 'several', animalIds };
}
