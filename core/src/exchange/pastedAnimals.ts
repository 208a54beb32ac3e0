import { isoOf, readTypedBirth, type BirthKnownTo, type DateOrder, type Day } from '../calendar';
import { normalised } from '../identity';
import type { Sex } from '../species';
import { sexOfWord } from './animalRow';

/** One animal of a list that was typed, pasted or scanned. */
export interface PastedAnimal {
  /** Where it stood, the first is 1. */
  readonly line: number;
  readonly number: string | undefined;
  readonly electronic: string | undefined;
  readonly name: string | undefined;
  readonly sex: Sex | undefined;
  readonly bornOn: string | undefined;
  readonly birthKnownTo: BirthKnownTo | undefined;
}

export interface PastedFault {
  readonly line: number;
  readonly text: string;
  readonly reason: 'not-read' | 'stands-twice' | 'born-later';
}

export interface PastedAnimals {
  readonly animals: readonly PastedAnimal[];
  readonly faults: readonly PastedFault[];
}

/** Digits of an electronic number. */
const ELECTRONIC = /^\d{15}$/;
const HAS_DIGIT = /\d/;

/**
 * Reads a list of animals, one a line: a number, a name or an electronic number first; then in any order, between
 * tabs, commas or semicolons, what says by itself what it is: a sex, a birth, another number, a name.
 *
 * @param latest nobody is born after it
 */
export function readPastedAnimals(
  text: string,
  { dateOrder, latest }: { readonly dateOrder: DateOrder; readonly latest: Day },
): PastedAnimals {
  const animals: PastedAnimal[] = [];
  const faults: PastedFault[] = [];
  const seen = new Set<string>();
  text.split(/\r?\n|\r/).forEach((written, i) => {
    const line = i + 1;
    const cells = written
      .split(/[\t;,]/)
      .map((cell) => cell.trim())
      .filter((cell) => cell !== '');
    const [first, ...others] = cells;
    if (first === undefined) return;
    const fault = (reason: PastedFault['reason'], of: string): void => void faults.push({ line, text: of, reason });
    const of: { -readonly [K in keyof PastedAnimal]?: PastedAnimal[K] } = {};
    if (ELECTRONIC.test(first)) of.electronic = first;
    else if (HAS_DIGIT.test(first)) of.number = first;
    else of.name = first;
    for (const cell of others) {
      const sex = sexOfWord(cell);
      const born = readTypedBirth(cell, dateOrder, latest);
      if (sex !== undefined && of.sex === undefined) of.sex = sex;
      else if (ELECTRONIC.test(cell) && of.electronic === undefined) of.electronic = cell;
      else if (born && of.bornOn === undefined) {
        if (born.on > latest) return fault('born-later', cell);
        of.bornOn = isoOf(born.on);
        of.birthKnownTo = born.knownTo;
      } else if (!HAS_DIGIT.test(cell) && of.name === undefined) of.name = cell;
      else return fault('not-read', cell);
    }
    for (const own of [of.number, of.electronic, of.name]) {
      if (own === undefined) continue;
      if (seen.has(normalised(own))) return fault('stands-twice', own);
      seen.add(normalised(own));
    }
    animals.push({
      line,
      number: of.number,
      electronic: of.electronic,
      name: of.name,
      sex: of.sex,
      bornOn: of.bornOn,
      birthKnownTo: of.birthKnownTo,
    });
  });
  return { animals, faults };
}
