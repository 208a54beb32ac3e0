import fc from 'fast-check';
import { addDays, type Day } from '../calendar';
import { SPECIES_TABLE } from '../species';
import { day } from '../tests/builders';
import { birthsToCome, birthSpread, birthsWithin, birthWindow, daysShortOfPens, type Carrying } from '.';

const { gestationDays } = SPECIES_TABLE.rabbit; // 31 (29-33): an SD of one day
const one = (on: Day, probability: number): Carrying => ({
  spread: birthSpread([{ on, share: 1, sd: 0 }], gestationDays),
  probability,
});

it('spreads two pregnancies over their days, by hand', () => {
  const made = birthsToCome([one(day('2026-11-01'), 1), one(day('2026-11-02'), 0.5)], day('2026-11-20'));
  if (!made) throw new Error('nobody is awaited');
  // exp(-d²/2) for d = 0, 1, 2, 3 is 1, .60653, .13534, .01111; their sum over both sides 2.50596.
  const share = (d: number) => Math.exp((-d * d) / 2) / 2.505963;
  const on = (iso: string) => made.perDay[day(iso) - made.from] ?? 0;
  expect(made.from).toBe(day('2026-11-29')); // three days before day 31
  expect(on('2026-12-02')).toBeCloseTo(share(0) + 0.5 * share(1), 5);
  expect(on('2026-12-03')).toBeCloseTo(share(1) + 0.5 * share(0), 5);
  expect(made.total).toBeCloseTo(1.5, 12);
  const [p, q] = [share(0), 0.5 * share(1)];
  expect(made.sdPerDay[3]).toBeCloseTo(Math.sqrt(p * (1 - p) + q * (1 - q)), 5);
  // All of the first lies in the week; of the second all, too: only who carries is not known.
  expect(made.peakWeekFrom).toBe(day('2026-11-29'));
  expect(made.overdue).toBe(0);
});

it('takes the days gone by off and scales up the rest, and counts who is over her time', () => {
  const first = one(day('2026-11-01'), 0.8);
  const made = birthsToCome([first], day('2026-12-03'));
  // The days +1, +2, +3 are left: .60653, .13534, .01111 of .75298
  expect(made?.perDay[0]).toBeCloseTo((0.8 * 0.60653) / 0.75298, 4);
  expect(made?.total).toBeCloseTo(0.8, 12);
  expect(birthsToCome([first], day('2026-12-06'))).toBeUndefined();
  expect(birthsToCome([first, one(day('2026-11-20'), 1)], day('2026-12-06'))?.overdue).toBe(1);
});

it('adds up to those that are awaited, whoever they are', () => {
  const carrying = fc.record({
    days: fc.array(fc.integer({ min: 0, max: 60 }), { minLength: 1, maxLength: 3 }),
    sd: fc.integer({ min: 0, max: 6 }),
    probability: fc.double({ min: 0, max: 1, noNaN: true }),
  });
  fc.assert(
    fc.property(fc.array(carrying, { minLength: 1, maxLength: 20 }), fc.integer({ min: 0, max: 60 }), (all, wait) => {
      const asOf = addDays(day('2026-01-20'), wait) as Day;
      const told = all.map(({ days, sd, probability }): Carrying => {
        const conceptions = days.map((d) => ({ on: addDays(day('2026-01-01'), d), share: 1 / days.length, sd }));
        return { spread: birthSpread(conceptions, gestationDays), probability };
      });
      const open = told.filter((c) => c.spread.start + c.spread.shares.length > asOf);
      const made = birthsToCome(told, asOf);
      const sum = (list: readonly number[]): number => list.reduce((s, n) => s + n, 0);
      expect(made?.total ?? 0).toBeCloseTo(sum(open.map((c) => c.probability)), 9);
      for (const { spread } of told) expect(sum(spread.shares)).toBeCloseTo(1, 9);
      expect(made?.from ?? asOf).toBeGreaterThanOrEqual(asOf);
    }),
    { seed: 7 },
  );
});

describe('the window of a birth', () => {
  const goat = SPECIES_TABLE.goat.gestationDays; // 150 (145-155)
  it('goes from the earliest conception that counts to the latest, best around the likeliest', () => {
    const conceptions = [
      { on: day('2026-09-20'), share: 0.2, sd: 0 },
      { on: day('2026-10-04'), share: 0.8, sd: 0 },
    ];
    expect(birthWindow(conceptions, goat)).toEqual({
      opens: day('2027-02-12'), // 20 September and 145 days
      bestFrom: day('2027-03-01'), // 4 October and 148
      bestTo: day('2027-03-06'), // 4 October and 153
      closes: day('2027-03-08'), // 4 October and 155
    });
    expect(
      birthWindow(
        [
          { on: day('2026-09-20'), share: 0.03, sd: 0 },
          { on: day('2026-10-04'), share: 0.97, sd: 0 },
        ],
        goat,
      ).opens,
    ).toBe(day('2027-02-26'));
  });
  it('is wider by a day of conception that is not known', () => {
    // Gestation's SD of 2.5 days and 6 of the date: 6.5, three of them 19.5.
    const { start, shares } = birthSpread([{ on: day('2026-10-04'), share: 1, sd: 6 }], goat);
    expect(shares).toHaveLength(41);
    expect(start).toBe(addDays(day('2026-10-04'), 150 - 20));
  });
});

it('adds births over days, and counts the days on which pens run short', () => {
  const perDay = [1, 2, 0, 3, 1];
  expect(birthsWithin({ from: day('2027-03-01'), perDay }, day('2027-03-02'), 3)).toBe(5);
  expect(birthsWithin({ from: day('2027-03-01'), perDay }, day('2027-02-20'), 7)).toBe(0);
  // Two days in a pen: 1, 3, 2, 3, 4 births in pens; over 2 on three days.
  expect(daysShortOfPens(perDay, 2, 2)).toBe(3);
});
