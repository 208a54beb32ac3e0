import { SPECIES_TABLE } from '@yaylak/core';
import type { DamView } from '@yaylak/contract';
import { aTag } from '../../tests/builders';
import {
  aBirth,
  birthEntries,
  birthWeightDoubts,
  countsOf,
  sureSire,
  type BirthTyped,
  type YoungTyped,
} from './birthDraft';

const EWE: DamView = {
  tag: aTag('22-0001'),
  species: 'sheep',
  young: 2,
  sires: [{ tag: aTag('R-1'), probability: 0.94 }],
  otherSire: null,
  groupId: 'g1',
  rears: 0,
  questions: [],
};
const young = (change: Partial<YoungTyped> = {}): YoungTyped => ({
  key: 'k',
  sex: 'female',
  isDead: false,
  weight: '',
  hasSucked: false,
  ...change,
});
const birth = (change: Partial<BirthTyped> = {}): BirthTyped => ({ ...aBirth('2026-11-23', '06:10'), ...change });
const made = (change: Partial<BirthTyped>, isByCount = false, dam = EWE) =>
  birthEntries(birth(change), { dam, unit: 'kg', isByCount, species: dam.species });

it('writes the birth, each live young with her as its dam, its weight and its first milk', () => {
  const twins = [
    young({ weight: '4,2', hasSucked: true }),
    young({ sex: 'male', isDead: true, weight: '5.1' }),
    young({ sex: 'male' }),
  ];
  const entries = made({ young: twins, sireId: 'r', ease: 'eased', afterbirth: 'waiting', reason: 'long' });
  if (typeof entries === 'string') throw new Error(entries);
  expect(entries.map((e) => e.type)).toEqual(['birth', 'arrival', 'move', 'weight', 'colostrum', 'arrival', 'move']);
  expect(entries[0]).toMatchObject({
    animalId: EWE.tag.animalId,
    at: '2026-11-23T06:10',
    alive: 2,
    dead: 1,
    deadYoung: [{ sex: 'male', kg: 5.1 }],
    ease: 'eased',
    afterbirth: 'waiting',
    species: 'sheep',
    reason: 'long',
  });
  expect(entries[1]).toMatchObject({ how: 'born', damId: EWE.tag.animalId, sireId: 'r', birthType: 3 });
  expect(entries[3]).toMatchObject({ kg: 4.2, method: 'scale' });
  expect(entries[4]).toMatchObject({ at: '2026-11-23T06:10', how: 'sucked' });
  const ids = entries.map((e) => ('animalId' in e ? e.animalId : ''));
  expect(new Set(ids)).toEqual(new Set([EWE.tag.animalId, ids[1], ids[5]]));
});

it.each([
  ['465', 0],
  ['1,4', 1],
  ['14500', 1],
])('a litter of eight kits of %s g is asked about %d times', (together, times) => {
  const doe = { ...EWE, species: 'rabbit' as const, groupId: null };
  const entries = made({ alive: '8', dead: '1', together }, true, doe);
  if (typeof entries === 'string') throw new Error(entries);
  const doubts = birthWeightDoubts(entries, { species: 'rabbit', unit: 'kg', settings: SPECIES_TABLE.rabbit });
  expect(doubts).toHaveLength(times);
});

it('counts a litter of rabbits, weighed together in grams', () => {
  const doe = { ...EWE, species: 'rabbit' as const, groupId: null };
  const entries = made({ alive: '8', dead: '1', together: '465' }, true, doe);
  if (typeof entries === 'string') throw new Error(entries);
  expect(entries.map((e) => e.type)).toEqual(['birth', 'litter-weight', ...Array<string>(8).fill('arrival')]);
  expect(entries[0]).toMatchObject({ alive: 8, dead: 1, litterKg: 0.465 });
  expect(entries[1]).toMatchObject({ totalKg: 0.465, count: 8 });
});

it.each([
  [{}, 'Nobody yet: press Female, Male or Dead for each that was born.'],
  [{ young: [young({ weight: 'x' })] }, '“x” is not a weight. Type what the scale says in kg, or leave it out.'],
  [{ young: [young()], hour: '25:00' }, 'At: give the hour as 06:10, or leave it out.'],
])('says what is missing', (change, words) => {
  expect(made(change)).toBe(words);
});

it('leaves first milk out where the hour is not known', () => {
  const entries = made({ young: [young({ hasSucked: true })], hour: '' });
  expect(typeof entries === 'string' ? [] : entries.map((e) => e.type)).toEqual(['birth', 'arrival', 'move']);
});

it('counts by keys or as typed, and takes a sire that is all but sure', () => {
  expect(countsOf(birth({ alive: 'eight' }), true)).toBeUndefined();
  expect(sureSire(EWE)).toBe(EWE.sires[0]?.tag.animalId);
  expect(sureSire({ sires: [{ tag: aTag('R-1'), probability: 0.6 }] })).toBe('');
});
