import fc from 'fast-check';
import { addDays, isoOf, type Day } from '../calendar';
import type { Spell } from '../mating';
import { SPECIES_TABLE } from '../species';
import { day } from '../tests/builders';
import {
  ageFit,
  ageingAgreement,
  aimLine,
  barrenSeasons,
  bestTestDay,
  carriedSpell,
  carryingBlocks,
  carryingChance,
  carryingStepWindow,
  conceptionDay,
  curveEnd,
  inYoungBy,
  inYoungCurve,
  matingSeasons,
  readTypedScan,
  sensitivity,
  testWindow,
  tooSoon,
  whatNow,
  type CurveFemale,
  type TestReading,
  type WhatNowCosts,
} from '.';

const { goat, sheep, rabbit, cattle } = SPECIES_TABLE;
const rulesOf = (way: 'blood' | 'scan', species = goat) => {
  const rules = species.tests[way];
  if (!rules) throw new Error('the table has no such test');
  return rules;
};

describe('when a test can tell', () => {
  const never = { lastBirthOn: undefined };

  it.each([
    ['2025-02-27', '2025-03-29'],
    ['2024-02-27', '2024-03-28'], // 29 February counts
    ['2026-12-15', '2027-01-14'],
  ])('a blood test after a service on %s is valid from %s', (servedOn, valid) => {
    expect(testWindow(rulesOf('blood'), { servedOn: day(servedOn), ...never }).opens).toBe(day(valid));
  });

  it('refuses a test 20 days after mating, with the day it becomes valid', () => {
    expect(tooSoon(rulesOf('blood'), { servedOn: day('2026-11-03'), ...never }, day('2026-11-23'))).toEqual({
      after: 'service',
      since: day('2026-11-03'),
      days: 20,
      daysNeeded: 30,
      validFrom: day('2026-12-03'),
    });
  });

  it('refuses blood of a doe that gave birth last month, until 60 days after it', () => {
    const doe = { servedOn: day('2026-10-20'), lastBirthOn: day('2026-10-02') };
    expect(tooSoon(rulesOf('blood'), doe, day('2026-11-23'))).toEqual({
      after: 'birth',
      since: day('2026-10-02'),
      days: 52,
      daysNeeded: 60,
      validFrom: day('2026-12-01'),
    });
    // A scan has no such wait; a cow's blood has one of 90 days.
    expect(tooSoon(rulesOf('scan'), { ...doe, servedOn: day('2026-10-01') }, day('2026-11-23'))).toBeUndefined();
    expect(
      tooSoon(
        rulesOf('blood', cattle),
        { servedOn: day('2026-07-01'), lastBirthOn: day('2026-05-01') },
        day('2026-07-29'),
      ),
    ).toMatchObject({ after: 'service', validFrom: day('2026-07-31') });
  });

  it('takes a test on its first valid day', () => {
    expect(tooSoon(rulesOf('blood'), { servedOn: day('2026-11-03'), ...never }, day('2026-12-03'))).toBeUndefined();
  });

  it('finds the day that serves the most females in one visit', () => {
    const served = ['2026-10-01', '2026-10-05', '2026-11-20'];
    const windows = served.map((s) => testWindow(rulesOf('scan'), { servedOn: day(s), ...never }));
    // Best from day 45 to 90: the first two together from 19 November to 30 December; from Christmas on the third can
    // be told of as well, though not counted yet.
    expect(bestTestDay(windows, day('2026-11-01'))).toEqual({ on: day('2026-12-25'), best: 2, open: 3 });
    expect(bestTestDay(windows.slice(0, 2), day('2026-11-01'))).toEqual({ on: day('2026-11-19'), best: 2, open: 2 });
    expect(bestTestDay(windows, day('2026-12-31'))).toEqual({ on: day('2026-12-31'), best: 1, open: 3 });
    expect(bestTestDay(windows, day('2028-01-01'))).toBeUndefined();
  });
});

describe('the probability that she carries', () => {
  const servedOn = day('2026-10-01');
  const base = { servedOn, prior: 0.7, returnedOn: undefined };
  const blood = (result: TestReading['result'], on = '2026-11-05', more: Partial<TestReading> = {}): TestReading => ({
    on: day(on),
    way: 'blood',
    result,
    isTooSoon: false,
    ...more,
  });
  /** Only tests speak: a species without a cycle has no return to wait for. */
  const quiet = { ...goat, heatCycleDays: rabbit.heatCycleDays };

  it('is worked by hand for one test', () => {
    // 0.7 x 0.99 / (0.7 x 0.99 + 0.3 x 0.05) and 0.7 x 0.01 / (0.7 x 0.01 + 0.3 x 0.95)
    const after = (tests: TestReading[]) => carryingChance({ ...base, tests }, quiet, day('2026-11-20')).probability;
    expect(after([blood('carrying')])).toBeCloseTo(0.693 / 0.708, 12);
    expect(after([blood('empty')])).toBeCloseTo(0.007 / 0.292, 12);
    // A second, positive: the odds 0.007/0.285 times 0.99/0.05
    const odds = (0.007 / 0.285) * 19.8;
    expect(after([blood('empty'), blood('carrying', '2026-11-15')])).toBeCloseTo(odds / (1 + odds), 12);
  });

  it('takes nothing from a doubtful test, from one made too soon, or from one that is still to come', () => {
    for (const test of [
      blood('doubtful'),
      blood('empty', '2026-10-21', { isTooSoon: true }),
      blood('empty', '2026-12-24'),
    ]) {
      const { probability } = carryingChance({ ...base, tests: [test] }, quiet, day('2026-11-20'));
      expect(probability).toBeCloseTo(0.7, 12);
    }
  });

  it('tells the story by day, and says which two contradict each other', () => {
    const scan: TestReading = { on: day('2026-11-15'), way: 'scan', result: 'carrying', isTooSoon: false };
    const told = carryingChance({ ...base, tests: [scan, blood('empty')] }, goat, day('2026-11-20'));
    expect(told.story.map((s) => [s.kind, s.test?.way])).toEqual([
      ['served', undefined],
      ['no-return', undefined],
      ['tested', 'blood'],
      ['tested', 'scan'],
    ]);
    expect(told.contradictions.map(({ earlier, later }) => [earlier.test?.way, later.test?.way])).toEqual([
      ['blood', 'scan'],
    ]);
    // Seen back on heat after a positive test: one of the two is wrong.
    const heat = carryingChance(
      { ...base, returnedOn: day('2026-11-12'), tests: [blood('carrying')] },
      goat,
      day('2026-11-20'),
    );
    expect(heat.contradictions).toMatchObject([{ earlier: { kind: 'tested' }, later: { kind: 'returned' } }]);
    expect(carryingChance({ ...base, tests: [blood('carrying')] }, goat, day('2026-11-20')).contradictions).toEqual([]);
  });

  it('is nothing after a loss, and a loss contradicts nobody', () => {
    const lost = carryingChance(
      { ...base, tests: [blood('carrying')], lostOn: day('2026-11-18') },
      goat,
      day('2026-11-20'),
    );
    expect(lost.probability).toBe(0);
    expect(lost.story.at(-1)).toMatchObject({ kind: 'lost', after: 0 });
    expect(lost.contradictions).toEqual([]);
  });

  it('does not hang on the order in which tests were written down', () => {
    const results = fc.constantFrom('carrying' as const, 'empty' as const, 'doubtful' as const);
    const one = fc.record({
      way: fc.constantFrom('blood' as const, 'scan' as const, 'sight' as const),
      result: results,
      ago: fc.nat(20),
    });
    fc.assert(
      fc.property(fc.array(one, { maxLength: 5 }), (list) => {
        const tests = list.map(({ way, result, ago }): TestReading => ({
          way,
          result,
          on: addDays(day('2026-11-20'), -ago),
          isTooSoon: false,
        }));
        const forward = carryingChance({ ...base, tests }, goat, day('2026-11-20'));
        const back = carryingChance({ ...base, tests: tests.toReversed() }, goat, day('2026-11-20'));
        expect(back.probability).toBeCloseTo(forward.probability, 10);
        expect(forward.probability).toBeGreaterThanOrEqual(0);
        expect(forward.probability).toBeLessThanOrEqual(1);
      }),
      { seed: 6 },
    );
  });
});

describe('a scanned age', () => {
  const service = (on: string, ...maleIds: string[]) => ({ from: day(on), to: day(on), maleIds });
  const scan = { on: day('2026-11-12'), ageDays: 39 }; // says 4 October

  it('is shared among two services by how near they lie', () => {
    const fit = ageFit(scan, [service('2026-10-02', 'a'), service('2026-10-08', 'b', 'c')]);
    // Two and four days off at an SD of three: exp(-4/18) = 0.80074, exp(-16/18) = 0.41111
    expect(fit).toMatchObject({ kind: 'fits', nearest: 0, daysOff: -2, conceivedOn: day('2026-10-02') });
    if (fit.kind !== 'fits') return;
    expect(fit.chances[0]).toBeCloseTo(0.80074 / 1.21185, 4);
    expect(fit.sires.map((s) => s.maleId)).toEqual(['a', 'b', 'c']);
    expect(fit.sires[1]?.probability).toBeCloseTo(0.41111 / 1.21185 / 2, 4);
  });

  it('fits a stretch with a male by what the scan says', () => {
    const fit = ageFit(scan, [{ from: day('2026-09-20'), to: day('2026-10-20'), maleIds: ['ram'] }]);
    expect(fit).toMatchObject({ kind: 'fits', daysOff: 0, conceivedOn: day('2026-10-04') });
  });

  it('fits none that lies too far off, or after the scan', () => {
    expect(ageFit(scan, [service('2026-10-12', 'a')])).toEqual({
      kind: 'none-fits',
      conceivedOn: day('2026-10-04'),
      nearestDaysOff: 8,
    });
    expect(ageFit({ on: day('2026-11-12'), ageDays: 3 }, [service('2026-11-13', 'a')]).kind).toBe('none-fits');
    expect(ageFit(scan, []).kind).toBe('none-fits');
    // At 100 days the error is five days: ten off is within 1.96 of it hardly, nine is.
    const late = { on: day('2026-11-12'), ageDays: 100 };
    expect(ageFit(late, [service('2026-08-13', 'a')]).kind).toBe('fits');
    expect(ageFit(late, [service('2026-08-15', 'a')]).kind).toBe('none-fits');
  });

  it('takes the day of a service within five days for the curve, else its own', () => {
    const on = (...services: string[]) => conceptionDay(scan, services.map(day));
    expect(on('2026-10-09')).toBe(day('2026-10-09'));
    expect(on('2026-10-10')).toBe(day('2026-10-04'));
    expect(on('2026-09-29', '2026-10-06')).toBe(day('2026-10-06'));
  });
});

describe('the in-young curve', () => {
  const start = day('2026-10-01');
  const female = (conceived?: number, left?: number, weight = 1): CurveFemale => ({
    conceivedOn: conceived === undefined ? undefined : addDays(start, conceived),
    weight,
    leftOn: left === undefined ? undefined : addDays(start, left),
  });
  const curve = (females: CurveFemale[], last = 62) => {
    const made = inYoungCurve(females, start, addDays(start, last));
    if (!made) throw new Error('no curve');
    return made;
  };

  it('leaves a sold and a dead female from their day on, by hand', () => {
    // Five: one takes on day 3 (1 of 5), one is sold on day 10 and one dies on day 15, both empty; one of the two left
    // takes on day 20. 1 - 4/5 x 1/2 = 0.6
    const made = curve([female(3), female(undefined, 10), female(undefined, 15), female(20), female()]);
    expect(made.perDay[2]).toBe(0);
    expect(made.perDay[3]).toBeCloseTo(0.2, 12);
    expect(made.perDay[19]).toBeCloseTo(0.2, 12);
    expect(made.perDay[20]).toBeCloseTo(0.6, 12);
    expect(inYoungBy(made, 21)).toBeCloseTo(0.6, 12);
    expect(inYoungBy(made, 20)).toBeCloseTo(0.2, 12);
    expect(made.medianDay).toBe(20);
    expect(made.conceived).toBe(2);
  });

  it('counts days 0 to 20 into three weeks, and never who conceived before', () => {
    const made = curve([female(20), female(21), female(-3), female()]);
    expect([inYoungBy(made, 21), inYoungBy(made, 42)]).toEqual([0.25, 0.5]);
    expect(made.medianDay).toBe(21); // 2 x 2 >= 4
    expect(inYoungBy(made, 0)).toBe(0);
    expect(inYoungBy(made, 500)).toBe(0.5);
  });

  it('keeps one that conceived and was sold later', () => {
    expect(curve([female(4, 30), female()]).perDay.at(-1)).toBeCloseTo(0.5, 12);
  });

  it('takes likely ones by their weight', () => {
    expect(curve([female(4, undefined, 0.8), female(9), female(), female()]).perDay.at(-1)).toBeCloseTo(1.8 / 4, 12);
    expect(inYoungCurve([], start, start)).toBeUndefined();
  });

  it('is the plain share while none has left, and never falls', () => {
    const days = fc.option(fc.integer({ min: 0, max: 70 }), { nil: undefined });
    fc.assert(
      fc.property(fc.array(fc.tuple(days, days), { minLength: 1, maxLength: 30 }), (rows) => {
        const all = curve(rows.map(([c]) => female(c)));
        rows.forEach((_, d) =>
          expect(all.perDay[d]).toBeCloseTo(rows.filter(([c]) => c !== undefined && c <= d).length / rows.length, 9),
        );
        const some = curve(rows.map(([c, l]) => female(c, l)));
        some.perDay.forEach((share, d) => {
          expect(share).toBeGreaterThanOrEqual((some.perDay[d - 1] ?? 0) - 1e-12);
          expect(share).toBeLessThanOrEqual(1);
        });
      }),
      { seed: 66 },
    );
  });

  it('is held against a line by cycle', () => {
    expect(aimLine(goat.carrying, 21)).toEqual([
      { day: 0, share: 0 },
      { day: 21, share: 0.65 },
      { day: 42, share: 0.86 },
      { day: 63, share: 0.93 },
    ]);
    expect(aimLine(rabbit.carrying, 0)).toEqual([{ day: 0, share: 0.75 }]);
  });

  it('parts seasons where nobody was served for two months, and rounds of rabbits by a fortnight', () => {
    const days = ['2025-10-01', '2025-11-20', '2026-10-05', '2026-10-01'].map(day);
    expect(matingSeasons(days, 21)).toEqual([
      { from: day('2025-10-01'), to: day('2025-11-20') },
      { from: day('2026-10-01'), to: day('2026-10-05') },
    ]);
    expect(matingSeasons(['2026-10-01', '2026-10-08', '2026-11-05'].map(day), 0)).toHaveLength(2);
    const season = { from: day('2026-10-01'), to: day('2026-10-05') };
    expect(curveEnd(season, 21, day('2027-06-01'))).toBe(day('2026-12-03'));
    expect(curveEnd(season, 21, day('2026-10-20'))).toBe(day('2026-10-20'));
  });
});

describe('sell, keep, test or serve again', () => {
  const costs: WhatNowCosts = {
    keep: 165,
    lostIfSold: 436,
    test: { price: 9, sensitivity: 0.99, specificity: 0.95 },
    serve: { price: 5, takes: 0.7, lateYoung: 18 },
  };

  it('has the costs worked by hand', () => {
    const { ways, breakEven } = whatNow(0.14, costs);
    const cost = Object.fromEntries(ways.map((w) => [w.way, w.cost]));
    expect(cost.keep).toBeCloseTo(0.86 * 165, 9);
    expect(cost.sell).toBeCloseTo(0.14 * 436, 9);
    // Positive in 0.14 x 0.99 + 0.86 x 0.05 = 0.1816, then 0.7632 in young: keep, 39.07; negative: sell, 0.746
    expect(cost['test-again']).toBeCloseTo(16.705, 2);
    expect(cost['serve-again']).toBeCloseTo(5 + 0.86 * (0.7 * 18 + 0.3 * 165), 9);
    expect(ways.map((w) => w.way)).toEqual(['test-again', 'serve-again', 'sell', 'keep']);
    expect(breakEven).toBeCloseTo(165 / 601, 12);
  });

  it('offers no service when the season is over, and no test where there is none', () => {
    const { ways } = whatNow(0.14, { ...costs, test: undefined, serve: undefined });
    expect(ways.map((w) => w.way)).toEqual(['sell', 'keep']);
  });

  it('sells under the break-even only, and a test never tells less than nothing', () => {
    const money = fc.double({ min: 1, max: 1000, noNaN: true });
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), money, money, (q, keep, lostIfSold) => {
        const { ways, breakEven = 0 } = whatNow(q, { ...costs, keep, lostIfSold, serve: undefined });
        const cost = Object.fromEntries(ways.map((w) => [w.way, w.cost])) as Record<string, number>;
        const of = (way: string): number => cost[way] ?? 0;
        const [sell, stay, again] = [of('sell'), of('keep'), of('test-again')] as const;
        if (q < breakEven - 1e-9) expect(sell).toBeLessThan(stay);
        if (q > breakEven + 1e-9) expect(sell).toBeGreaterThan(stay);
        expect(again).toBeLessThanOrEqual(9 + Math.min(sell, stay) + 1e-9);
      }),
      { seed: 666 },
    );
  });

  it('says what the suggestion hangs on, the widest swing first', () => {
    const found = sensitivity(0.14, costs);
    const swings = found.map((s) => Math.abs(s.high.margin - s.low.margin));
    expect(swings).toEqual([...swings].sort((a, b) => b - a));
    // A test of 18 still is the cheapest: 25.705 against 58.406 for serving again.
    const price = found.find((s) => s.input === 'testPrice');
    expect(price?.high).toMatchObject({ value: 18, best: 'test-again' });
    expect(price?.high.margin).toBeCloseTo(25.705 - 58.406, 2);
    expect(found.some((s) => s.input === 'lateYoung')).toBe(true);
  });
});

describe('seasons without a birth', () => {
  const spell = (on: string, kind: 'born' | 'returned' | 'nothing-came' | 'open', isRipe = true) => ({
    on: day(on),
    lastOn: day(on),
    isRipe,
    outcome: (kind === 'born'
      ? { kind, on: day(on), young: 2 }
      : kind === 'returned'
        ? { kind, on: day(on), days: 17 }
        : { kind }) as never,
  });

  it('takes services a cycle or two apart for one season, and leaves the one under way out', () => {
    const spells = [
      spell('2023-10-01', 'returned'),
      spell('2023-10-18', 'born'),
      spell('2024-10-01', 'returned'),
      spell('2024-10-18', 'nothing-came'),
      spell('2025-10-01', 'nothing-came'),
      spell('2026-10-01', 'open', false),
    ];
    expect(barrenSeasons(spells, sheep)).toBe(2);
    // A doe rabbit is served and is not in young each time by itself.
    expect(barrenSeasons(spells, rabbit)).toBe(4);
  });
});

describe('a scan as it is typed', () => {
  const scan = (result: string, young?: number, ageDays?: number) => ({ kind: 'scan', result, young, ageDays });
  it.each([
    ['2', scan('carrying', 2)],
    [' 2 62 ', scan('carrying', 2, 62)],
    ['1.45', scan('carrying', 1, 45)],
    ['0', scan('empty')],
    ['?', scan('doubtful')],
    ['? 40', scan('doubtful', undefined, 40)],
    ['12', scan('carrying', 12)],
    ['', { kind: 'refused', reason: 'empty' }],
    ['two', { kind: 'refused', reason: 'not-a-scan' }],
    ['2 0', { kind: 'refused', reason: 'not-a-scan' }],
    ['21', { kind: 'refused', reason: 'too-many' }],
    ['0 40', { kind: 'refused', reason: 'age-of-empty' }],
  ])('%j', (text, read) => {
    expect(readTypedScan(text)).toEqual(read);
  });
});

describe('the service she carries from', () => {
  const spell = (on: string): Spell => ({
    services: [{ on: day(on), at: undefined, way: 'hand', maleIds: ['buck'] }],
    on: day(on),
    lastOn: day(on),
    maleIds: ['buck'],
    outcome: { kind: 'open' },
    isRipe: false,
  });
  const spells = [spell('2026-09-01'), spell('2026-09-22')];

  it('is the last one, until a scan tells another', () => {
    expect(carriedSpell([], [])).toBeUndefined();
    expect(carriedSpell(spells, [])).toMatchObject({ conceivedOn: day('2026-09-22'), fit: undefined });
    // 72 days on 12 November is 1 September: she carried already when she was served again.
    expect(carriedSpell(spells, [{ on: day('2026-11-12'), ageDays: 71 }])).toMatchObject({
      spell: { on: day('2026-09-01') },
      conceivedOn: day('2026-09-01'),
    });
    // The last scan counts, and one that fits none leaves the last service with the day of its own.
    expect(
      carriedSpell(spells, [
        { on: day('2026-11-12'), ageDays: 71 },
        { on: day('2026-11-20'), ageDays: 30 },
      ]),
    ).toMatchObject({ spell: { on: day('2026-09-22') }, conceivedOn: day('2026-10-21'), fit: { kind: 'none-fits' } });
  });
});

it('weaves mating, carrying and the births awaited of a season', () => {
  const told = { from: day('2026-09-20'), to: day('2026-10-12'), females: 9, births: [], awaited: undefined };
  const blocks = (change: object) =>
    carryingBlocks({ ...told, ...change }).map((b) => [b.kind, isoOf(b.from), isoOf(b.to), b.isExpected]);
  expect(blocks({ awaited: { from: day('2027-02-12'), to: day('2027-03-16') } })).toEqual([
    ['mating', '2026-09-20', '2026-10-12', false],
    ['carrying', '2026-10-13', '2027-02-11', false],
    ['births', '2027-02-12', '2027-03-16', true],
  ]);
  expect(blocks({ births: [day('2027-02-20'), day('2027-02-18')] })).toEqual([
    ['mating', '2026-09-20', '2026-10-12', false],
    ['carrying', '2026-10-13', '2027-02-17', false],
  ]);
  expect(blocks({})).toEqual([['mating', '2026-09-20', '2026-10-12', false]]);
});

it('tells a learner’s ages against the scanner’s, by hand', () => {
  const pair = (learnerDays: number, scannerDays: number) => ({ learner: 'K', scanner: 'S', learnerDays, scannerDays });
  const [found] = ageingAgreement([pair(66, 61), pair(61, 59), pair(50, 56)]);
  // 5, 2 and -6: mean 1/3, squares about it 21.78 + 2.78 + 40.11 = 64.67, over 2 = 32.33
  expect(found?.bias).toBeCloseTo(1 / 3, 12);
  expect(found?.sd).toBeCloseTo(Math.sqrt(32 + 1 / 3), 9);
  expect(found?.withinFive).toBeCloseTo(2 / 3, 12); // five counts
  expect(ageingAgreement([])).toEqual([]);
});

it('puts a nest box in on day 28 of 31', () => {
  const [nest] = rabbit.carryingSteps;
  if (!nest) throw new Error('no nest box');
  const birthOn = addDays(day('2026-11-14'), rabbit.gestationDays.mean) as Day;
  expect(carryingStepWindow(nest, birthOn)).toEqual({
    opens: day('2026-12-11'),
    bestFrom: day('2026-12-12'), // 28 days after the service
    bestTo: day('2026-12-12'),
    closes: day('2026-12-13'),
  });
});
