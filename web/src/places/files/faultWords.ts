import { listed } from '@yaylak/contract';
import type { RowFault } from '@yaylak/core';

const FIELD_WORDS: Readonly<Record<RowFault['field'], string>> = {
  number: 'number',
  on: 'date',
  weight: 'weight',
  carcass: 'carcass weight',
  shape: 'shape',
  fat: 'fat',
  price: 'price for the head',
  deducted: 'taken off',
  method: 'method',
  colour: 'tag colour',
  electronic: 'electronic number',
  name: 'name',
  species: 'species',
  sex: 'sex',
  bornOn: 'birth date',
  dam: 'dam',
  sire: 'sire',
  birthType: 'born as',
  rearingType: 'reared as',
  group: 'group',
  tattoo: 'tattoo',
  breed: 'breed',
  bought: 'bought for',
  arrivedOn: 'arrived on',
  arrivedBy: 'came by',
  leftOn: 'left on',
  leftHow: 'how it left',
  notes: 'notes',
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
      return 'is empty; it is needed';
    case 'not-a-number':
      return `“${value}” is not a number; write 27.2 or 27,2`;
    case 'not-a-date':
      return `“${value}” is not a real date; write 2026-03-31 or 31.03.2026`;
    case 'not-a-whole-number':
      return `“${value}” is not a whole number`;
    case 'unknown-animal':
      return `no animal is tagged “${value}”; add it first, or correct the number`;
    case 'several-animals':
      return `several animals are tagged “${value}”; use the electronic number`;
    case 'below-zero':
      return `“${value}” is under 0; write what it is without a sign`;
    case 'stands-twice':
      return `“${value}” stands in lines ${listed(known ?? [])}, and they differ; leave the right one, or correct the number`;
    case 'unknown-word':
      return `“${value}” is not a ${FIELD_WORDS[field]} known here; use ${(known ?? []).join(', ')}`;
  }
}
