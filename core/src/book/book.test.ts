import fc from 'fast-check';
import { momentOf, type Day } from '../calendar';
import type { ProductLabel } from '../remedies';
import { SPECIES_TABLE } from '../species';
import { day } from '../tests/builders';
import {
  checkEntry,
  emptyFacts,
  groupOn,
  insertByDayInPlace,
  isPresent,
  mainIdentifier,
  marksOn,
  removeFactInPlace,
  type AnimalFacts,
  type AnimalRecord,
  type BookView,
  type CheckedEntry,
} from '.';

const record = (id: string, change: Partial<AnimalRecord> = {}): AnimalRecord => ({
  id,
  species: 'sheep',
  sex: 'female',
  bornOn: day('2024-04-01'),
  damId: undefined,
  donorId: undefined,
  sireId: undefined,
  birthType: undefined,
  rearingType: undefined,
  strain: undefined,
  version: 1,
  ...change,
});
const ewe = emptyFacts(record('ewe'));
ewe.identifiers.push({
  entryId: 'i1',
  on: day('2024-04-02'),
  kind: 'visual',
  text: '24-0001',
  colour: 'yellow',
  ear: 'left',
  shape: undefined,
});
const ram = emptyFacts(record('ram', { sex: 'male', bornOn: day('2023-04-01') }));
const lamb = emptyFacts(record('lamb', { bornOn: day('2026-04-01'), damId: 'ewe' }));
const gone = emptyFacts(record('gone'));
gone.departures.push({ entryId: 'd1', on: day('2026-01-10'), how: 'sold' });
gone.identifiers.push({
  entryId: 'i2',
  on: day('2024-04-02'),
  kind: 'visual',
  text: '24-0002',
  colour: 'yellow',
  ear: 'left',
  shape: undefined,
});
const doe = emptyFacts(record('doe', { species: 'goat' }));
const all = new Map<string, AnimalFacts>([ewe, ram, lamb, gone, doe].map((f) => [f.record.id, f]));
/** 0.2 ml a kilogram, not for lambs under 30 days or 10 kg. */
const DRENCH: ProductLabel = {
  doses: [{ species: 'sheep', by: 'kg', perKg: 0.2, fromDays: 30, fromKg: 10 }],
  doseUnit: 'ml',
  step: 0.5,
  rounding: 'nearest',
  maxPerSite: undefined,
  withdrawals: [],
  course: undefined,
};
const book: BookView = {
  today: day('2026-11-23'),
  now: momentOf('2026-11-23T12:00'),
  animal: (id) => all.get(id),
  label: (id) => (id === 'drench' ? DRENCH : undefined),
  hasJob: (id) => id === 'weighing',
  tubeOf: (tube) => (tube === 'B-001' ? 'ram' : undefined),
  hasGroup: (id) => id === 'flock',
  settings: (species) => SPECIES_TABLE[species],
  birthsOf: () => [],
  pair: (femaleId, maleId) =>
    femaleId === 'lamb' && maleId === 'ram'
      ? { inbreeding: 0.25, refusal: { code: 'relation', relation: 'parent' } }
      : { inbreeding: 0, refusal: undefined },
  heldBack: (id) => (id === 'lamb' ? [{ code: 'too-young', until: day('2026-12-01') }] : []),
  maleHeldBack: (_, on) => (on < day('2026-01-01') ? [{ code: 'too-young', until: day('2026-01-01') }] : []),
  femalesIn: () => [ewe, lamb],
  wasNearMale: () => true,
  tested: (id) =>
    id === 'ewe'
      ? { servedOn: day('2026-11-03'), lastBirthOn: day('2026-04-01') }
      : { servedOn: undefined, lastBirthOn: undefined },
  wearersOf: (plain) => (plain === '240001' ? [ewe] : plain === '240002' ? [gone] : []),
};
const serve = (change: object = {}): object => ({
  type: 'service',
  animalId: 'ewe',
  day: day('2026-11-01'),
  at: undefined,
  way: 'hand',
  maleIds: ['ram'],
  straw: undefined,
  otherMale: undefined,
  reason: undefined,
  ...change,
});
/** Of a ewe of 40 kg: 8 ml by the label. */
const treat = (change: object): object => ({
  type: 'treatment',
  animalId: 'ewe',
  day: day('2026-11-01'),
  productId: 'drench',
  amount: 8,
  unit: 'ml',
  route: 'mouth',
  doseKg: 40,
  meatDays: 14,
  ...change,
});
const weigh = (on: string, kg: number, animalId = 'ewe'): object => ({
  type: 'weight',
  animalId,
  day: day(on),
  kg,
});
const arrive = (change: object): CheckedEntry => ({
  type: 'arrival',
  animalId: 'new',
  day: day('2026-05-01'),
  species: 'sheep',
  sex: 'female',
  bornOn: '2026-05-01',
  birthType: 1,
  rearingType: 1,
  ...change,
});
const tag = (text: string, colour: string | undefined, kind: 'visual' | 'electronic' = 'visual'): object => ({
  type: 'identifier',
  animalId: 'lamb',
  day: day('2026-05-01'),
  kind,
  text,
  colour,
});

it.each<[string, object]>([
  ['by the label', treat({})],
  ['far from it with the reason', treat({ amount: 16, reason: 'the vet said twice' })],
  ['as the step of the syringe makes it', treat({ amount: 2.5, doseKg: 11 })],
  [
    'off the label with the vet’s days',
    treat({ amount: 16, isOffLabel: true, animalId: 'lamb', day: day('2026-04-20') }),
  ],
  ['of no known weight', treat({ amount: 16, doseKg: undefined })],
])('a dose %s is taken', (_, entry) => {
  expect(checkEntry(entry as CheckedEntry, book)).toBeUndefined();
});

describe('the rules of the book', () => {
  it.each<[string, object, string | undefined]>([
    ['a plain weight', weigh('2026-11-01', 60), undefined],
    ['a weight of 0', weigh('2026-11-01', 0), 'weight-not-positive'],
    ['a negative weight', weigh('2026-11-01', -3), 'weight-not-positive'],
    ['a weight that is no number', weigh('2026-11-01', Number.NaN), 'weight-not-positive'],
    ['9999 kg', weigh('2026-11-01', 9999), 'weight-too-high'],
    ['a weight tomorrow', weigh('2026-11-24', 60), 'in-future'],
    ['a weight before birth', weigh('2024-03-31', 4), 'before-birth'],
    ['a weight of nobody', weigh('2026-11-01', 60, 'nobody'), 'unknown-animal'],
    ['a weight after it was sold', weigh('2026-02-01', 60, 'gone'), 'gone'],
    ['a weight on the day it was sold', weigh('2026-01-10', 60, 'gone'), undefined],
    ['a move to no group', { type: 'move', animalId: 'ewe', day: day('2026-05-01'), groupId: 'x' }, 'unknown-group'],
    ['a dose far from the label’s, without a reason', treat({ amount: 16 }), 'far-from-label'],
    ['a dose for one under the label’s least age', treat({ animalId: 'lamb', day: day('2026-04-20') }), 'under-label'],
    ['a dose for one under the label’s least weight', treat({ doseKg: 9 }), 'under-label'],
    ['a second departure', { type: 'departure', animalId: 'gone', day: day('2026-01-10') }, 'gone'],
    ['an animal that is there', { ...arrive({}), animalId: 'ewe' } as CheckedEntry, 'animal-known'],
    ['a birth after the arrival', arrive({ bornOn: '2026-05-02' }), 'born-after-arrival'],
    ['a sheep born in 1950', arrive({ bornOn: '1950-01-01' }), 'born-too-long-ago'],
    ['a dam and a sire', arrive({ damId: 'ewe', sireId: 'ram' }), undefined],
    ['a number worn by another', tag('24-0001', 'yellow'), 'number-worn'],
    ['that number in another colour', tag('24-0001', 'blue'), undefined],
    ['a number of one who is gone', tag('24-0002', 'yellow'), undefined],
    ['an electronic number of 14 digits', tag('79200000012603', undefined, 'electronic'), 'electronic'],
    ['a number of dashes', tag('--', undefined), 'empty'],
    ['reared as one of nine, born a twin', arrive({ birthType: 2, rearingType: 9 }), 'reared-more-than-born'],
    ['a twin reared with a foster mate', arrive({ birthType: 2, rearingType: 3 }), undefined],
    [
      'a move to a group that is there',
      { type: 'move', animalId: 'ewe', day: day('2026-05-01'), groupId: 'flock' },
      undefined,
    ],
    ['a note on one who is gone', { type: 'note', animalId: 'gone', day: day('2026-05-01') }, undefined],
    ['a spray mark on one who is gone', { type: 'mark', animalId: 'gone', day: day('2026-05-01') }, 'gone'],
    [
      'a tag lost that is worn',
      { type: 'identifier-end', animalId: 'ewe', day: day('2026-05-01'), identifierId: 'i1' },
      undefined,
    ],
    [
      'a tag lost that was never worn',
      { type: 'identifier-end', animalId: 'ewe', day: day('2026-05-01'), identifierId: 'i9' },
      'unknown-identifier',
    ],
  ])('%s', (_, entry, code) => {
    expect(checkEntry(entry as CheckedEntry, book)?.code).toBe(code);
  });

  it.each([
    [{ damId: 'ram' }, 'parent-of-wrong-sex'],
    [{ sireId: 'ewe' }, 'parent-of-wrong-sex'],
    [{ damId: 'lamb', bornOn: '2026-03-01' }, 'parent-not-older'],
    [{ damId: 'doe' }, 'parent-of-other-species'],
    [{ damId: 'nobody' }, 'unknown-parent'],
    [{ damId: 'new' }, 'own-ancestor'],
  ])('refuses parents %j: %s', (change, fault) => {
    expect(checkEntry(arrive(change), book)).toMatchObject({ code: 'parentage', fault: { code: fault } });
  });
});

describe('spray marks', () => {
  it.each([
    ['2026-04-30', 0],
    ['2026-05-01', 2],
    ['2026-05-10', 2], // its last day counts
    ['2026-05-11', 1],
  ])('on %s there are %i to be seen', (on, count) => {
    const facts = emptyFacts(record('x'));
    const mark = { colour: 'blue', place: 'rump', purpose: 'second string', on: day('2026-05-01') };
    facts.marks.push(
      { ...mark, entryId: 'm1', until: day('2026-05-10') },
      { ...mark, entryId: 'm2', until: undefined },
    );
    expect(marksOn(facts, day(on))).toHaveLength(count);
  });
});

describe('the tag to show', () => {
  const worn = (entryId: string, kind: 'visual' | 'tattoo' | 'electronic' | 'name', text: string) =>
    ({ entryId, on: day('2026-01-01'), kind, text, colour: undefined, ear: undefined, shape: undefined }) as const;
  const shown = (...identifiers: ReturnType<typeof worn>[]) => {
    const facts = emptyFacts(record('x'));
    facts.identifiers.push(...identifiers);
    return mainIdentifier(facts)?.identifier.text;
  };
  it.each([
    ['the last visual one', [worn('1', 'visual', '7'), worn('2', 'electronic', '9'), worn('3', 'visual', '8')], '8'],
    ['a tattoo before a name', [worn('1', 'tattoo', 'T4'), worn('2', 'name', 'Nergis')], 'T4'],
    ['whatever there is', [worn('1', 'electronic', '792')], '792'],
    ['none', [], undefined],
  ])('is %s', (_, identifiers, text) => {
    expect(shown(...identifiers)).toBe(text);
  });
});

describe('taking a fact out again', () => {
  it('leaves the others where they were, and an unknown one changes nothing', () => {
    const list = [{ entryId: 'a' }, { entryId: 'b' }, { entryId: 'c' }];
    removeFactInPlace(list, 'b');
    removeFactInPlace(list, 'x');
    expect(list).toEqual([{ entryId: 'a' }, { entryId: 'c' }]);
  });
  it('after putting it in gives the list as it was, for any order of days', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 30 })), fc.integer({ min: 0, max: 30 }), (days, one) => {
        const list: { on: Day; entryId: string }[] = [];
        days.forEach((d, i) => insertByDayInPlace(list, { on: d as Day, entryId: String(i) }));
        const before = JSON.stringify(list);
        // The fast insertion against the obvious one: a stable sort.
        expect(list.map((f) => f.on)).toEqual([...days].sort((a, b) => a - b));
        insertByDayInPlace(list, { on: one as Day, entryId: 'new' });
        removeFactInPlace(list, 'new');
        expect(JSON.stringify(list)).toBe(before);
      }),
      { seed: 7 },
    );
  });
});

describe('the present state', () => {
  it('keeps facts in order of day, later written later', () => {
    const list = [
      { on: day('2026-01-01'), n: 1 },
      { on: day('2026-01-03'), n: 2 },
    ];
    insertByDayInPlace(list, { on: day('2026-01-02'), n: 3 });
    insertByDayInPlace(list, { on: day('2026-01-03'), n: 4 });
    expect(list.map((f) => f.n)).toEqual([1, 3, 2, 4]);
  });
  it('knows group, presence and the tag to show on a day', () => {
    const facts = emptyFacts(record('x'));
    facts.moves.push(
      { entryId: 'm1', on: day('2026-01-01'), groupId: 'a' },
      { entryId: 'm2', on: day('2026-02-01'), groupId: 'b' },
    );
    expect(groupOn(facts, day('2026-01-31'))).toBe('a');
    expect(groupOn(facts, day('2025-12-31'))).toBeUndefined();
    expect(isPresent(gone, day('2026-01-09'))).toBe(true);
    expect(isPresent(gone, day('2026-01-10'))).toBe(false);
    facts.identifiers.push({
      entryId: 'i',
      on: day('2026-01-01'),
      kind: 'visual',
      text: '7',
      colour: 'blue',
      ear: undefined,
      shape: undefined,
    });
    expect(mainIdentifier(facts)).toMatchObject({ isWorn: true });
    facts.identifierEnds.push({ entryId: 'e', on: day('2026-01-05'), identifierId: 'i', how: 'lost' });
    expect(mainIdentifier(facts)).toMatchObject({ isWorn: false, identifier: { text: '7' } });
  });
});

describe('the rules of mating', () => {
  const ofRam = { animalId: 'ram', day: day('2026-11-01') };
  const stay = { type: 'stay' as const, ...ofRam, isTeaser: false, reason: undefined };
  ram.stays.push(
    { entryId: 'in', on: day('2026-10-20'), groupId: 'flock', colour: 'red', isTeaser: false },
    { entryId: 'over', on: day('2025-10-20'), groupId: 'flock', colour: 'red', isTeaser: false },
  );
  ram.stayEnds.push({ entryId: 'out', on: day('2025-12-01'), stayId: 'over' });
  it.each<[string, object, string | undefined]>([
    ['a service', serve(), undefined],
    ['a service of a male', serve({ animalId: 'ram' }), 'not-a-female'],
    ['by a female', serve({ maleIds: ['doe'] }), 'not-a-male'],
    ['by nobody', serve({ maleIds: [] }), 'no-sire'],
    ['by straw', serve({ maleIds: [], straw: 'A-7', way: 'insemination' }), undefined],
    ['by who is not in the book', serve({ maleIds: ['who'] }), 'unknown-male'],
    ['of a goat by a ram', serve({ animalId: 'doe' }), 'male-of-other-species'],
    ['at an hour of the day', serve({ at: '2026-11-01T07:00' }), undefined],
    ['later than now', serve({ day: day('2026-11-23'), at: '2026-11-23T12:16' }), 'later-than-now'],
    ['by a clock a little ahead', serve({ day: day('2026-11-23'), at: '2026-11-23T12:14' }), undefined],
    ['at an hour of another day', serve({ at: '2026-11-02T07:00' }), 'time-of-other-day'],
    ['by her sire', serve({ animalId: 'lamb' }), 'pair'],
    ['by her sire, for a reason', serve({ animalId: 'lamb', reason: 'broke out' }), undefined],
    ['a mark of her sire’s, found in the field', serve({ animalId: 'lamb', way: 'raddle' }), undefined],
    ['a male put with a group', { ...stay, groupId: 'flock' }, 'not-with-these'],
    [
      'a male put with his daughter for a reason',
      { ...stay, groupId: 'flock', reason: 'they are parted at night' },
      undefined,
    ],
    ['a teaser put with his daughter', { ...stay, groupId: 'flock', isTeaser: true }, undefined],
    ['a male put in too young', { ...stay, day: day('2025-11-01'), groupId: 'flock' }, 'male-held-back'],
    [
      'a service of one too young',
      serve({ animalId: 'lamb', maleIds: [], straw: 'A-7', way: 'insemination' }),
      'held-back',
    ],
    ['a mark on one too young', serve({ animalId: 'lamb', way: 'raddle' }), undefined],
    ['a service of one too young for a reason', serve({ animalId: 'lamb', reason: 'small but strong' }), undefined],
    ['a service by one too young', serve({ day: day('2025-11-01') }), 'male-held-back'],
    ['a male put with no group', { ...stay, groupId: 'none' }, 'unknown-group'],
    ['a ewe put in as the male', { ...stay, animalId: 'ewe', groupId: 'flock' }, 'not-a-male'],
    ['a male taken out', { type: 'stay-end', ...ofRam, stayId: 'in' }, undefined],
    ['taken out of where he never was', { type: 'stay-end', ...ofRam, stayId: 'never' }, 'unknown-stay'],
    ['taken out twice', { type: 'stay-end', ...ofRam, stayId: 'over' }, 'stay-ended'],
    ['raddle on one that is out', { type: 'harness', ...ofRam, stayId: 'over' }, 'stay-ended'],
    ['a check of a female', { type: 'male-check', ...ofRam, animalId: 'ewe' }, 'not-a-male'],
    ['a test of no gene', { type: 'gene-test', ...ofRam, gene: ' ', sampleId: undefined }, 'empty'],
    ['a test of no tube of his', { type: 'gene-test', ...ofRam, gene: 'wry jaw', sampleId: 'x' }, 'unknown-sample'],
    ['a heat of a male', { type: 'heat', ...ofRam, at: '2026-11-01T07:00' }, 'not-a-female'],
  ])('%s', (_, entry, code) => {
    expect(checkEntry(entry as CheckedEntry, book)?.code).toBe(code);
  });
});

describe('tests for young', () => {
  const test = (change: object = {}): CheckedEntry => ({
    type: 'pregnancy-test',
    animalId: 'ewe',
    day: day('2026-11-20'),
    way: 'sight',
    result: 'carrying',
    young: undefined,
    ageDays: undefined,
    sampleId: undefined,
    reason: undefined,
    ...change,
  });
  const tube = (change: object = {}): CheckedEntry => ({
    type: 'sample',
    animalId: 'ewe',
    day: day('2026-11-20'),
    tube: 'B-777',
    purpose: 'pregnancy',
    reason: undefined,
    ...change,
  });

  it('are refused before they can tell, with the day they can, unless there is a reason', () => {
    // Served on 3 November: a scan from day 35, blood from day 30.
    expect(checkEntry(test({ way: 'scan' }), book)).toEqual({
      code: 'test-too-soon',
      field: 'on',
      value: '2026-11-20',
      test: { way: 'scan', after: 'service', since: '2026-11-03', days: 17, daysNeeded: 35, validFrom: '2026-12-08' },
    });
    expect(checkEntry(tube(), book)).toMatchObject({ code: 'test-too-soon', test: { validFrom: '2026-12-03' } });
    expect(checkEntry(test({ way: 'scan', reason: 'the van leaves' }), book)).toBeUndefined();
    expect(checkEntry(tube({ reason: 'the vet is here' }), book)).toBeUndefined();
    // Blood that asks something else is taken on any day, and so is a look.
    expect(checkEntry(tube({ purpose: 'blood' }), book)).toBeUndefined();
    expect(checkEntry(test(), book)).toBeUndefined();
  });

  it.each<[string, object, object]>([
    ['a male', { animalId: 'ram' }, { code: 'does-not-carry', field: 'animalId' }],
    ['a way the species has not', { way: 'palpation' }, { code: 'no-such-test', species: 'sheep' }],
    ['young of an empty one', { result: 'empty', young: 1 }, { code: 'young-of-empty', field: 'young' }],
    ['an age of an empty one', { result: 'empty', ageDays: 40 }, { code: 'young-of-empty', field: 'ageDays' }],
    ['young older than any', { ageDays: 168 }, { code: 'age-too-high', mostDays: 167 }],
    ['a tube that was not hers', { sampleId: 's9' }, { code: 'unknown-sample' }],
  ])('of %s are refused', (_, change, refusal) => {
    expect(checkEntry(test(change), book)).toMatchObject(refusal);
  });

  it('answer a tube once, whenever it was taken', () => {
    const own = emptyFacts(record('tubed'));
    own.samples.push({
      entryId: 's1',
      on: day('2026-11-05'),
      animalId: 'tubed',
      tube: 'B-1',
      purpose: 'pregnancy',
      jobId: undefined,
    });
    const view: BookView = {
      ...book,
      animal: () => own,
      tested: () => ({ servedOn: day('2026-11-03'), lastBirthOn: undefined }),
    };
    const result = test({ way: 'blood', day: day('2026-11-05'), sampleId: 's1' });
    expect(checkEntry(result, view)).toBeUndefined();
    own.pregnancyTests.push({
      entryId: 't1',
      on: day('2026-11-05'),
      way: 'blood',
      result: 'carrying',
      young: undefined,
      ageDays: undefined,
      findings: [],
      testedBy: undefined,
      learner: undefined,
      sampleId: 's1',
    });
    expect(checkEntry(result, view)).toMatchObject({ code: 'tube-answered' });
  });

  it('take losses and steps of females only', () => {
    const on = { day: day('2026-11-20') };
    expect(checkEntry({ type: 'loss', animalId: 'ram', how: 'slipped', ...on }, book)).toMatchObject({
      code: 'does-not-carry',
    });
    expect(checkEntry({ type: 'carrying-step', animalId: 'ewe', step: 'move', ...on }, book)).toBeUndefined();
  });
});
