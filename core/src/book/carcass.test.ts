import { dayOf } from '../calendar';
import { SPECIES_TABLE } from '../species';
import type { BookView } from './bookView';
import { emptyFacts } from './factLists';
import type { AnimalFacts } from './facts';
import { carcass } from './kinds/carcass';
import { departure, type DepartureWritten } from './kinds/departure';

const stamp = { entryId: 'e', on: dayOf('2026-11-10'), jobId: undefined } as never;
const book = { settings: () => SPECIES_TABLE.sheep } as unknown as BookView;
const written = { id: 'c', animalId: 'lamb', on: '', writtenBy: 'Ayla', carcassKg: 20.4 } as const;

function aLamb(left?: DepartureWritten): AnimalFacts {
  const facts = emptyFacts({ id: 'lamb', species: 'sheep' } as never);
  if (left) facts.departures.push(departure.fact(left as never, stamp));
  return facts;
}
const refused = (facts: AnimalFacts, on = '2026-11-11', change: object = {}) =>
  carcass.check?.({ ...written, ...change, day: dayOf(on) } as never, facts, book);
const killed: DepartureWritten = { how: 'slaughtered', kg: 44 };

it('is that of one that left to be killed, on the day it left or within sixty days', () => {
  expect(refused(aLamb(killed), '2026-11-10')).toBeUndefined();
  expect(refused(aLamb({ how: 'sold' }), '2027-01-09')).toBeUndefined();
  expect(refused(aLamb(killed), '2026-11-09')).toMatchObject({
    code: 'result-of-another-time',
    goneOn: '2026-11-10',
  });
  expect(refused(aLamb(killed), '2027-01-10')?.code).toBe('result-of-another-time');
});

it.each<[string, DepartureWritten | undefined, object | undefined]>([
  ['one that is still here', undefined, undefined],
  ['one that died', { how: 'died' }, { how: 'died', on: '2026-11-10' }],
  ['one that was lost', { how: 'lost' }, { how: 'lost', on: '2026-11-10' }],
])('is not that of %s', (_, written, left) => {
  expect(refused(aLamb(written))).toMatchObject({ code: 'not-killed', left });
});

it('is there once', () => {
  const facts = aLamb(killed);
  facts.carcasses.push(carcass.fact(written as never, stamp));
  expect(refused(facts)).toMatchObject({ code: 'carcass-known', on: '2026-11-10' });
});

it.each<[object, string]>([
  [{ carcassKg: 0 }, 'weight-not-positive'],
  [{ carcassKg: 44 }, 'carcass-over-live'],
  [{ carcassKg: 2_000 }, 'weight-too-high'],
  [{ shape: 16 }, 'not-a-class'],
  [{ fat: 2.5 }, 'not-a-class'],
  [{ priceMinor: 100, deductedMinor: 101 }, 'deducted-over-price'],
])('refuses %j', (change, code) => {
  expect(refused(aLamb(killed), undefined, change)?.code).toBe(code);
});
