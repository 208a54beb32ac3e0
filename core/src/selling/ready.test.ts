import { day } from '../tests/builders';
import {
  daysMoreAt,
  expectedAgainstPaid,
  halfEven,
  hangsOn,
  marginOf,
  marginRange,
  readyFor,
  saleState,
  valueAhead,
  wantedRun,
  type BoxReadiness,
  type ForSale,
  type Outlet,
  type PriceList,
  type ThoughtClasses,
  type WeightAhead,
} from '.';

const today = day('2026-11-30');
const weight = (kg: number, gain: number, sd = 1, gainSd = 0.01): WeightAhead => ({
  kg,
  daysSince: 0,
  gain,
  ownShare: 1,
  isPlateau: false,
  readingSd: sd,
  gainSd,
  byCurve: false,
  kgIn: (n) => kg + gain * n,
  sdIn: (n) => Math.hypot(sd, n * gainSd),
});
const classes = (shape: number, fat: number, change: Partial<ThoughtClasses> = {}): ThoughtClasses => ({
  shape: { mean: shape, sd: 1.2 },
  fat: { mean: fat, sd: 1.2 },
  daysSinceFelt: 0,
  rate: { perDay: 0.05, sd: 0.05 / 3 },
  ...change,
});
const animal = (change: Partial<ForSale> = {}): ForSale => ({
  today,
  weight: weight(42, 0.2),
  killingOut: 0.46,
  classes: classes(8, 6),
  clearIn: 0,
  oldEnoughIn: 0,
  feedDaysLeft: 90,
  dailyCostMinor: 40,
  survival: 1,
  interestAYear: 0,
  ...change,
});
const list = (change: Partial<PriceList> = {}): PriceList => ({
  from: day('2026-01-01'),
  baseMinor: 600,
  bands: [],
  ...change,
});
const outlet = (change: Partial<Outlet> = {}): Outlet => ({
  id: 'bridge',
  species: 'sheep',
  payBy: 'carcass-kg',
  prices: [list()],
  shrinkShare: 0,
  commissionShare: 0,
  tripMinor: 2_000,
  headMinor: 200,
  least: 1,
  box: { kg: { from: 18, to: 22 }, shape: { from: 5 }, fat: { from: 4, to: 9 } },
  leastChance: 0.7,
  ...change,
});

describe('ready', () => {
  it('is one that lies in the box today as surely as the outlet asks', () => {
    expect(readyFor(animal({ weight: weight(43.5, 0.2) }), outlet(), 200)).toMatchObject({ kind: 'ready' });
    expect(readyFor(animal({ weight: weight(38, 0.2) }), outlet(), 200)).toMatchObject({ kind: 'in-days' });
  });

  it('is one that comes into it, on the first day it does', () => {
    const found = readyFor(animal({ weight: weight(38, 0.2) }), outlet(), 200);
    if (found.kind !== 'in-days') throw new Error(found.kind);
    const chanceIn = (n: number) =>
      readyFor(
        animal({
          weight: { ...weight(38 + 0.2 * n, 0.2), sdIn: () => Math.hypot(1, n * 0.01) },
          classes: classes(8, 6 + 0.05 * n),
        }),
        outlet(),
        200,
      );
    expect(chanceIn(found.days).kind).toBe('ready');
    expect(chanceIn(found.days - 1).kind).not.toBe('ready');
  });

  it('waits for what is withheld, and for its age', () => {
    expect(readyFor(animal({ weight: weight(43.5, 0), clearIn: 12 }), outlet(), 200)).toMatchObject({
      kind: 'in-days',
      days: 12,
    });
    const aged = outlet({ box: { ...outlet().box, ageDays: { from: 210, to: 365 } } });
    expect(readyFor(animal({ weight: weight(43.5, 0) }), aged, 200)).toMatchObject({ kind: 'in-days', days: 10 });
    expect(readyFor(animal(), aged, 400)).toEqual({ kind: 'no-day', reason: 'age' });
    expect(readyFor(animal({ feedDaysLeft: 5, clearIn: 9 }), outlet(), 200)).toEqual({
      kind: 'no-day',
      reason: 'withheld',
    });
    expect(readyFor(animal({ feedDaysLeft: -1 }), outlet(), 200)).toEqual({ kind: 'no-day', reason: 'feed-limit' });
  });

  it('is never on this feed where it goes fat first, stays light or is too rough, and which of them', () => {
    expect(readyFor(animal({ weight: weight(36, 0.02), classes: classes(8, 5) }), outlet(), 200)).toMatchObject({
      kind: 'never',
      factor: 'weight',
      side: 'under',
    });
    expect(readyFor(animal({ classes: classes(8, 11) }), outlet(), 200)).toMatchObject({
      kind: 'never',
      factor: 'fat',
      side: 'over',
    });
    expect(readyFor(animal({ weight: weight(43.5, 0.1), classes: classes(2, 6) }), outlet(), 200)).toMatchObject({
      kind: 'never',
      factor: 'shape',
      side: 'under',
    });
  });

  it('is by what is expected where the box is narrower than the eye is sure, and says how sure at best', () => {
    const narrow = outlet({ box: { shape: { from: 8, to: 8 } } });
    const found = readyFor(animal({ classes: classes(8.2, 6) }), narrow, 200);
    // Half a step to either side of an SD of 1.2.
    expect(found).toMatchObject({ kind: 'ready', isNarrow: { bestChance: expect.closeTo(0.3231, 4) as number } });
    expect(readyFor(animal({ classes: classes(9.6, 6) }), narrow, 200).kind).toBe('never');
  });

  it('asks to feel one for an outlet that wants a class', () => {
    expect(readyFor(animal({ classes: undefined }), outlet(), 200)).toEqual({ kind: 'not-felt' });
    expect(
      readyFor(animal({ classes: undefined, weight: weight(43.5, 0) }), outlet({ box: { kg: { from: 18 } } }), 200)
        .kind,
    ).toBe('ready');
  });
});

describe('one animal at one outlet', () => {
  it('is worth what its weight will bring, by the prices of that day', () => {
    const rising = outlet({ prices: [list(), list({ from: day('2026-12-10'), baseMinor: 650 })] });
    const value = valueAhead(animal(), rising);
    expect(value(9)).toBeCloseTo((42 + 1.8) * 0.46 * 600 - 200, 6);
    expect(value(10)).toBeCloseTo((42 + 2) * 0.46 * 650 - 200, 6);
    expect(valueAhead(animal(), outlet({ prices: [] }))(0)).toBeUndefined();
    // .2 kg a day brings 55.2, the day costs 40.
    expect(daysMoreAt(animal(), outlet())).toMatchObject({ kind: 'days', bestIn: 90 });
  });

  it('has a range that holds four of five: by weight alone that of a normal', () => {
    const { low, high } = marginRange(animal(), outlet(), 20, 7);
    const mean = 46 * 0.46 * 600 - 200 - 800;
    const half = 1.28155 * Math.hypot(1, 0.2) * 0.46 * 600;
    expect((low + high) / 2).toBeCloseTo(mean, -2);
    expect((high - low) / 2 / half).toBeGreaterThan(0.93);
    expect((high - low) / 2 / half).toBeLessThan(1.07);
    expect(marginRange(animal(), outlet(), 20, 7)).toEqual({ low, high });
  });
});

describe('what the answer hangs on', () => {
  it('is moved by itself: more gain or price waits longer, dearer keep goes sooner', () => {
    // .16 kg a day brings 44.2 by the carcass, the day costs 40; SD of the gain .01.
    const slow = animal({ weight: weight(42, 0.16) });
    const by = Object.fromEntries(hangsOn(slow, outlet()).map((h) => [h.what, h]));
    expect(by.gain?.more).toMatchObject({ bestIn: 90 });
    expect(by.gain?.less?.bestMinor).toBeCloseTo((42 + 90 * 0.15) * 0.46 * 600 - 200 - 3_600, 6);
    expect(by.keep?.more).toEqual({ bestIn: 0, bestMinor: expect.closeTo(42 * 0.46 * 600 - 200, 6) as number });
    expect(by.keep?.less?.bestIn).toBe(90);
    expect(by.price?.less).toMatchObject({ bestIn: 90 });
    expect(by.price?.more?.bestMinor).toBeCloseTo((42 + 90 * 0.16) * 0.46 * 630 - 200 - 3_600, 6);
  });

  it('is nothing where there is no day', () => {
    for (const { less, more } of hangsOn(animal({ feedDaysLeft: -1 }), outlet()))
      expect([less, more]).toEqual([undefined, undefined]);
  });
});

describe('after the sale', () => {
  const grid = {
    shape: 'whole' as const,
    fat: 'whole' as const,
    cellsAre: 'adjustment' as const,
    cells: [-40, -20, 0, 20, 40].map((s) => [0, 0, 0, -30, -60].map((f) => s + f)),
  };
  const terms = outlet({ payBy: 'grid' });
  const sure = (step: number) => Array.from({ length: 15 }, (_, i) => (i + 1 === step ? 1 : 0));
  const expected = {
    weight: { kg: 44, sd: 0 },
    killingOut: 0.46,
    classes: { shape: sure(8), fat: sure(8) },
    prices: list({ grid }),
  };

  it('says what weight, killing-out, class, price and charges made, one after the other', () => {
    const found = expectedAgainstPaid(
      expected,
      {
        liveKg: 45,
        carcassKg: 20.25,
        graded: { shape: 11, fat: 11 },
        prices: list({ grid, baseMinor: 610 }),
        netMinor: 11_800,
      },
      terms,
    );
    // 44 kg: 20.24 x 600 - 200 = 11 944. 45 kg: 12 220. At .45: 11 950. U4: 20.25 x 590 = 11 747.5. At 610: 11 950.
    expect(found).toEqual({
      expectedMinor: 11_944,
      paidMinor: 11_800,
      weightMinor: 276,
      killingOutMinor: -270,
      classMinor: -202,
      priceMinor: 202,
      chargesMinor: -150,
    });
    const { expectedMinor, paidMinor, ...parts } = found!;
    expect(Object.values(parts).reduce((s: number, p) => s + (p ?? 0), expectedMinor)).toBe(paidMinor);
  });

  it('puts the carcass’s weight to the weight where it was not weighed alive', () => {
    const found = expectedAgainstPaid(
      expected,
      { liveKg: undefined, carcassKg: 20.7, graded: { shape: 8, fat: 8 }, prices: expected.prices, netMinor: 12_220 },
      terms,
    );
    expect(found).toMatchObject({ weightMinor: 276, killingOutMinor: undefined, classMinor: 0, chargesMinor: 0 });
  });

  it('has no killing-out or class alive, and nothing to hold against where nothing was felt', () => {
    const alive = outlet({ payBy: 'live-kg', prices: [list({ baseMinor: 300 })] });
    const paid = {
      liveKg: 45,
      carcassKg: undefined,
      graded: undefined,
      prices: list({ baseMinor: 300 }),
      netMinor: 13_300,
    };
    expect(expectedAgainstPaid({ ...expected, prices: list({ baseMinor: 300 }) }, paid, alive)).toEqual({
      expectedMinor: 13_000,
      paidMinor: 13_300,
      weightMinor: 300,
      killingOutMinor: undefined,
      classMinor: undefined,
      priceMinor: 0,
      chargesMinor: 0,
    });
    expect(
      expectedAgainstPaid({ ...expected, classes: undefined }, { ...paid, graded: { shape: 8, fat: 8 } }, terms),
    ).toBeUndefined();
  });

  it('leaves in the hand what is not taken off', () => {
    const parts = {
      priceMinor: 11_000,
      haulageMinor: 300,
      commissionMinor: 330,
      feedMinor: 2_400,
      remediesMinor: 120,
      purchaseMinor: 4_000,
    };
    expect(marginOf(parts)).toBe(3_850);
  });

  it.each([
    [2.5, 2],
    [3.5, 4],
    [-2.5, -2],
    [2.51, 3],
    [-1.5, -2],
  ])('rounds %s to %s', (value, whole) => {
    expect(halfEven(value)).toBe(whole);
  });
});

describe('what closes', () => {
  const fat = outlet({ box: { fat: { to: 9 } } });
  // Fat 8 at .05 thirds a day, SD 1.2: over 9.5 by 3 in 10 at a mean of 8.87.
  const lays = (days: number, felt = 8): ForSale =>
    animal({
      weight: { ...weight(42, 0.2), kgIn: (n) => 42 + 0.2 * (n + days) },
      classes: classes(8, felt, { daysSinceFelt: days }),
    });
  const closesOf = (one: ForSale, at: Outlet, age?: number) => {
    const found = readyFor(one, at, age);
    return found.kind === 'ready' ? found.closes : found.kind;
  };

  it('is the last day it lies in the box without a break, and what ends it', () => {
    expect(closesOf(lays(0), fat)).toEqual({ days: 17, by: { of: 'fat', side: 'over' } });
    expect(closesOf(lays(0), outlet({ box: { kg: { to: 50 } }, payBy: 'live-kg' }))).toBeUndefined();
    expect(closesOf(lays(0), outlet({ box: { ageDays: { to: 210 } } }), 200)).toEqual({ days: 10, by: { of: 'age' } });
    expect(closesOf({ ...lays(0), feedDaysLeft: 6 }, outlet({ box: {} }))).toEqual({
      days: 6,
      by: { of: 'feed-limit' },
    });
  });

  it('is the same day whenever it is asked before, as long as nothing new is known', () => {
    for (let passed = 0; passed <= 17; passed++)
      expect(closesOf(lays(passed), fat)).toMatchObject({ days: 17 - passed });
    expect(closesOf(lays(18), fat)).toBe('never');
  });

  it('is said of the outlet where it is ready and brings most: one that takes any keeps none from growing too fat', () => {
    const at = (one: Outlet, nowMinor: number | undefined) => ({
      id: one.id,
      readiness: readyFor(lays(0), one, undefined),
      nowMinor,
    });
    const any = outlet({ id: 'market', box: {} });
    const free = { clearIn: 0, oldEnoughIn: 0, isPlateau: false };
    expect(saleState({ ...free, at: [at(any, 9_000), at(fat, 11_000)] })).toMatchObject({
      state: 'closing',
      inDays: 17,
      closesAt: { id: 'bridge' },
    });
    expect(saleState({ ...free, at: [at(any, 12_000), at(fat, 11_000)] })).toEqual({
      state: 'ready',
      inDays: undefined,
    });
    // Without a price anywhere it is ready nevertheless.
    expect(saleState({ ...free, at: [at(any, undefined)] })).toEqual({ state: 'ready', inDays: undefined });
    expect(saleState({ ...free, clearIn: 3, at: [at(fat, 11_000)] })).toEqual({ state: 'held', inDays: 3 });
  });
});

describe('the best stretch', () => {
  const ready = (days?: number): BoxReadiness => ({
    kind: 'ready',
    chance: 0.8,
    isNarrow: undefined,
    closes: days === undefined ? undefined : { days, by: { of: 'age' } },
  });
  const later: BoxReadiness = { kind: 'in-days', days: 9, chance: 0.7, isNarrow: undefined };

  it.each([
    [{ from: 0, to: 7 }, ready(2), { from: 0, to: 2 }],
    [{ from: 4, to: 7 }, ready(2), { from: 2, to: 2 }],
    [{ from: 0, to: 7 }, ready(), { from: 0, to: 7 }],
    [{ from: 0, to: 1 }, later, { from: 9, to: 9 }],
    [{ from: 3, to: 20 }, later, { from: 9, to: 20 }],
    [{ from: 0, to: 7 }, { kind: 'not-felt' } as const, { from: 0, to: 7 }],
  ])('%o is cut to the days it is wanted on', (run, readiness, wanted) => {
    expect(wantedRun(run, readiness)).toEqual(wanted);
  });
});
