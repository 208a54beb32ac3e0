import type { WithParents } from '../pedigree';
import { breedingValues, reliabilityWord, type BreedingQuestion, type TraitRecord } from './breedingValues';
import { geneticTrend } from './geneticTrend';
import { moneyIndex, pointsIndex, type IndexTrait } from './valueIndex';

const of = (id: string, sireId?: string, damId?: string): WithParents => ({ id, sireId, damId });

/** Two sires with twenty young each of dams without kin, in two groups; those of the first sire and group weigh more. */
const young = Array.from({ length: 40 }, (_, i) => of(`y${i}`, i % 2 === 0 ? 's1' : 's2', `d${i}`));
const animals = [of('s1'), of('s2'), ...young.map((y) => of(y.damId ?? '')), ...young, of('alone')];
const records = young.map(({ id }, i): TraitRecord => ({
  animalId: id,
  value: 30 + (i % 2 === 0 ? 2 : 0) + (i < 20 ? 5 : 0) + ((i * 7) % 5) / 2,
  effects: [i < 20 ? 'high field' : 'low field'],
}));
const ask = (change: Partial<BreedingQuestion> = {}) =>
  breedingValues({
    animals,
    records,
    shares: { heritability: 0.25, other: 0 },
    base: new Set(young.map((y) => y.id)),
    ...change,
  });
const valuesOf = (answer: ReturnType<typeof ask>) => {
  if (answer.kind !== 'values') throw new Error(answer.kind);
  return answer;
};

it('tells the better sire, holds the group against it, and has the base animals’ mean at 0', () => {
  const { of: values, baseLevel } = valuesOf(ask());
  expect(values.get('s1')?.value).toBeGreaterThan(values.get('s2')?.value ?? Infinity);
  const base = young.map((y) => values.get(y.id)?.value ?? NaN);
  expect(base.reduce((s, v) => s + v, 0)).toBeCloseTo(0, 9);
  expect(baseLevel).toBeGreaterThan(30);
  // Of the high field each record stands above the mean of all by the field's own effect as well: it is taken off.
  expect(values.get('y0')?.parts.group).toBeLessThan(0);
  expect(values.get('y20')?.parts.group).toBeGreaterThan(0);
});

it('has parts that add up, and of one without a record nothing but kin', () => {
  const { of: values } = valuesOf(ask());
  for (const { value, parts } of values.values()) expect(parts.own + parts.group + parts.kin).toBeCloseTo(value, 10);
  expect(values.get('s1')).toMatchObject({ records: 0, parts: { own: 0, group: 0 } });
});

it('knows nothing of an animal without records and kin, and more of a sire of twenty than of his young', () => {
  const { of: values } = valuesOf(ask());
  const reliability = (id: string): number => values.get(id)?.reliability ?? NaN;
  expect(reliability('alone')).toBeCloseTo(0, 9);
  expect(reliability('s1')).toBeGreaterThan(reliability('y0'));
  expect([0.1, 0.2, 0.5, 0.51].map(reliabilityWord)).toEqual(['guess', 'fair', 'fair', 'good']);
});

it('shows nothing of fewer than 30 records, of records that are all the same, and of a loop', () => {
  expect(ask({ records: records.slice(0, 29) })).toEqual({ kind: 'too-few', records: 29, needed: 30 });
  expect(ask({ records: records.map((r) => ({ ...r, value: 0 })) })).toEqual({ kind: 'no-spread' });
  expect(ask({ animals: [...animals, of('a', 'b'), of('b', 'a')] })).toMatchObject({ kind: 'loop', ids: ['a', 'b'] });
});

it('leaves out records of animals it was not given', () => {
  const stranger = { animalId: 'nobody', value: 900, effects: ['high field'] };
  expect(valuesOf(ask({ records: [...records, stranger] })).of.get('s1')).toEqual(valuesOf(ask()).of.get('s1'));
});

describe('an index', () => {
  const trait = (change: Partial<IndexTrait> = {}): IndexTrait => ({
    value: 2,
    predictionErrorVariance: 3,
    geneticVariance: 4,
    weight: 1,
    direction: 'more',
    ...change,
  });
  it('is 50 and ten points a genetic SD, by weight; less is better where that is said', () => {
    // 10 x (3 x 2 / 2 - 1 x 1 / 0.5) / 4 = 2.5; SE 10 x sqrt(9 x 3 / 4 + 1 x 0.5 / 0.25) / 4.
    const index = pointsIndex([
      trait({ weight: 3 }),
      trait({ value: 1, geneticVariance: 0.25, predictionErrorVariance: 0.5, direction: 'less' }),
    ]);
    expect(index?.index).toBeCloseTo(52.5, 10);
    expect(index?.standardError).toBeCloseTo(2.5 * Math.sqrt(6.75 + 2), 10);
    expect(index?.parts.map((p) => Number(p.toFixed(6)))).toEqual([7.5, -5]);
    expect(pointsIndex([trait({ weight: 0 })])).toBeUndefined();
  });
  it('in money is units of currency for a unit', () => {
    expect(moneyIndex([trait({ weight: 4 }), trait({ weight: 10, value: 0.5, direction: 'less' })])).toMatchObject({
      index: 3,
      parts: [8, -5],
      standardError: Math.sqrt(16 * 3 + 100 * 3),
    });
  });
  it('marks down what lies off the aim, and more so where little is known', () => {
    const toAim = (value: number, variance: number) =>
      moneyIndex([
        trait({
          value,
          predictionErrorVariance: variance,
          direction: 'aim',
          baseLevel: 60,
          aim: 62,
          geneticVariance: 9,
        }),
      ]);
    expect(toAim(5, 0).index).toBe(-3);
    expect(toAim(2, 0).index).toBeCloseTo(0, 12);
    // On the aim with an SD of 2: E|X| = 2 sqrt(2 / pi), variance 4 less that squared.
    expect(toAim(2, 4).index).toBeCloseTo(-1.595769, 6);
    expect(toAim(2, 4).standardError).toBeCloseTo(Math.sqrt(4 - 1.595769 ** 2), 5);
    // Three off with an SD of 2: by two million draws of |N(3, 2)| the mean is 3.117.
    expect(toAim(5, 4).index).toBeCloseTo(-3.1172, 3);
  });
});

it('the trend tells what came by dams and by sires, each against the mean of its own year', () => {
  const bred = (id: string, bornIn: number, sireId?: string, damId?: string) => ({ id, bornIn, sireId, damId });
  const herd = [
    bred('s', 2020),
    bred('d1', 2020),
    bred('d2', 2020),
    bred('y1', 2022, 's', 'd1'),
    bred('y2', 2022, 's', 'd1'),
    bred('y3', 2022, undefined, 'd2'),
    bred('unknown', 2022),
  ];
  const values = new Map([['s', 4], ['d1', 1], ['d2', -2], ['y1', 3], ['y2', 2], ['y3', 1]]); // prettier-ignore
  const [first, second] = geneticTrend(herd, values);
  // 2020: 4, 1 and -2 have the mean 1.
  expect(first).toMatchObject({ year: 2020, head: 3, mean: 1, dams: undefined, sires: undefined });
  expect(first?.standardError).toBeCloseTo(3 / Math.sqrt(3), 10);
  expect(second).toMatchObject({ year: 2022, head: 3, mean: 2 });
  // Dams: d1 twice and d2, (1 + 1 - 2) / 3 less 1; their young have the mean 2.
  expect(second?.dams).toMatchObject({ young: 3, superiority: -1, gain: 1 });
  expect(second?.sires).toMatchObject({ young: 2, superiority: 3, gain: 1.5 });
});
