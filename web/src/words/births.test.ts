import type { Entry } from '@yaylak/contract';
import { bornText, departureWords } from './births';
import { entryWords } from './entryWords';

const stamp = { id: 'e', on: '2026-11-23', writtenAt: '', writtenBy: 'Aylin', source: 'hand', animalId: 'a' } as const;
const say = (entry: object, species: 'sheep' | 'rabbit' = 'sheep'): string =>
  entryWords({ ...stamp, ...entry } as Entry, {
    species,
    unit: 'kg',
    currency: 'EUR',
    standards: [],
    nameOf: (id) => (id === 'd2' ? 'Clover' : undefined),
  });

it.each([
  [{ type: 'birth', alive: 2, dead: 0, ease: 'alone' }, 'Gave birth to 2 lambs alive: unassisted'],
  [
    {
      type: 'birth',
      at: '2026-11-23T06:10',
      alive: 1,
      dead: 1,
      ease: 'pulled-hard',
      presentation: 'leg-back',
      help: 'leg found',
      mothering: 'slow',
      afterbirth: 'waiting',
      reason: 'lay too long',
    },
    'Gave birth to 1 lamb alive and 1 dead: at 06:10, hard pull, a leg back, leg found, slow to take them, afterbirth not yet (queried: lay too long)',
  ],
  [{ type: 'afterbirth', state: 'retained' }, 'Afterbirth held back'],
  [{ type: 'colostrum', at: '2026-11-23T07:00', how: 'tube' }, 'Colostrum at 07:00, by stomach tube'],
  [{ type: 'fostering', damId: 'd2', reason: 'no milk' }, 'Put under Clover (no milk)'],
  [{ type: 'fostering', damId: 'd3' }, 'Put under another dam'],
  [{ type: 'fostering' }, 'Reared by hand'],
  [{ type: 'weaning', isDone: true }, 'Weaned'],
  [{ type: 'weaning', isDone: false }, 'Weaned off milk, first step'],
  [{ type: 'pen-stage', stage: 'mixing', pen: '3' }, 'With her young to the mixing pen 3'],
  [
    { type: 'feed', feed: 'Plain pellet', kg: 12.5, since: '2026-11-01', priceMinor: 1690 },
    'Ate 12.5\u00a0kg of Plain pellet since 1 Nov',
  ],
  [{ type: 'departure', how: 'died', cause: 'cold', reason: 'found at dawn' }, 'Left: died (cold, found at dawn)'],
])('says %j in a line', (entry, words) => expect(say(entry)).toBe(words));

it('says a litter in its weight unit', () => {
  expect(say({ type: 'birth', alive: 8, dead: 0, ease: 'alone', litterKg: 0.465 }, 'rabbit')).toBe(
    'Gave birth to 8 kits alive: unassisted, 465\u00a0g together',
  );
});

it.each([
  [1, 0, '1 kid alive'],
  [2, 1, '2 kids alive and 1 dead'],
  [0, 2, '2 kids dead'],
])('says %i alive and %i dead', (alive, dead, words) => expect(bornText(alive, dead, 'goat')).toBe(words));

it('leaves out what was not said of a leaving', () => {
  expect(
    departureWords({ ...stamp, type: 'departure', how: 'sold' }, { unit: 'kg', currency: 'EUR', species: 'sheep' }),
  ).toBe('Left: sold');
  expect(
    departureWords(
      {
        ...stamp,
        type: 'departure',
        how: 'slaughtered',
        buyer: 'Stone bridge',
        kg: 44.5,
        priceMinor: 11_000,
        haulageMinor: 250,
      },
      { unit: 'kg', currency: 'EUR', species: 'sheep' },
    ).replace(/\s/g, ' '),
  ).toBe('Left: slaughtered (to Stone bridge, at 44.5 kg, for 110.00 EUR, haulage 2.50 EUR)');
});
