import type { AnimalFacts, DepartureFact } from '../book';
import { SPECIES_TABLE } from '../species';
import { anAnimal, day } from '../tests/builders';
import { comingFemales, femaleSeen, herdTable, parentAgeYears } from './herdAges';

const today = day('2026-11-30');
const { choosing } = SPECIES_TABLE.sheep;
const left = (facts: AnimalFacts, how: 'died' | 'sold', on: string): AnimalFacts => ({
  ...facts,
  departures: [{ how, on: day(on) } as DepartureFact],
});

describe('a female as her years in the herd are counted', () => {
  const ewe = anAnimal('ewe', { bornOn: day('2024-02-29') });

  it('is in it from the age of the first mating on, or since she came when older', () => {
    expect(femaleSeen(ewe, [], { ...choosing, matedAtYears: 1 })?.bredFrom).toBe(day('2025-02-28'));
    expect(femaleSeen(ewe, [], { ...choosing, matedAtYears: 2 })?.bredFrom).toBe(day('2026-02-28'));
    const bought = (on: string) => femaleSeen({ ...ewe, arrivedOn: day(on) }, [], choosing)?.bredFrom;
    expect(bought('2026-05-01')).toBe(day('2026-05-01'));
    expect(bought('2024-05-01')).toBe(day('2025-02-28'));
    expect(femaleSeen(anAnimal('unknown'), [], choosing)).toBeUndefined();
  });

  it('has her own daughters of known birth, and the day one died', () => {
    const born = day('2026-03-01');
    const young = [
      anAnimal('here', { bornOn: born, damId: 'ewe' }),
      left(anAnimal('dead', { bornOn: born, damId: 'ewe' }), 'died', '2026-04-01'),
      left(anAnimal('sold', { bornOn: born, damId: 'ewe' }), 'sold', '2026-09-01'),
      anAnimal('son', { bornOn: born, damId: 'ewe', sex: 'male' }),
      anAnimal('carried for another', { bornOn: born, damId: 'other', donorId: 'ewe' }),
      anAnimal('of no date', { damId: 'ewe' }),
    ];
    expect(femaleSeen(ewe, young, choosing)?.daughters).toEqual([
      { bornOn: born, diedOn: undefined },
      { bornOn: born, diedOn: day('2026-04-01') },
      { bornOn: born, diedOn: undefined },
    ]);
  });

  it('left by death or otherwise', () => {
    expect(femaleSeen(left(ewe, 'died', '2026-10-01'), [], choosing)).toMatchObject({ hasDied: true });
    expect(femaleSeen(left(ewe, 'sold', '2026-10-01'), [], choosing)).toMatchObject({
      hasDied: false,
      leftOn: day('2026-10-01'),
    });
  });
});

it('counts as coming the females here under the age of the first mating that are not to go', () => {
  const lamb = anAnimal('lamb', { bornOn: day('2025-12-01') });
  const toGo: AnimalFacts = {
    ...lamb,
    choices: [{ decision: 'cull', on: day('2026-11-01') } as AnimalFacts['choices'][number]],
  };
  const of = (...animals: AnimalFacts[]) => comingFemales(animals, choosing, today).length;
  expect(of(lamb)).toBe(1);
  // One year old today: in the herd, and counted there.
  expect(of(anAnimal('of age', { bornOn: day('2025-11-30') }))).toBe(0);
  expect(of(anAnimal('ram', { bornOn: day('2025-12-01'), sex: 'male' }), anAnimal('no date'))).toBe(0);
  expect(of(toGo, left(lamb, 'sold', '2026-11-01'))).toBe(0);
});

it('lets daughters of the table follow what is reared at each age', () => {
  const table = herdTable({
    ...choosing,
    matedAtYears: 1,
    rearedByAge: [0.5, 0.8, 1, 0.6],
    culledByAge: [0.1, 0.2],
    daughtersAYear: 0.6,
    diesShare: 0.03,
  });
  // The usual year rears (0.8 + 1 + 0.6) / 3 = 0.8.
  expect(table(2).young).toBeCloseTo(0.75, 12);
  expect(table(9)).toEqual({ died: 0.03, culled: 0.2, young: expect.closeTo(0.45, 12) as number });
});

it('has the mean age of those parents whose birth is known, and none without any', () => {
  const crop = [
    anAnimal('a', { bornOn: day('2026-03-01'), sireId: 'old' }),
    anAnimal('b', { bornOn: day('2026-03-01'), sireId: 'young' }),
    anAnimal('c', { bornOn: day('2026-03-01'), sireId: 'unknown' }),
    anAnimal('d', { bornOn: day('2026-03-01') }),
  ];
  const bornOn = (id: string) => ({ old: day('2022-03-01'), young: day('2024-03-01') })[id];
  expect(parentAgeYears(crop, 'sireId', bornOn)).toBeCloseTo(3, 2);
  expect(parentAgeYears(crop.slice(2), 'sireId', bornOn)).toBeUndefined();
});
