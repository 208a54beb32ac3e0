import { birthsOf } from '../births';
import { SPECIES_TABLE, type Species } from '../species';
import { day } from '../tests/builders';
import {
  kindOf,
  emptyFacts,
  questionsOf,
  type AnimalFacts,
  type AnimalRecord,
  type BookView,
  type CheckedEntry,
} from '.';

const record = (id: string, change: Partial<AnimalRecord> = {}): AnimalRecord => ({
  id,
  species: 'goat',
  sex: 'female',
  bornOn: day('2022-04-01'),
  damId: undefined,
  donorId: undefined,
  sireId: undefined,
  birthType: undefined,
  rearingType: undefined,
  strain: undefined,
  version: 1,
  ...change,
});
const doe = emptyFacts(record('doe'));
doe.services.push({
  entryId: 's1',
  on: day('2026-06-20'),
  at: undefined,
  way: 'hand',
  maleIds: ['buck'],
  straw: undefined,
  otherMale: undefined,
  colour: undefined,
  isCheck: false,
});
const buck = emptyFacts(record('buck', { sex: 'male' }));
const sold = emptyFacts(record('sold'));
sold.departures.push({ entryId: 'd1', on: day('2026-10-01'), how: 'sold' });
const mother = emptyFacts(record('mother'));
mother.births.push({
  entryId: 'b1',
  on: day('2026-11-10'),
  at: undefined,
  alive: 1,
  dead: 0,
  ease: 'alone',
  presentation: undefined,
  mothering: undefined,
  afterbirth: undefined,
  reason: undefined,
});
const kid = emptyFacts(record('kid', { bornOn: day('2026-11-10'), damId: 'mother' }));
const weaned = emptyFacts(record('weaned', { bornOn: day('2026-08-01'), damId: 'mother' }));
weaned.weanings.push({ entryId: 'w1', on: day('2026-10-20'), isDone: true });
const ageless = emptyFacts(record('ageless', { bornOn: undefined }));
const all = new Map<string, AnimalFacts>([doe, buck, sold, mother, kid, weaned, ageless].map((f) => [f.record.id, f]));
const book = {
  animal: (id: string) => all.get(id),
  settings: (species: Species) => SPECIES_TABLE[species],
  birthsOf: (id: string) => birthsOf([], all.get(id)?.births ?? []),
  wasNearMale: () => true,
} as Partial<BookView> as BookView;
const code = (entry: CheckedEntry): string | undefined => {
  const facts = all.get(entry.animalId);
  if (!facts) throw new Error(`nobody is called ${entry.animalId}`);
  return kindOf(entry.type).check?.(entry, facts, book)?.code;
};
const birth = (animalId: string, on: string, change: object = {}): CheckedEntry => ({
  type: 'birth',
  animalId,
  day: day(on),
  at: undefined,
  alive: 1,
  dead: 0,
  ease: 'alone',
  species: undefined,
  reason: undefined,
  ...change,
});

describe('a birth', () => {
  it.each([
    ['in its time', birth('doe', '2026-11-17'), undefined], // day 150
    ['of a male', birth('buck', '2026-11-17'), 'gives-no-birth'],
    ['of nobody', birth('doe', '2026-11-17', { alive: 0 }), 'nobody-born'],
    [
      'with more described as dead than counted',
      birth('doe', '2026-11-17', { deadYoung: [{}] }),
      'more-dead-than-told',
    ],
    ['at an hour of another day', birth('doe', '2026-11-17', { at: '2026-11-18T00:10' }), 'time-of-other-day'],
    ['a second time within three days', birth('mother', '2026-11-13'), 'birth-known'],
    ['far too early', birth('doe', '2026-09-01'), 'birth-questioned'],
    ['far too early, with a reason', birth('doe', '2026-09-01', { reason: 'slipped' }), undefined],
    ['a month after the last', birth('mother', '2026-12-10'), 'birth-questioned'],
  ])('%s', (_, entry, refusal) => expect(code(entry)).toBe(refusal));

  it('is asked about by all the book knows of the dam', () => {
    const early = { on: day('2026-09-01'), alive: 1, dead: 0, species: 'sheep' as const };
    expect(questionsOf(early, doe, book).map((q) => q.code)).toEqual(['other-species', 'too-early']);
  });
});

describe('what follows a birth', () => {
  it.each([
    ['an afterbirth soon after', { type: 'afterbirth', animalId: 'mother', day: day('2026-11-11') }, undefined],
    ['an afterbirth long after', { type: 'afterbirth', animalId: 'mother', day: day('2026-12-20') }, 'no-birth-before'],
    [
      'an afterbirth of one that never gave birth',
      { type: 'afterbirth', animalId: 'doe', day: day('2026-11-17') },
      'no-birth-before',
    ],
    ['a pen long after', { type: 'pen-stage', animalId: 'mother', day: day('2026-12-20') }, undefined],
    ['a pen of a male', { type: 'pen-stage', animalId: 'buck', day: day('2026-11-17') }, 'gives-no-birth'],
    [
      'first milk in the first days',
      { type: 'colostrum', animalId: 'kid', day: day('2026-11-10'), at: '2026-11-10T08:00' },
      undefined,
    ],
    [
      'first milk of an old one',
      { type: 'colostrum', animalId: 'kid', day: day('2026-11-14'), at: '2026-11-14T08:00' },
      'too-old-for-colostrum',
    ],
    [
      'first milk without a birth date',
      { type: 'colostrum', animalId: 'ageless', day: day('2026-11-14'), at: '2026-11-14T08:00' },
      'no-age',
    ],
    ['a fostering', { type: 'fostering', animalId: 'kid', day: day('2026-11-12'), damId: 'doe' }, undefined],
    ['rearing by hand', { type: 'fostering', animalId: 'kid', day: day('2026-11-12'), damId: undefined }, undefined],
    [
      'a fostering to a male',
      { type: 'fostering', animalId: 'kid', day: day('2026-11-12'), damId: 'buck' },
      'gives-no-birth',
    ],
    [
      'a fostering to itself',
      { type: 'fostering', animalId: 'kid', day: day('2026-11-12'), damId: 'kid' },
      'own-mother',
    ],
    [
      'a fostering to one that was sold',
      { type: 'fostering', animalId: 'kid', day: day('2026-11-12'), damId: 'sold' },
      'dam-gone',
    ],
    [
      'a fostering after weaning',
      { type: 'fostering', animalId: 'weaned', day: day('2026-11-12'), damId: 'doe' },
      'already-weaned',
    ],
    ['a weaning', { type: 'weaning', animalId: 'kid', day: day('2026-12-30'), isDone: true }, undefined],
    [
      'a weaning twice',
      { type: 'weaning', animalId: 'weaned', day: day('2026-11-12'), isDone: true },
      'already-weaned',
    ],
    [
      'a feed that ends before it begins',
      { type: 'feed', animalId: 'mother', day: day('2026-11-12'), since: '2026-11-12' },
      'ends-before-it-begins',
    ],
  ] as const)('%s', (_, entry, refusal) => expect(code(entry as CheckedEntry)).toBe(refusal));
});
