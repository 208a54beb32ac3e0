import { dayOf, type DateOrder, type Sex, type Species, type TagColour } from '@yaylak/core';
import type { EntryDraft } from '../../outbox/useRecord';
import { birthOf } from '../../words/birth';
import { newId } from '../../words/ids';
import { minorTyped } from '../../words/typed';
import type { parentNamed } from './parentNamed';

/** Animals as they are typed before they are added. */
export interface AddTyped {
  readonly species: Species;
  readonly sex: Sex;
  readonly count: string;
  readonly wears: 'tag' | 'tattoo' | 'nothing';
  readonly number: string;
  /** Numbers of several, one a line. */
  readonly lines: string;
  readonly colour: TagColour;
  readonly electronic: string;
  readonly name: string;
  readonly born: string;
  readonly cameOn: string;
  readonly dam: string;
  readonly sire: string;
  readonly birthType: string;
  readonly groupId: string;
  readonly strain: string;
  /** Money paid for each. */
  readonly bought: string;
}

export const NEW_ANIMAL: AddTyped = {
  species: 'sheep',
  sex: 'female',
  count: '1',
  wears: 'tag',
  number: '',
  lines: '',
  colour: 'yellow',
  electronic: '',
  name: '',
  born: '',
  cameOn: '',
  dam: '',
  sire: '',
  birthType: '',
  groupId: '',
  strain: '',
  bought: '',
};
export const MOST_AT_ONCE = 200;
/** Stands for the next free number as long as none is typed. */
const NEXT_FREE = '1';

export type Parents = Readonly<Record<'dam' | 'sire', ReturnType<typeof parentNamed>>>;

export const linesOf = ({ lines, count }: AddTyped): readonly string[] =>
  Number(count) > 1
    ? lines
        .split(/[\n\r\t;]+/)
        .map((l) => l.trim())
        .filter((l) => l !== '')
    : [];

/** How many are added; 1 while what is typed is no number. */
export const countOf = ({ count }: AddTyped): number => {
  const n = Number(count);
  return Number.isInteger(n) && n >= 1 && n <= MOST_AT_ONCE ? n : 1;
};

/** The numbers as far as they are typed: the next free ones are not known to the rules of a form. */
export function asTyped(typed: AddTyped): readonly string[] {
  const lines = linesOf(typed);
  return lines.length > 0 ? lines : Array.from({ length: countOf(typed) }, () => typed.number.trim() || NEXT_FREE);
}

/** What the next one has in common with the one before: all but what is its own. */
export const nextOne = (typed: AddTyped): AddTyped => ({
  ...typed,
  count: '1',
  number: '',
  lines: '',
  electronic: '',
  name: '',
  dam: '',
  sire: '',
  birthType: '',
});

interface Given {
  /** One for each animal; none are needed for those that wear nothing. */
  readonly numbers: readonly string[];
  readonly parents: Parents;
  /** The day they came. */
  readonly on: string;
  /** That a birth is typed in. */
  readonly order: DateOrder;
}

/** The entries that put the animals into the book. */
export function addedDrafts(typed: AddTyped, { numbers, ...given }: Given): EntryDraft[] {
  const count = Math.max(countOf(typed), linesOf(typed).length);
  return Array.from({ length: count }, (_, i) => oneDraft(typed, numbers[i] ?? '', count > 1, given)).flat();
}

function oneDraft(
  typed: AddTyped,
  number: string,
  isOneOfMany: boolean,
  { parents: { dam, sire }, on, order }: Omit<Given, 'numbers'>,
): EntryDraft[] {
  const animalId = newId();
  const born = birthOf(typed.born, order, on === '' ? undefined : dayOf(on));
  const birthType =
    typed.birthType === '' ? {} : { birthType: Number(typed.birthType), rearingType: Number(typed.birthType) };
  const worn = { type: 'identifier', animalId, on } as const;
  return [
    {
      type: 'arrival',
      animalId,
      on,
      how: dam.kind === 'animal' ? 'born' : 'bought',
      species: typed.species,
      sex: typed.sex,
      ...(born.bornOn === null ? {} : { ...born, bornOn: born.bornOn }),
      ...(dam.kind === 'animal' ? { damId: dam.id } : {}),
      ...(sire.kind === 'animal' ? { sireId: sire.id } : {}),
      ...birthType,
      ...(typed.strain.trim() === '' ? {} : { strain: typed.strain.trim() }),
      ...(typed.bought.trim() === '' ? {} : { boughtMinor: minorTyped(typed.bought) }),
    },
    ...(typed.wears === 'tag' ? [{ ...worn, kind: 'visual', text: number, colour: typed.colour } as const] : []),
    ...(typed.wears === 'tattoo' ? [{ ...worn, kind: 'tattoo', text: number } as const] : []),
    ...(isOneOfMany || typed.electronic.trim() === ''
      ? []
      : [{ ...worn, kind: 'electronic', text: typed.electronic.trim() } as const]),
    ...(isOneOfMany || typed.name.trim() === '' ? [] : [{ ...worn, kind: 'name', text: typed.name.trim() } as const]),
    ...(typed.groupId === '' ? [] : [{ type: 'move', animalId, on, groupId: typed.groupId } as const]),
  ];
}
