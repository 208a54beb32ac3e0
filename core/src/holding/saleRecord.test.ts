import type { AnimalFacts, DepartureFact } from '../book';
import { carcass as carcassKind, type CarcassWritten } from '../book/kinds/carcass';
import { finish } from '../book/kinds/finish';
import type { Outlet, PriceList } from '../selling';
import { SPECIES_TABLE } from '../species';
import { anAnimal, day, reading } from '../tests/builders';
import { fatGroupOf } from './forSale';
import { gradedPairs, habitsAt, killedHead, saleDifference, saleRecord, type SaleRecord } from './saleRecord';

const { sheep } = SPECIES_TABLE;
const at = (on: string) => ({ entryId: on, on: day(on), writtenBy: 'Ayla', jobId: undefined }) as never;

interface Life {
  readonly feels?: readonly (readonly [on: string, shape: number | undefined, fat: number | undefined])[];
  readonly left?: Partial<DepartureFact> & { readonly iso?: string };
  readonly back?: CarcassWritten & { readonly iso?: string };
}
function aSale({ feels = [], left, back }: Life, id = 'lamb'): AnimalFacts {
  const facts = anAnimal(id, { sex: 'male', bornOn: day('2026-04-10') });
  for (const [on, shape, fat] of feels)
    facts.finishes.push(finish.fact({ shape, fat: fat === undefined ? {} : { loin: fat } } as never, at(on)));
  const { iso = '2026-11-10', ...more } = left ?? {};
  if (left) facts.departures.push({ how: 'slaughtered', outletId: 'bridge', ...more, ...(at(iso) as object) } as never);
  const { iso: on = '2026-11-11', ...found } = back ?? { carcassKg: 0 };
  if (back) facts.carcasses.push(carcassKind.fact(found as never, at(on)));
  return facts;
}
const recordOf = (life: Life, id?: string): SaleRecord => saleRecord(aSale(life, id)) as SaleRecord;
const list = (change: Partial<PriceList> = {}): PriceList =>
  ({ from: day('2026-01-01'), baseMinor: 600, bands: [], ...change }) as PriceList;
const outlet = (change: Partial<Outlet> = {}): Outlet =>
  ({
    id: 'bridge',
    payBy: 'carcass-kg',
    prices: [list()],
    shrinkShare: 0,
    commissionShare: 0,
    headMinor: 200,
    tripMinor: 0,
    least: 1,
    most: undefined,
    box: {},
    leastChance: 0.7,
    ...change,
  }) as Outlet;
const nothing = { pairs: { shape: [], fat: [] }, killed: [], group: 'middle' as const };

describe('a sale', () => {
  it('is that of one sold or killed, at the outlet it left for or its result names', () => {
    expect(saleRecord(aSale({}))).toBeUndefined();
    expect(saleRecord(aSale({ left: { how: 'died' } }))).toBeUndefined();
    expect(recordOf({ left: {} }).outletId).toBe('bridge');
    expect(recordOf({ left: { outletId: undefined }, back: { carcassKg: 20, outletId: 'hill' } }).outletId).toBe(
      'hill',
    );
  });

  it('says of killing-out what it weighed alive for the sale, else its last weight before', () => {
    const back = { carcassKg: 20.24 };
    expect(killedHead(recordOf({ left: { kg: 44 }, back }), [], sheep)).toEqual({
      kind: 'lamb',
      carcassKg: 20.24,
      liveKg: 44,
      daysBefore: 1,
    });
    const weighed = [reading('2026-11-07', 43), reading('2026-11-20', 50)];
    expect(killedHead(recordOf({ left: {}, back }), weighed, sheep)).toMatchObject({ liveKg: 43, daysBefore: 4 });
    expect(killedHead(recordOf({ left: {} }), weighed, sheep)).toBeUndefined();
    expect(killedHead(recordOf({ left: {}, back }), [], sheep)).toBeUndefined();
  });
});

describe('the grader against the own hand', () => {
  const pairsOf = (...lives: Life[]) =>
    gradedPairs(
      lives.map((life, i) => recordOf(life, String(i))),
      sheep,
      () => 'middle',
    );

  it('is held against the last feel, the fat carried on to the day it was graded', () => {
    // Fat 6 felt on 21 Oct lays on a third in 21 days: 7 on 11 Nov, graded 9.
    const { shape, fat } = pairsOf({
      feels: [['2026-10-21', 8, 6]],
      left: {},
      back: { carcassKg: 20, shape: 7, fat: 9 },
    });
    expect(shape).toEqual([{ outletId: 'bridge', breedGroup: 'middle', difference: -1 }]);
    expect(fat[0]?.difference).toBeCloseTo(2, 10);
  });

  it('is not held against a hand of longer ago than 42 days, nor where one of them said nothing', () => {
    const back = { carcassKg: 20, shape: 7, fat: 9 };
    expect(pairsOf({ feels: [['2026-09-28', 8, 6]], left: {}, back })).toEqual({ shape: [], fat: [] });
    expect(pairsOf({ feels: [['2026-09-29', 8, undefined]], left: {}, back }).shape).toHaveLength(1);
    expect(pairsOf({ left: {}, back })).toEqual({ shape: [], fat: [] });
    expect(pairsOf({ feels: [['2026-11-01', 8, 6]], left: { outletId: undefined }, back }).shape).toEqual([]);
  });

  it('gives a habit that is believed by half from five pairs on', () => {
    const life = { feels: [['2026-11-10', 8, 6]] as const, left: {}, back: { carcassKg: 20, shape: 7 } };
    const { shape, fat } = habitsAt(pairsOf(life, life, life, life, life), 'bridge', undefined);
    expect(shape).toMatchObject({ pairs: 5, mean: -1, used: -0.5 });
    expect(fat).toMatchObject({ pairs: 0, used: 0 });
  });
});

it('goes by the breed group of the holding’s own list, else by what is usual of the species', () => {
  const settings = { ...sheep, breeds: [{ name: 'Hill white', fatGroup: 'late' as const }] };
  expect(fatGroupOf({ strain: 'hill  White' }, settings)).toBe('late');
  expect(fatGroupOf({ strain: 'Plain red' }, settings)).toBe('middle');
  expect(fatGroupOf({ strain: undefined }, settings)).toBe('middle');
});

describe('paid against expected', () => {
  const daily = [reading('2026-11-03', 42), reading('2026-11-10', 44)];

  it('holds the last estimate at the prices of its day against what was paid, charges off', () => {
    const prices = [list(), list({ from: day('2026-11-11'), baseMinor: 610 })];
    const record = recordOf({ left: { kg: 45 }, back: { carcassKg: 20.25, priceMinor: 12_353, deductedMinor: 250 } });
    // 44 kg at .46 and 6.00, less 2.00: 119.44. 45 kg: 122.20. At .45: 119.50. Paid 123.53, 2.00 off: 121.53.
    expect(saleDifference(record, outlet({ prices }), sheep, { ...nothing, daily })).toEqual({
      expectedMinor: 11_944,
      paidMinor: 12_103,
      weightMinor: 276,
      killingOutMinor: -270,
      classMinor: undefined,
      priceMinor: 203,
      chargesMinor: -50,
    });
  });

  it('takes the outlet’s charges where they were not said, and the commission of one sold alive', () => {
    const alive = outlet({ payBy: 'live-kg', prices: [list({ baseMinor: 300 })], commissionShare: 0.05 });
    // 44 kg at 3.00 is 132.00; 5 % and 2.00 off: 123.40. Paid 133.00: 124.35.
    expect(
      saleDifference(recordOf({ left: { how: 'sold', kg: 44, priceMinor: 13_300 } }), alive, sheep, {
        ...nothing,
        daily,
      }),
    ).toMatchObject({ expectedMinor: 12_340, paidMinor: 12_435, weightMinor: 0, priceMinor: 95, chargesMinor: 0 });
  });

  it('knows nothing until it is paid, of one never weighed, or on a day without a price', () => {
    const paid = recordOf({ left: {}, back: { carcassKg: 20, priceMinor: 12_000 } });
    const known = { ...nothing, daily };
    expect(saleDifference(recordOf({ left: {}, back: { carcassKg: 20 } }), outlet(), sheep, known)).toBeUndefined();
    expect(saleDifference(paid, outlet(), sheep, { ...known, daily: [] })).toBeUndefined();
    expect(saleDifference(paid, outlet({ prices: [list({ from: day('2026-12-01') })] }), sheep, known)).toBeUndefined();
    expect(saleDifference(paid, outlet(), sheep, known)).toBeDefined();
  });
});
