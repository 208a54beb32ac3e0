import {
  addDays,
  gainAYear,
  herdSeen,
  kinshipGrowth,
  herdBands,
  projectHerd,
  seededRandom,
  selectionIntensity,
  sharesOf,
  spreadOf,
  type ClassShares,
  type HerdQuestion,
} from '..';
import { day } from '../tests/builders';

const shares = (head: number, stays: number, young: number): ClassShares => ({
  head,
  stays,
  young,
  died: 0,
  culled: 1 - stays,
  ownWeight: 0,
});

it('draws own records to the table: twenty female years of it', () => {
  const table = { died: 0.04, culled: 0.1, young: 0.5 };
  const found = sharesOf({ head: 7, years: 20, died: 2, culled: 2, young: 20, table });
  // (2 + .8) / 40, (2 + 2) / 40, (20 + 10) / 40.
  expect(found).toMatchObject({ head: 7, culled: 0.1, young: 0.75, ownWeight: 0.5 });
  expect(found.died).toBeCloseTo(0.07, 12);
  expect(found.stays).toBeCloseTo(0.83, 12);
});

describe('the herd ahead', () => {
  // Three classes: 10 first-timers, 8, and 5 in the last, which stays in itself.
  const question: HerdQuestion = {
    classes: [shares(10, 0.8, 0.4), shares(8, 0.75, 0.6), shares(5, 0.5, 0.6)],
    wanted: 24,
    matedAt: 1,
    coming: [9],
  };
  it('is the matrix worked by hand', () => {
    const [first, second] = projectHerd(question);
    // Survivors 8 | 6 + 2.5; needed 24 - 16.5 = 7.5 of the 9 that come.
    expect(first).toMatchObject({ year: 1, survivors: 16.5, needed: 7.5, entering: 7.5, short: 0, head: 24 });
    // Ages 1, 2, 3: (7.5 + 16 + 25.5) / 24.
    expect(first?.meanAge).toBeCloseTo(49 / 24, 12);
    // Born the year before: 4 + 4.8 + 3 = 11.8. Survivors 6 | 6 + 4.25 = 16.25.
    expect(second?.survivors).toBeCloseTo(16.25, 12);
    expect(second?.needed).toBeCloseTo(7.75, 12);
    expect(second?.entering).toBeCloseTo(7.75, 12);
  });
  it('says how many are short, keeps a fixed number, and puts nobody out over the number wanted', () => {
    const [short] = projectHerd({ ...question, coming: [4] });
    expect(short).toMatchObject({ entering: 4, short: 3.5, head: 20.5 });
    const [few] = projectHerd({ ...question, kept: 3 });
    expect(few).toMatchObject({ entering: 3, short: 4.5, head: 19.5 });
    const [many] = projectHerd({ ...question, wanted: 10 });
    expect(many).toMatchObject({ needed: 0, entering: 0, survivors: 16.5, head: 16.5 });
  });
  it('first mated at two they enter two years on', () => {
    const late = projectHerd({ ...question, matedAt: 2, coming: [6, 5] });
    expect(late.slice(0, 2).map((y) => y.entering)).toEqual([6, 5]);
    // Those born now: 11.8, as many as are needed of them in the third year.
    expect(late[2]?.entering).toBeCloseTo(Math.min(11.8, late[2]?.needed ?? 0), 12);
    expect(late[0]?.meanAge).toBeCloseTo((6 * 2 + 8 * 3 + 8.5 * 4) / 22.5, 12);
  });
  it('an age limit sends the last class away', () => {
    const [first] = projectHerd({ ...question, ageLimit: 2 });
    expect(first).toMatchObject({ survivors: 8, needed: 16, entering: 9, short: 7 });
  });
  it('has bands that hold the mean, and are the same for the same seed', () => {
    const bands = herdBands(question, { runs: 400 });
    const mean = projectHerd(question);
    bands.forEach(({ survivors: [low, high] }, i) => {
      expect(low).toBeLessThanOrEqual((mean[i]?.survivors ?? 0) + 0.5);
      expect(high).toBeGreaterThanOrEqual((mean[i]?.survivors ?? 0) - 0.5);
    });
    expect(herdBands(question, { runs: 400 })).toEqual(bands);
  });
});

it('counts what became of females of each age, year by year from today back', () => {
  const female = (bornOn: string, change: object = {}) => ({
    bornOn: day(bornOn),
    bredFrom: addDays(day(bornOn), 400),
    leftOn: undefined,
    hasDied: false,
    daughters: [],
    ...change,
  });
  const today = day('2026-11-01');
  const table = { died: 0.04, culled: 0.1, young: 0.5 };
  const seen = herdSeen(
    [
      // Two years old; in the herd since May 2025, so one year is counted of her, at one year of age.
      female('2024-04-01', {
        daughters: [
          { bornOn: day('2026-03-01'), diedOn: undefined },
          { bornOn: day('2026-03-01'), diedOn: day('2026-03-05') },
        ],
      }),
      // Sold at three, in the year that began at two.
      female('2022-04-01', { leftOn: day('2025-06-01') }),
      // Died at one.
      female('2024-04-02', { leftOn: day('2026-01-01'), hasDied: true }),
    ],
    today,
    { classes: 3, firstAge: 1, table: () => table },
  );
  expect(seen.map(({ head, years, died, culled, young }) => [head, years, died, culled, young])).toEqual([
    // Aged one: she of 2024 in 2025, the one that died, and she of 2022 in 2023.
    [0, 3, 1, 0, 1],
    [1, 1, 0, 1, 0],
    [0, 0, 0, 0, 0],
  ]);
});

describe('selection', () => {
  it('of the best tenth of many is 1.755 SDs, of 2 of 4 less', () => {
    expect(selectionIntensity(1_000_000, 10_000_000)).toBeCloseTo(1.75498, 4);
    // i of a half is .79788; less 2 / (4 x 5 x .79788) = .12533.
    expect(selectionIntensity(2, 4)).toBeCloseTo(0.67255, 4);
    expect([selectionIntensity(4, 4), selectionIntensity(0, 4)]).toEqual([0, 0]);
  });
  it('agrees with drawn samples', () => {
    const random = seededRandom(9);
    const [kept, of, runs] = [3, 12, 6_000];
    let sum = 0;
    for (let r = 0; r < runs; r++) {
      const drawn = Array.from({ length: of }, () => random.normal(0, 1)).sort((a, b) => b - a);
      sum += drawn.slice(0, kept).reduce((s, v) => s + v, 0) / kept;
    }
    expect(selectionIntensity(kept, of)).toBeCloseTo(sum / runs, 1);
  });
  it('makes closer kin by the fewer sex, mostly', () => {
    // A generation of 3 years: 1 male a year is 3, 11 females are 33. (1/24 + 1/264) / 3.
    const females = { kept: 11, of: 31, spread: 1, ageYears: 4 };
    const males = { kept: 2, of: 2, spread: 1, ageYears: 2, usedYears: 2 };
    expect(kinshipGrowth(females, males)).toBeCloseTo((1 / 24 + 1 / 264) / 3, 12);
    expect(kinshipGrowth({ ...females, kept: 0 }, males)).toBeUndefined();
  });
  it('gains a year by what both sexes are over the mean, over the years of both', () => {
    const females = { kept: 11, of: 31, spread: 1, ageYears: 4 };
    const males = { kept: 2, of: 2, spread: 1, ageYears: 2 };
    expect(gainAYear(females, males)).toBeCloseTo(selectionIntensity(11, 31) / 6, 12);
    expect(spreadOf([], { geneticSd: 2, reliabilities: [0.25, 0.81] })).toBeCloseTo(2 * 0.7, 12);
  });
});
