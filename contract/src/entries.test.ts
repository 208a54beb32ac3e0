import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { ENTRY_CLASSES, ENTRY_TYPES, MAX_NOTE, MAX_TEXT, type EntryType } from '.';

const ID = '0191d5a0-0000-7000-8000-000000000001';
const COMMON = {
  id: ID,
  on: '2026-11-01',
  writtenAt: '2026-11-01T08:00:00.000Z',
  writtenBy: 'Aylin',
  source: 'hand',
};
/** One good entry of each type. */
const GOOD: Readonly<Record<EntryType, object>> = {
  arrival: { animalId: ID, how: 'born', species: 'sheep', sex: 'female', bornOn: '2026-11-01', birthType: 2 },
  identifier: { animalId: ID, kind: 'visual', text: '26-0001', colour: 'yellow', ear: 'left' },
  'identifier-end': { animalId: ID, identifierId: ID, how: 'lost', reason: 'fence' },
  move: { animalId: ID, groupId: ID },
  weight: { animalId: ID, kg: 27.2, method: 'scale' },
  mark: { animalId: ID, colour: 'blue', place: 'rump', purpose: 'second string', until: '2026-12-01' },
  passage: { animalId: ID, gate: 'Keep' },
  choice: {
    animalId: ID,
    decision: 'keep',
    suggested: 'sell',
    among: 'ewe lambs',
    place: 1,
    of: 9,
    reason: 'bred well',
  },
  departure: { animalId: ID, how: 'sold', reason: 'to a neighbour' },
  note: { animalId: ID, text: 'limps' },
  strike: { entryId: ID, reason: 'misread' },
};
/** Fields that are wrong in an entry of a type. */
const wrongFields = (type: EntryType, change: object = {}): string[] =>
  validateSync(
    plainToInstance(ENTRY_CLASSES[type] as new () => object, { ...COMMON, type, ...GOOD[type], ...change }),
    {
      whitelist: true,
      forbidNonWhitelisted: true,
    },
  ).map((e) => e.property);

it.each(ENTRY_TYPES)('a good %s is taken', (type) => {
  expect(wrongFields(type)).toEqual([]);
});

it.each(ENTRY_TYPES)('a %s with a field nobody knows, or of another type, is not', (type) => {
  expect(wrongFields(type, { wings: 2 })).toEqual(['wings']);
  expect(wrongFields(type, { type: 'poem' })).toEqual(['type']);
});

describe('what every entry carries', () => {
  it.each([
    ['id', 'no uuid'],
    ['id', undefined],
    ['on', '2025-02-29'],
    ['on', '1.11.2026'],
    ['on', '2026-11-01T08:00'],
    ['writtenAt', 'this morning'],
    ['writtenAt', '2026-13-01T08:00:00Z'],
    ['writtenBy', ''],
    ['writtenBy', 'x'.repeat(MAX_TEXT + 1)],
    ['source', 'rumour'],
    ['jobId', 'job 7'],
  ])('%s is not %j', (field, value) => {
    expect(wrongFields('note', { [field]: value })).toEqual([field]);
  });
});

it.each<[EntryType, object]>([
  ['arrival', { species: 'dragon' }],
  ['arrival', { sex: 'ewe' }],
  ['arrival', { how: 'dreamt' }],
  ['arrival', { bornOn: '2026-02-30' }],
  ['arrival', { birthType: 0 }],
  ['arrival', { birthType: 21 }],
  ['arrival', { rearingType: 1.5 }],
  ['arrival', { damId: '22-0001' }],
  ['weight', { kg: '27.2' }],
  ['weight', { kg: Number.NaN }],
  ['weight', { kg: Number.POSITIVE_INFINITY }],
  ['weight', { method: 'guess' }],
  ['identifier', { text: '' }],
  ['identifier', { text: 'x'.repeat(41) }],
  ['identifier', { kind: 'chip' }],
  ['identifier', { colour: 'beige' }],
  ['identifier', { ear: 'middle' }],
  ['identifier-end', { how: 'eaten' }],
  ['move', { groupId: 'Top paddock' }],
  ['mark', { place: 'tail' }],
  ['mark', { purpose: '' }],
  ['passage', { gate: '' }],
  ['choice', { decision: 'maybe' }],
  ['choice', { place: 0 }],
  ['departure', { how: 'flew' }],
  ['note', { text: '' }],
  ['note', { text: 'x'.repeat(MAX_NOTE + 1) }],
  ['strike', { entryId: 7 }],
])('a %s with %j says which field it is', (type, change) => {
  expect(wrongFields(type, change)).toEqual(Object.keys(change));
});
