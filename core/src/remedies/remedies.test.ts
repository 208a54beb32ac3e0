import fc from 'fast-check';
import {
  timesLabel,
  batchStock,
  batchToUse,
  doseFor,
  dosesDue,
  doseWeight,
  isoOf,
  openWithdrawals,
  planTurn,
  unusualDose,
  type DoseRule,
  type DoseUnit,
  type ProductLabel,
} from '..';
import { day, reading } from '../tests/builders';

/** A drench of 0.2 ml a kilogram in steps of half a millilitre, unless said otherwise. */
const label = (change: Partial<ProductLabel> = {}): ProductLabel => ({
  doses: [{ species: 'sheep', by: 'kg', perKg: 0.2 }],
  doseUnit: 'ml',
  step: 0.5,
  rounding: 'up',
  maxPerSite: undefined,
  withdrawals: [],
  course: undefined,
  ...change,
});

describe('the weight a dose is worked from', () => {
  const today = day('2026-11-23');
  it('is the last of the scale while it serves, though a tape came later', () => {
    const readings = [reading('2026-11-01', 40), reading('2026-11-20', 46, 'tape')];
    expect(doseWeight(readings, today, false)).toEqual({ kg: 40, method: 'scale', daysOld: 22, cautions: [] });
  });
  it.each([
    [30, []],
    [31, ['old-weight']],
  ])('of a grown animal %i days old: %j', (days, cautions) => {
    const on = isoOf((today - days) as typeof today);
    expect(doseWeight([reading(on, 60)], today, false)?.cautions).toEqual(cautions);
  });
  it.each([
    [10, []],
    [11, ['old-weight']],
  ])('of a young one %i days old: %j', (days, cautions) => {
    const on = isoOf((today - days) as typeof today);
    expect(doseWeight([reading(on, 9)], today, true)?.cautions).toEqual(cautions);
  });
  it('is the tape once the scale is too old, and says so', () => {
    const readings = [reading('2026-05-01', 40), reading('2026-11-22', 52, 'tape')];
    expect(doseWeight(readings, today, false)).toMatchObject({ kg: 52, cautions: ['tape'] });
    expect(doseWeight([], today, false)).toBeUndefined();
  });
});

describe('a dose', () => {
  it.each([
    // 0.2 x 41 = 8.2: up to the next half is 8.5, the nearest is 8.
    ['up' as const, 41, 8.5],
    ['nearest' as const, 41, 8],
    // Exactly on a step stays there, in spite of binary fractions: 0.2 x 42.5 = 8.5.
    ['up' as const, 42.5, 8.5],
    // Less than half a step is still something to give.
    ['nearest' as const, 0.5, 0.5],
  ])('rounded %s for %d kg is %d ml', (rounding, kg, amount) => {
    expect(doseFor(label({ rounding }), { species: 'sheep', kg })).toMatchObject({ kind: 'dose', amount });
  });

  it('follows the bands of the label, the last weight of a band within it', () => {
    const bands = label({
      doses: [
        {
          species: 'sheep',
          by: 'band',
          bands: [
            { upToKg: 60, amount: 12 },
            { upToKg: 30, amount: 6 },
          ],
        },
      ],
    });
    expect([30, 30.1, 60].map((kg) => doseFor(bands, { species: 'sheep', kg }))).toMatchObject([
      { amount: 6 },
      { amount: 12 },
      { amount: 12 },
    ]);
    expect(doseFor(bands, { species: 'sheep', kg: 61 })).toEqual({
      kind: 'no-dose',
      reason: 'above-bands',
      heaviestKg: 60,
    });
  });

  it('is never given for a species or without a weight the label wants', () => {
    expect(doseFor(label(), { species: 'goat', kg: 40 })).toEqual({ kind: 'no-dose', reason: 'species-not-on-label' });
    expect(doseFor(label(), { species: 'sheep', kg: undefined })).toEqual({ kind: 'no-dose', reason: 'no-weight' });
    const bolus = label({ doses: [{ species: 'sheep', by: 'head', amount: 1 }], step: 1 });
    expect(doseFor(bolus, { species: 'sheep', kg: undefined })).toMatchObject({ amount: 1, sites: [1] });
  });

  it.each([
    // 12 ml at most 5: three places of 4.
    [60, 5, [4, 4, 4]],
    // 13 ml in halves over three places: 26 steps are 9, 9, 8.
    [65, 5, [4.5, 4.5, 4]],
    [25, 5, [5]],
    // At most 1.2 in steps of a half: full places of 1, then the rest.
    [11, 1.2, [1, 1, 0.5]],
  ])('for %d kg at most %d ml a place goes in as %j', (kg, maxPerSite, sites) => {
    expect(doseFor(label({ maxPerSite }), { species: 'sheep', kg })).toMatchObject({ sites });
  });

  it('parts add up to the dose, no place has too much, and up is never under', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 900, noNaN: true }),
        fc.constantFrom(0.1, 0.25, 0.5, 1),
        fc.integer({ min: 2, max: 20 }),
        (kg, step, most) => {
          const dose = doseFor(label({ step, maxPerSite: most }), { species: 'sheep', kg });
          if (dose.kind !== 'dose') throw new Error('no dose');
          expect(dose.sites.reduce((s, v) => s + v, 0)).toBeCloseTo(dose.amount, 4);
          expect(Math.max(...dose.sites)).toBeLessThanOrEqual(most + 1e-6);
          expect(dose.amount).toBeGreaterThanOrEqual(dose.exact - 1e-6);
          expect(dose.amount - dose.exact).toBeLessThan(step + 1e-6);
        },
      ),
    );
  });
});

describe('an amount beside the label', () => {
  // 0.2 ml a kilogram: 30 kg are 6 ml.
  const six = doseFor(label({ doses: [{ species: 'sheep', by: 'kg', perKg: 0.2 }] }), { species: 'sheep', kg: 30 });
  it.each([
    [6, undefined],
    [7.2, undefined],
    [7.3, 7.3 / 6],
    [4.8, undefined],
    [4.7, 4.7 / 6],
    [9999, 9999 / 6],
  ])('of %d ml for 6 is that many times the dose where it is far from it', (amount, times) => {
    expect(timesLabel(six, amount)).toEqual(times === undefined ? undefined : expect.closeTo(times, 9));
  });

  it('is far from it too where the step of the syringe makes it so', () => {
    // 2 kg want 0.4 ml, and the syringe measures by halves.
    const coarse = doseFor(label({ doses: [{ species: 'sheep', by: 'kg', perKg: 0.2 }], step: 0.5 }), {
      species: 'sheep',
      kg: 2,
    });
    expect(coarse).toMatchObject({ kind: 'dose', amount: 0.5 });
    expect(timesLabel(coarse, 0.5)).toBeCloseTo(1.25, 9);
  });

  it('has nothing to be held against where the label says nothing', () => {
    expect(timesLabel(doseFor(label(), { species: 'rabbit', kg: 3 }), 5)).toBeUndefined();
  });
});

describe('the least age and weight of a label', () => {
  const bolus = label({
    doses: [{ species: 'sheep', by: 'head', amount: 1, fromDays: 90, fromKg: 25 }],
    doseUnit: 'bolus',
    step: 1,
  });
  it.each<[number | undefined, number | undefined, object]>([
    [2, 4, { kind: 'no-dose', reason: 'too-young', fromDays: 90, ageDays: 2 }],
    [89, 40, { kind: 'no-dose', reason: 'too-young', fromDays: 90, ageDays: 89 }],
    [90, 24.9, { kind: 'no-dose', reason: 'too-light', fromKg: 25, kg: 24.9 }],
    [90, 25, { kind: 'dose', amount: 1 }],
    // Of what is not known nothing is said: an old ewe that was bought has no birth date.
    [undefined, undefined, { kind: 'dose', amount: 1 }],
    [undefined, 24, { kind: 'no-dose', reason: 'too-light' }],
  ])('at %s days and %s kg', (ageDays, kg, expected) => {
    expect(doseFor(bolus, { species: 'sheep', kg, ageDays })).toMatchObject(expected);
  });
});

describe('rounding to the step of the syringe', () => {
  it.each<[Partial<ProductLabel>, number, number]>([
    // 0.07 ml a kilogram for 30 kg is 2.1: 21 steps of a tenth, not 20.
    [{ doses: [{ species: 'sheep', by: 'kg', perKg: 0.07 }], step: 0.1 }, 30, 2.1],
    // A half goes up: 0.05 x 45 is 2.25.
    [{ doses: [{ species: 'sheep', by: 'kg', perKg: 0.05 }], step: 0.5 }, 45, 2.5],
    [{ doses: [{ species: 'sheep', by: 'kg', perKg: 0.07 }], step: 0.1 }, 45, 3.2],
    // Amounts of bands and of heads are measured with the same syringe.
    [{ doses: [{ species: 'sheep', by: 'band', bands: [{ upToKg: 60, amount: 2.3 }] }], step: 0.5 }, 40, 2.5],
    [{ doses: [{ species: 'sheep', by: 'head', amount: 2.2 }], step: 0.5 }, 40, 2],
    [{ doses: [{ species: 'sheep', by: 'head', amount: 0.1 }], step: 0.5 }, 40, 0.5],
  ])('%j for %d kg is %d', (change, kg, amount) => {
    expect(doseFor(label({ rounding: 'nearest', ...change }), { species: 'sheep', kg })).toMatchObject({ amount });
  });
});

describe('a label that was likely typed wrong', () => {
  it.each<[DoseRule, DoseUnit, object | undefined]>([
    [{ species: 'sheep', by: 'kg', perKg: 0.2 }, 'ml', undefined],
    [{ species: 'sheep', by: 'kg', perKg: 99_999 }, 'ml', { amount: 6_499_935, kg: 65 }],
    [{ species: 'rabbit', by: 'head', amount: 20 }, 'ml', undefined],
    [{ species: 'rabbit', by: 'head', amount: 25 }, 'ml', { amount: 25, kg: 4 }],
    [
      {
        species: 'cattle',
        by: 'band',
        bands: [
          { upToKg: 100, amount: 20 },
          { upToKg: 300, amount: 6000 },
        ],
      },
      'ml',
      { amount: 6000, kg: 300 },
    ],
    [{ species: 'cattle', by: 'head', amount: 2 }, 'bolus', undefined],
    [{ species: 'cattle', by: 'head', amount: 20 }, 'bolus', { amount: 20 }],
  ])('%j in %s', (rule, unit, expected) => {
    if (expected) expect(unusualDose(rule, unit)).toMatchObject(expected);
    else expect(unusualDose(rule, unit)).toBeUndefined();
  });
});

it('comes to an end where a label allows less at one place than the syringe measures', () => {
  const wrong = label({ doses: [{ species: 'sheep', by: 'head', amount: 3 }], step: 0.5, maxPerSite: 0.2 });
  expect(doseFor(wrong, { species: 'sheep', kg: 40 })).toMatchObject({ sites: [3] });
});

describe('a withdrawal', () => {
  const given = (on: string, meatDays: number | undefined, milkDays?: number, productId = 'a') => ({
    on: day(on),
    productId,
    meatDays,
    milkDays,
  });
  it.each([
    // Given on 20 November with 7 days: 27 November is the last counted day.
    ['2026-11-27', 1],
    ['2026-11-28', 0],
    ['2026-11-19', 0], // not given yet
  ])('of 7 days on %s: %i open', (on, open) => {
    expect(openWithdrawals([given('2026-11-20', 7)], day(on))).toHaveLength(open);
  });
  it('runs over a leap day and a year end', () => {
    expect(isoOf(openWithdrawals([given('2028-02-20', 14)], day('2028-02-21'))[0]?.until ?? day('1999-01-01'))).toBe(
      '2028-03-05',
    );
    expect(isoOf(openWithdrawals([given('2026-12-20', 14)], day('2026-12-21'))[0]?.until ?? day('1999-01-01'))).toBe(
      '2027-01-03',
    );
  });
  it('is the longest of several, for meat and milk by themselves; 0 days withhold nothing', () => {
    const all = [given('2026-11-01', 28, 0), given('2026-11-20', 3, 5, 'b')];
    expect(openWithdrawals(all, day('2026-11-21'))).toEqual([
      { of: 'meat', from: day('2026-11-01'), until: day('2026-11-29'), productId: 'a' },
      { of: 'milk', from: day('2026-11-20'), until: day('2026-11-25'), productId: 'b' },
    ]);
  });
});

it('takes the batch that expires first, and none that is over or empty', () => {
  const stock = batchStock(
    [
      { batch: 'new', expiresOn: day('2027-12-31'), amount: 100 },
      { batch: 'soon', expiresOn: day('2026-12-20'), amount: 100 },
      { batch: 'old', expiresOn: day('2026-11-22'), amount: 100 },
      { batch: 'empty', expiresOn: day('2026-12-01'), amount: 50 },
    ],
    new Map([
      ['empty', 50],
      ['soon', 20.5],
    ]),
    day('2026-11-23'),
  );
  expect(stock.map((b) => [b.batch, b.left, b.state])).toEqual([
    ['old', 100, 'expired'],
    ['empty', 0, 'used-up'],
    ['soon', 79.5, 'expires-soon'],
    ['new', 100, 'good'],
  ]);
  expect(batchToUse(stock)?.batch).toBe('soon');
});

describe('doses of a course', () => {
  const course = { times: 3, everyDays: 14 };
  const due = (asOf: string, ...on: string[]) =>
    dosesDue(
      on.map((d) => ({ on: day(d), productId: 'a' })),
      () => course,
      day(asOf),
    ).map((d) => [d.nth, isoOf(d.window.bestFrom)]);
  it.each([
    [['2026-11-01'], [[2, '2026-11-15']]],
    [['2026-11-01', '2026-11-15'], [[3, '2026-11-29']]],
    [['2026-10-01', '2026-10-15', '2026-10-29'], []], // done
    [['2026-09-01'], []], // broken off: three spacings are past
    [['2026-05-01', '2026-11-10'], [[2, '2026-11-24']]], // a new course
  ])('after %j is %j', (given, expected) => {
    expect(due('2026-11-16', ...given)).toEqual(expected);
  });
});

describe('a turn of a yearly plan', () => {
  it.each([
    ['2026-11-23', '2027-03-01'],
    ['2027-03-31', '2027-03-01'],
    ['2027-04-01', '2027-09-01'],
  ])('in March and September, on %s is that of %s', (asOf, bestFrom) => {
    expect(isoOf(planTurn([3, 9], day(asOf)).window.bestFrom)).toBe(bestFrom);
  });
  it('ends with its month, also in a leap February', () => {
    expect(isoOf(planTurn([2], day('2028-01-10')).window.closes)).toBe('2028-02-29');
    expect(() => planTurn([], day('2026-11-23'))).toThrow(RangeError);
  });
});
