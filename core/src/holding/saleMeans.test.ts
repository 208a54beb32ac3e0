import type { DepartureFact } from '../book';
import { anAnimal, day } from '../tests/builders';
import { saleMeans } from './saleMeans';
import type { SaleRecord } from './saleRecord';

const today = day('2026-11-30');
const sale = (minor: number, on = '2026-10-01', born: string | null = '2026-04-01', sex: 'male' | 'female' = 'female') => ({
  netMinor: minor,
  record: {
    facts: anAnimal('one', { sex, bornOn: born === null ? undefined : day(born) }),
    left: { how: 'sold', on: day(on) } as DepartureFact,
    carcass: undefined,
    outletId: undefined,
  } satisfies SaleRecord,
}); // prettier-ignore
const grown = (minor: number, on?: string, sex?: 'male' | 'female') => sale(minor, on, '2021-04-01', sex);

it('has the mean of young and of grown females with SD / sqrt(n), from five sales on', () => {
  const young = [9_000, 10_000, 11_000, 12_000, 8_000].map((m) => sale(m));
  // Mean 10000; squares 1, 0, 1, 4, 4 million, / 4 = 2.5 million, / 5.
  expect(saleMeans(young, today)).toEqual({
    young: { minor: 10_000, standardError: Math.sqrt(500_000), heads: 5 },
    cull: undefined,
  });
  expect(saleMeans(young.slice(1), today).young).toBeUndefined();
});

it('counts neither grown males nor what is older than three years, and an unknown age as grown', () => {
  const four = [1, 2, 3, 4].map(() => grown(6_000));
  const cull = (more: ReturnType<typeof sale>) => saleMeans([...four, more], today).cull?.heads;
  expect(cull(grown(6_000, '2026-10-01', 'male'))).toBeUndefined();
  expect(cull(grown(6_000, '2023-11-30'))).toBeUndefined();
  expect(cull(grown(6_000, '2023-12-02'))).toBe(5);
  expect(cull(sale(6_000, '2026-10-01', null))).toBe(5);
});
