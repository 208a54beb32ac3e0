import { addDays, dayOf, isoOf } from '../calendar';
import { SPECIES_TABLE } from '../species';
import { firstFigures, type JustKnown } from './firstFigures';

const TODAY = dayOf('2026-11-23');
const one = (animalId: string, change: Partial<JustKnown> = {}): JustKnown => ({
  animalId,
  species: 'sheep',
  sex: 'female',
  bornOn: dayOf('2022-03-01'),
  kg: undefined,
  ...change,
});
const of = (...animals: JustKnown[]) => firstFigures(animals, SPECIES_TABLE, TODAY);

it('has nothing to say of an empty book, nor of males alone', () => {
  expect(of()).toEqual([]);
  expect(of(one('ram', { sex: 'male', kg: 90 }))).toEqual([]);
});

it('gives the mean of the grown females with its uncertainty, and who is lightest and heaviest', () => {
  // Mean of 60, 62 and 70 is 64; sd 5.292, over root 3 is 3.055; t of 2 degrees at 80 % is 1.886: 5.76.
  const [weights] = of(
    one('a', { kg: 60 }),
    one('b', { kg: 70 }),
    one('c', { kg: 62 }),
    one('ram', { sex: 'male', kg: 99 }),
  );
  expect(weights).toMatchObject({
    kind: 'weights',
    weighed: 3,
    meanKg: 64,
    lightest: { animalId: 'a', kg: 60 },
    heaviest: { animalId: 'b', kg: 70 },
  });
  expect(weights?.kind === 'weights' && weights.halfWidth).toBeCloseTo(5.76, 2);
});

it('says nothing of a mean of two, and leaves the young out of that of the grown', () => {
  const lamb = one('lamb', { bornOn: dayOf('2026-09-01'), kg: 20 });
  expect(of(one('a', { kg: 60 }), one('b', { kg: 62 }), lamb).map((f) => f.kind)).not.toContain('weights');
});

it('says when births would be if a male went in today, by how long he stays', () => {
  // Ewes: 142 days to the first, two heats of 17 days and 152 to the last.
  expect(of(one('a'), one('b', { bornOn: undefined }))).toEqual([
    {
      kind: 'births',
      species: 'sheep',
      females: 2,
      from: addDays(TODAY, 142),
      to: addDays(TODAY, 34 + 152),
      stays: 34,
    },
  ]);
  // Does: the mating brings the heat on, one day does.
  const [does] = of(one('d', { species: 'rabbit' }));
  expect(does).toMatchObject({ stays: 0, from: addDays(TODAY, 29), to: addDays(TODAY, 33) });
});

it('says when the first of the young females is old enough to be mated, and how heavy she should be then', () => {
  const ewes = [60, 62, 70].map((kg, i) => one(`ewe ${i}`, { kg }));
  const lambs = ['2026-09-01', '2026-10-01'].map((born) => one(born, { bornOn: dayOf(born) }));
  const young = of(...ewes, ...lambs).find((f) => f.kind === 'first-mating');
  expect(young).toMatchObject({ young: 2, leastKg: expect.closeTo(64 * 0.65, 6) });
  // 215 days after the first of September.
  expect(young?.kind === 'first-mating' && isoOf(young.on)).toBe('2027-04-04');
  expect(of(...lambs).find((f) => f.kind === 'first-mating')).toMatchObject({ leastKg: undefined });
});
