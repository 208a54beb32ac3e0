import fc from 'fast-check';
import { day } from '../tests/builders';
import {
  breakevenGain,
  exactValue,
  expectedValue,
  marginalPerKg,
  priceFault,
  pricesOn,
  stepChances,
  type ClassChances,
  type Grid,
  type Outlet,
  type PriceList,
} from '.';

const outlet: Pick<Outlet, 'payBy' | 'shrinkShare' | 'commissionShare' | 'headMinor'> = {
  payBy: 'live-kg',
  shrinkShare: 0.04,
  commissionShare: 0.03,
  headMinor: 250,
};
const prices = (change: Partial<PriceList> = {}): PriceList => ({
  from: day('2026-01-01'),
  baseMinor: 300,
  bands: [],
  ...change,
});
const sure = (step: number): number[] => Array.from({ length: 15 }, (_, i) => (i + 1 === step ? 1 : 0));
/** Ten more for each shape class over R, ten less for each fat class over 3. */
const grid: Grid = {
  shape: 'whole',
  fat: 'whole',
  cellsAre: 'adjustment',
  cells: [-2, -1, 0, 1, 2].map((s) => [0, 0, 0, -1, -2].map((f) => 10 * (s + f))),
};
const dead = (payBy: Outlet['payBy']) => ({ ...outlet, payBy });
const lamb = (kg: number, sd = 0, classes?: ClassChances) => ({ weight: { kg, sd }, killingOut: 0.46, classes });

describe('what one brings', () => {
  it('alive by weight: what is lost on the way, commission and charges are off', () => {
    // 44 x .96 x 3.00 x .97 - 2.50 = 120.41.
    expect(expectedValue(lamb(44, 1.5), outlet, prices())).toBeCloseTo(44 * 0.96 * 300 * 0.97 - 250, 9);
  });

  it('by the head: the weight does not matter', () => {
    expect(expectedValue(lamb(44), dead('live-head'), prices({ baseMinor: 11_000 }))).toBeCloseTo(
      11_000 * 0.97 - 250,
      9,
    );
    expect(expectedValue(lamb(44), dead('carcass-head'), prices({ baseMinor: 1_400 }))).toBe(1_150);
  });

  it('dead by weight alone', () => {
    expect(expectedValue(lamb(44, 1), dead('carcass-kg'), prices({ baseMinor: 600 }))).toBeCloseTo(
      44 * 0.46 * 600 - 250,
      6,
    );
  });

  it('dead by class: the mean of the cells by their chances', () => {
    const fat = Array.from({ length: 15 }, (_, i) => (i === 7 || i === 10 ? 0.5 : 0));
    const classes = { shape: sure(8), fat };
    // R, and fat 3 or 4 as likely as not: -5 a kilogram.
    expect(expectedValue(lamb(44, 0, classes), dead('grid'), prices({ baseMinor: 600, grid }))).toBeCloseTo(
      44 * 0.46 * 595 - 250,
      9,
    );
    const ofPrices = { ...grid, cellsAre: 'price' as const, cells: grid.cells.map((r) => r.map((c) => 600 + c)) };
    expect(expectedValue(lamb(44, 0, classes), dead('grid'), prices({ baseMinor: 0, grid: ofPrices }))).toBeCloseTo(
      44 * 0.46 * 595 - 250,
      9,
    );
  });

  it('is not known by class where nothing was felt', () => {
    expect(expectedValue(lamb(44), dead('grid'), prices({ grid }))).toBeUndefined();
  });

  it('pays a band on the whole carcass, nothing for a weight in none, and no kilogram over what is paid', () => {
    const list = prices({ baseMinor: 600, bands: [{ fromKg: 16, toKg: 20, minorPerKg: 30 }], paidUpToKg: 21 });
    const at = (carcass: number) => expectedValue(lamb(carcass / 0.46), dead('carcass-kg'), list);
    expect(at(15.9)).toBeCloseTo(15.9 * 600 - 250, 6);
    expect(at(16)).toBeCloseTo(16 * 630 - 250, 6);
    expect(at(20)).toBeCloseTo(20 * 600 - 250, 6);
    expect(at(23)).toBeCloseTo(21 * 600 - 250, 6);
  });

  it('is the mean over the weights it may have: as adding them up one by one gives', () => {
    const list = fc.record({
      base: fc.integer({ min: 200, max: 700 }),
      edge: fc.double({ min: 14, max: 20, noNaN: true }),
      wide: fc.double({ min: 0.5, max: 4, noNaN: true }),
      more: fc.integer({ min: -120, max: 120 }),
      upTo: fc.option(fc.double({ min: 15, max: 24, noNaN: true }), { nil: undefined }),
      kg: fc.double({ min: 34, max: 52, noNaN: true }),
      sd: fc.double({ min: 0.4, max: 4, noNaN: true }),
      shape: fc.double({ min: 1, max: 15, noNaN: true }),
      fat: fc.double({ min: 1, max: 15, noNaN: true }),
    });
    fc.assert(
      fc.property(list, ({ base, edge, wide, more, upTo, kg, sd, shape, fat }) => {
        const held = prices({
          baseMinor: base,
          grid,
          bands: [{ fromKg: edge, toKg: edge + wide, minorPerKg: more }],
          paidUpToKg: upTo,
        });
        const classes = { shape: stepChances({ mean: shape, sd: 1.8 }), fat: stepChances({ mean: fat, sd: 2.2 }) };
        const found = expectedValue(lamb(kg, sd, classes), dead('grid'), held) as number;
        const perKg = (carcass: number, s: number, f: number): number =>
          exactValue(
            { liveKg: carcass / 0.46, killingOut: 0.46, graded: { shape: s, fat: f } },
            dead('grid'),
            held,
          ) as number;
        // Class by class, and the weight in strips of a two thousandth of its SD.
        const byWeight = (s: number, f: number): number => {
          let sum = 0;
          for (let z = -6; z < 6; z += 0.02) {
            const at = z + 0.01;
            sum += perKg((kg + at * sd) * 0.46, s, f) * (Math.exp((-at * at) / 2) / Math.sqrt(2 * Math.PI)) * 0.02;
          }
          return sum;
        };
        const wholes = [2, 5, 8, 11, 14];
        const chance = (all: readonly number[], s: number): number =>
          (all[s - 2] as number) + (all[s - 1] as number) + (all[s] as number);
        const slow = wholes.reduce(
          (sum, s) =>
            sum + wholes.reduce((t, f) => t + chance(classes.shape, s) * chance(classes.fat, f) * byWeight(s, f), 0),
          0,
        );
        // A strip may lie across the edge of a band.
        expect(Math.abs(found - slow)).toBeLessThan(Math.abs(more) * 24 * 0.02 + 2);
      }),
      { numRuns: 25 },
    );
  });
});

describe('a kilogram more', () => {
  it('brings the price less what is lost alive, and k times the price of its band dead', () => {
    const list = prices({ baseMinor: 600, bands: [{ fromKg: 18, toKg: 22, minorPerKg: -20 }], paidUpToKg: 22 });
    expect(marginalPerKg(lamb(44), outlet, prices())).toBeCloseTo(300 * 0.96 * 0.97, 9);
    expect(marginalPerKg(lamb(44), dead('carcass-kg'), list)).toBeCloseTo(0.46 * 580, 9);
    expect(marginalPerKg(lamb(50), dead('carcass-kg'), list)).toBe(0);
    expect(marginalPerKg(lamb(44), dead('live-head'), list)).toBe(0);
  });

  it('pays for a day from a gain on', () => {
    expect(breakevenGain(55, 0.46 * 580)).toBeCloseTo(0.2061, 4);
    expect(breakevenGain(55, 0)).toBe(Infinity);
  });
});

describe('prices', () => {
  it('hold from their day on, until the next', () => {
    const lists = [prices({ from: day('2026-06-01'), baseMinor: 320 }), prices({ from: day('2026-01-01') })];
    expect(pricesOn(lists, day('2025-12-31'))).toBeUndefined();
    expect(pricesOn(lists, day('2026-05-31'))?.baseMinor).toBe(300);
    expect(pricesOn(lists, day('2026-06-01'))?.baseMinor).toBe(320);
  });

  it.each([
    ['live-kg', prices({ baseMinor: 0 }), { kind: 'price-not-positive', value: 0 }],
    ['grid', prices(), { kind: 'no-grid' }],
    ['grid', prices({ grid: { ...grid, cells: [] } }), { kind: 'grid-rows', found: 0, wanted: 5 }],
    [
      'carcass-kg',
      prices({ bands: [{ fromKg: 20, toKg: 20, minorPerKg: 1 }] }),
      { kind: 'band-upside-down', fromKg: 20, toKg: 20 },
    ],
    [
      'carcass-kg',
      prices({
        bands: [
          { fromKg: 18, minorPerKg: 1 },
          { fromKg: 12, toKg: 18.5, minorPerKg: 2 },
        ],
      }),
      { kind: 'bands-overlap', atKg: 18 },
    ],
  ] as const)('of %s with a fault are named: %#', (payBy, list, fault) => {
    expect(priceFault({ payBy, prices: [list] })).toEqual({ list: 0, from: '2026-01-01', fault });
  });

  it('are good with bands that meet, and one list a day', () => {
    const good = prices({
      bands: [
        { fromKg: 12, toKg: 18, minorPerKg: 2 },
        { fromKg: 18, minorPerKg: 1 },
      ],
    });
    expect(priceFault({ payBy: 'carcass-kg', prices: [good] })).toBeUndefined();
    expect(priceFault({ payBy: 'carcass-kg', prices: [good, good] })).toMatchObject({
      list: 0,
      fault: { kind: 'same-day' },
    });
  });
});
