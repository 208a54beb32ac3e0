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
  identifier: { animalId: ID, kind: 'visual', text: '26-0001', colour: 'yellow', ear: 'left', shape: 'flag' },
  'identifier-end': { animalId: ID, identifierId: ID, how: 'lost', reason: 'fence' },
  move: { animalId: ID, groupId: ID },
  weight: { animalId: ID, kg: 27.2, method: 'scale' },
  mark: { animalId: ID, colour: 'blue', place: 'rump', purpose: 'second string', until: '2026-12-01' },
  passage: { animalId: ID, gate: 'Keep', suggested: 'Sell' },
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
  'litter-weight': { animalId: ID, totalKg: 1.9, count: 6, tareKg: 0.4 },
  treatment: {
    animalId: ID,
    productId: ID,
    amount: 8.5,
    unit: 'ml',
    route: 'mouth',
    batch: 'K-17',
    reason: 'worms',
    prescribedBy: 'the vet',
    doseKg: 41,
    doseMethod: 'scale',
    meatDays: 14,
    milkDays: 4,
    isOffLabel: false,
  },
  look: { animalId: ID, grades: { mouth: 'pass', feet: 'fail', frame: 4 } },
  sample: { animalId: ID, tube: 'B-014', purpose: 'blood' },
  care: { animalId: ID, kind: 'dock', method: 'ring' },
  score: { animalId: ID, score: 2.5, scoredBy: 'Kerem' },
  mob: { animalId: ID, mob: 'thin', suggested: 'fit' },
  check: { animalId: ID, what: 'teeth', isFound: true, words: 'two gone' },
  heat: { animalId: ID, at: '2026-11-01T07:30', signs: ['stands', 'mounts'] },
  service: {
    animalId: ID,
    way: 'hand',
    at: '2026-11-01T18:00',
    maleIds: [ID],
    straw: 'ARD-7',
    batch: 'B2',
    technician: 'Selin',
    colour: 'red',
    isWitnessed: true,
    isCheck: false,
    reason: 'the only buck left',
  },
  stay: { animalId: ID, groupId: ID, colour: 'red', isTeaser: true },
  'stay-end': { animalId: ID, stayId: ID },
  harness: { animalId: ID, stayId: ID, colour: 'blue' },
  'male-check': { animalId: ID, grades: { feet: 'good', testicles: 'fail' }, girthCm: 32.5 },
  'gene-test': { animalId: ID, gene: 'grey lamb', result: 'carrier', laboratory: 'Upland lab', sampleId: ID },
  'pregnancy-test': {
    animalId: ID,
    way: 'scan',
    result: 'carrying',
    young: 2,
    ageDays: 62,
    findings: ['unequal'],
    testedBy: 'Selin',
    learner: 'Kerem',
    learnerAgeDays: 66,
    sampleId: ID,
    laboratory: 'Upland lab',
    reason: 'the van leaves tomorrow',
  },
  loss: { animalId: ID, how: 'slipped', words: 'two, by the hedge' },
  'way-on': {
    animalId: ID,
    decision: 'sell',
    suggested: 'serve-again',
    chance: 0.14,
    evidence: 'serve again 38, sell 61',
    reason: 'her second empty year',
  },
  'carrying-step': { animalId: ID, step: 'Nest box in' },
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
