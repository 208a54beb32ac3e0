import { listed, say } from '@yaylak/contract';
import type { RowFault } from '@yaylak/core';

const FIELD_WORDS: Readonly<Record<RowFault['field'], string>> = {
  number: say('number'),
  on: say('date'),
  weight: say('weight'),
  carcass: say('carcass weight'),
  shape: say('shape'),
  fat: say('fat'),
  price: say('price for the head'),
  deducted: say('taken off'),
  method: 'method',
  colour: say('tag colour'),
  electronic: say('electronic number'),
  name: say('name'),
  species: say('species'),
  sex: say('sex'),
  bornOn: say('birth date'),
  dam: say('dam'),
  sire: say('sire'),
  birthType: say('born as'),
  rearingType: say('reared as'),
  group: say('group'),
  tattoo: say('tattoo'),
  breed: say('breed'),
  bought: say('bought for'),
  arrivedOn: say('arrived on'),
  arrivedBy: say('came by'),
  leftOn: say('left on'),
  leftHow: say('how it left'),
  notes: say('notes'),
};

export const fieldWord = (field: RowFault['field']): string => FIELD_WORDS[field];

const ENTRY_FIELDS: Readonly<Record<string, RowFault['field']>> = {
  kg: 'weight',
  carcassKg: 'carcass',
  priceMinor: 'price',
  deductedMinor: 'deducted',
  text: 'number',
  damId: 'dam',
  sireId: 'sire',
  groupId: 'group',
  animalId: 'number',
  strain: 'breed',
  boughtMinor: 'bought',
  how: 'arrivedBy',
};

/** The column behind a field of an entry. */
export function entryFieldWord(field: string | undefined): string {
  if (field === undefined) return '';
  return FIELD_WORDS[ENTRY_FIELDS[field] ?? (field as RowFault['field'])] ?? field;
}

/** Why a cell cannot be taken, and what would do. */
export function faultWords({ value, reason, known, field }: RowFault): string {
  switch (reason) {
    case 'missing':
      return say('is empty; it is needed');
    case 'not-a-number':
      return say('“{value}” is not a number; write 27.2 or 27,2', { value });
    case 'not-a-date':
      return say('“{value}” is not a real date; write 2026-03-31 or 31.03.2026', { value });
    case 'not-a-whole-number':
      return say('“{value}” is not a whole number', { value });
    case 'unknown-animal':
      return say('no animal is tagged “{value}”; add it first, or correct the number', { value });
    case 'several-animals':
      return say('several animals are tagged “{value}”; use the electronic number', { value });
    case 'below-zero':
      return say('“{value}” is under 0; write what it is without a sign', { value });
    case 'stands-twice':
      return say('“{value}” stands in lines {listed}, and they differ; leave the right one, or correct the number', {
        value,
        listed: listed(known ?? []),
      });
    case 'unknown-word':
      return say('“{value}” is not a {field} known here; use {list}', {
        value,
        field: FIELD_WORDS[field],
        list: (known ?? []).join(', '),
      });
  }
}
