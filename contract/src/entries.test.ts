import { plainToInstance } from 'class-transformer';
import { getMetadataStorage, validateSync } from 'class-validator';
import { ENTRY_CLASSES, ENTRY_TYPES, MAX_NOTE, MAX_TEXT, type EntryType } from '.';
import { COMMON, EXAMPLES, ID } from './examples';

const goodEntry = (type: EntryType): object => ({
  ...COMMON,
  type,
  ...(type === 'strike' ? {} : { animalId: ID }),
  ...EXAMPLES[type],
});
/** Fields that are wrong in an entry of a type. */
const wrongFields = (type: EntryType, change: object = {}): string[] =>
  validateSync(plainToInstance(ENTRY_CLASSES[type] as new () => object, { ...goodEntry(type), ...change }), {
    whitelist: true,
    forbidNonWhitelisted: true,
  }).map((e) => e.property);

it.each(ENTRY_TYPES)('a good %s is taken', (type) => {
  expect(wrongFields(type)).toEqual([]);
});

it.each(ENTRY_TYPES)('the example of a %s has every field there is', (type) => {
  const rules = getMetadataStorage().getTargetValidationMetadatas(ENTRY_CLASSES[type], '', true, false);
  const fields = new Set(rules.map((r) => r.propertyName));
  expect(Object.keys(goodEntry(type)).sort()).toEqual([...fields].sort());
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
  ['weight', { tareKg: -1 }],
  ['identifier', { shape: 'star' }],
  ['litter-weight', { count: 0 }],
  ['litter-weight', { totalKg: '2' }],
  ['treatment', { productId: 'the blue one' }],
  ['treatment', { amount: 'a bit' }],
  ['treatment', { unit: 'spoon' }],
  ['treatment', { route: 'nose' }],
  ['treatment', { meatDays: -1 }],
  ['treatment', { milkDays: 2.5 }],
  ['treatment', { isOffLabel: 'perhaps' }],
  ['look', { grades: { mouth: 'bad' } }],
  ['look', { grades: { frame: 6 } }],
  ['look', { grades: { frame: 2.5 } }],
  ['look', { grades: ['fail'] }],
  ['look', { grades: null }],
  ['sample', { tube: '' }],
  ['sample', { purpose: 'hair' }],
  ['care', { kind: 'polish' }],
  ['sample', { reason: '' }],
  ['gene-test', { sampleId: 'B-014' }],
  ['pregnancy-test', { way: 'dowsing' }],
  ['pregnancy-test', { result: 'perhaps' }],
  ['pregnancy-test', { young: 0 }],
  ['pregnancy-test', { ageDays: 61.5 }],
  ['pregnancy-test', { findings: ['a hat'] }],
  ['pregnancy-test', { learnerAgeDays: 401 }],
  ['pregnancy-test', { sampleId: 'B-014' }],
  ['loss', { how: 'vanished' }],
  ['way-on', { decision: 'eat' }],
  ['way-on', { chance: 1.2 }],
  ['carrying-step', { step: '' }],
  ['strike', { entryId: 7 }],
])('a %s with %j says which field it is', (type, change) => {
  expect(wrongFields(type, change)).toEqual(Object.keys(change));
});
