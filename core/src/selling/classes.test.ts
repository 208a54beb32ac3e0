import fc from 'fast-check';
import { day } from '../tests/builders';
import {
  chanceWithin,
  compareGraders,
  eyeSd,
  fatRate,
  feltFat,
  graderHabit,
  killingOut,
  stepChances,
  withHabit,
  type GradedPair,
  type KilledHead,
} from '.';

describe('chances of the classes', () => {
  it('are those of a normal cut at half steps, and add up to one', () => {
    const chances = stepChances({ mean: 8, sd: 2 });
    // From 7.5 to 8.5: a quarter of an SD to either side, 2 x .0987063.
    expect(chances[7]).toBeCloseTo(0.1974127, 6);
    expect(chanceWithin({ mean: 8, sd: 2 }, 7, 9)).toBeCloseTo(2 * 0.2733726, 6);
    fc.assert(
      fc.property(
        fc.double({ min: -5, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        (mean, sd) => {
          const all = stepChances({ mean, sd });
          expect(all).toHaveLength(15);
          expect(all.reduce((s, p) => s + p, 0)).toBeCloseTo(1, 9);
          for (const p of all) expect(p).toBeGreaterThanOrEqual(-1e-12);
        },
      ),
    );
  });

  it('give the ends the tails', () => {
    expect(stepChances({ mean: 15, sd: 1 })[14]).toBeCloseTo(0.6914625, 6);
    expect(stepChances({ mean: 1, sd: 1 })[0]).toBeCloseTo(0.6914625, 6);
    expect(chanceWithin({ mean: 3, sd: 0 }, undefined, 3)).toBe(1);
  });

  it('within a stretch are those of its steps together', () => {
    const from = fc.integer({ min: 1, max: 15 });
    fc.assert(
      fc.property(fc.double({ min: -2, max: 18, noNaN: true }), from, from, (mean, a, b) => {
        const [low, high] = [Math.min(a, b), Math.max(a, b)];
        const sum = stepChances({ mean, sd: 1.7 })
          .slice(low - 1, high)
          .reduce((s, p) => s + p, 0);
        expect(chanceWithin({ mean, sd: 1.7 }, low, high)).toBeCloseTo(sum, 9);
      }),
    );
  });

  it('come from the mean of the places felt', () => {
    expect(feltFat({ tail: 8, loin: 7, ribs: 9 })).toBe(8);
    expect(feltFat({})).toBeUndefined();
  });
});

describe('the grader and the own hand', () => {
  const pair = (outletId: string, difference: number, breedGroup?: string): GradedPair => ({
    outletId,
    breedGroup,
    difference,
  });
  const pairs = [
    ...[-1, -2, 0, -1].map((d) => pair('bridge', d, 'cross')),
    pair('bridge', 1, 'hill'),
    pair('hill', 3, 'cross'),
  ];

  it('are held apart by outlet, shrunk to nothing by five', () => {
    // Five pairs at the bridge, mean -.6: half of it.
    const habit = graderHabit(pairs, 'bridge', undefined, 1.8);
    expect(habit.used).toBeCloseTo(-0.3, 12);
    expect(habit.mean).toBeCloseTo(-0.6, 12);
    // s = 1.14018, t(.9, 4) = 1.533206, over sqrt 5.
    expect(habit.halfWidth).toBeCloseTo(0.78178, 4);
    expect(habit.pairs).toBe(5);
  });

  it('are shrunk by breed group to what the outlet shows', () => {
    // Four crosses, mean -1: 4/9 of -1 and 5/9 of -.3.
    expect(graderHabit(pairs, 'bridge', 'cross', 1.8).used).toBeCloseTo(-4 / 9 - (5 / 9) * 0.3, 12);
    expect(graderHabit(pairs, 'bridge', 'goat', 1.8)).toMatchObject({ pairs: 0, mean: undefined, used: -0.3 });
    expect(graderHabit(pairs, 'hill', undefined, 1.8)).toMatchObject({ pairs: 1, halfWidth: undefined, used: 0.5 });
  });

  it('leave an eye as unsure as ten defaults and the own pairs make it', () => {
    expect(eyeSd([], 1.8)).toBeCloseTo(1.8, 12);
    expect(eyeSd([2], 1.8)).toBeCloseTo(1.8, 12);
    // (2 x 1 + 10 x 3.24) / 12 = 2.8667.
    expect(eyeSd([-1, 0, 1], 1.8)).toBeCloseTo(Math.sqrt(34.4 / 12), 12);
    expect(withHabit(8, { used: -0.3, sd: 1.7 })).toEqual({ mean: 7.7, sd: 1.7 });
  });

  it('are compared, two at a time, from five pairs each', () => {
    const [a, b] = [
      [1, 2, 3, 4, 5],
      [0, 0, 1, 1, 0, 1],
    ];
    expect(compareGraders(a.slice(1), b)).toBeUndefined();
    const found = compareGraders(a, b);
    // Means 3 and .5; variances 2.5/5 and .3/6: degrees .55^2 / (.25/4 + .0025/5) = 4.8016.
    expect(found?.difference).toBe(2.5);
    expect(found?.degrees).toBeCloseTo(4.80159, 5);
    expect(found?.halfWidth).toBeCloseTo(1.48509 * Math.sqrt(0.55), 4);
    expect(compareGraders([1, 1, 1, 1, 1], [0, 0, 0, 0, 0])).toMatchObject({ difference: 1, halfWidth: 0, degrees: 8 });
  });
});

describe('fat ahead', () => {
  it('comes by the default of the breed group until it is felt twice', () => {
    expect(fatRate([{ on: day('2026-10-01'), fat: 5 }], 'early')).toEqual({ perDay: 1 / 14, sd: 1 / 42 });
    expect(fatRate([], 'late').perDay).toBeCloseTo(1 / 30, 12);
  });

  it('is pulled to what was felt by the days between, and never falls', () => {
    const felt = [
      { on: day('2026-09-01'), fat: 4 },
      { on: day('2026-10-11'), fat: 7 },
    ];
    // 40 days, 3 thirds: (120 + 8000/21) / (1600 + 8000).
    const rate = fatRate(felt, 'middle');
    expect(rate.perDay).toBeCloseTo((120 + 8000 / 21) / 9600, 12);
    expect(rate.sd).toBeCloseTo(((rate.perDay / 3) * 8000) / 9600, 12);
    expect(fatRate([felt[0]!, { on: day('2027-05-01'), fat: 1 }], 'late').perDay).toBe(0);
  });
});

describe('killing out', () => {
  it('is the default with ten heads, and the own heads weighed at most three days before', () => {
    const head = (carcassKg: number, daysBefore: number, kind: KilledHead['kind'] = 'lamb'): KilledHead => ({
      kind,
      carcassKg,
      liveKg: 40,
      daysBefore,
    });
    expect(killingOut([], 'dairy')).toEqual({ share: 0.48, heads: 0 });
    // .50 and .48 against ten of .46.
    const found = killingOut([head(20, 0), head(19.2, 3), head(30, 4), head(30, 1, 'kid')], 'lamb');
    expect(found.heads).toBe(2);
    expect(found.share).toBeCloseTo((0.98 + 4.6) / 12, 12);
  });
});
