import fc from 'fast-check';
import { addDays, type Day } from '../calendar';
import { SPECIES_TABLE } from '../species';
import { day } from '../tests/builders';
import { birthsToCome, gestationSpread } from '.';

const { gestationDays } = SPECIES_TABLE.rabbit; // 31 (29-33): an SD of one day

it('spreads two pregnancies over their days, by hand', () => {
  const made = birthsToCome(
    [
      { conceivedOn: day('2026-11-01'), probability: 1 },
      { conceivedOn: day('2026-11-02'), probability: 0.5 },
    ],
    gestationDays,
    day('2026-11-20'),
  );
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
  const one = [{ conceivedOn: day('2026-11-01'), probability: 1 }];
  const made = birthsToCome(one, gestationDays, day('2026-12-03'));
  // The days +1, +2, +3 are left: .60653, .13534, .01111 of .75298
  expect(made?.perDay[0]).toBeCloseTo(0.60653 / 0.75298, 4);
  expect(made?.total).toBeCloseTo(1, 12);
  expect(birthsToCome(one, gestationDays, day('2026-12-06'))).toBeUndefined();
  const both = birthsToCome(
    [...one, { conceivedOn: day('2026-11-20'), probability: 1 }],
    gestationDays,
    day('2026-12-06'),
  );
  expect(both?.overdue).toBe(1);
});

it('believes less in one who may carry with each day that brings no birth, by hand', () => {
  const one = [{ conceivedOn: day('2026-11-01'), probability: 0.6 }];
  // On 3 December the days +1, +2, +3 are left, .75298 / 2.50596 = .30048 of all: .6 x .30048 / (.6 x .30048 + .4)
  expect(birthsToCome(one, gestationDays, day('2026-12-03'))?.total).toBeCloseTo(0.310683, 5);
  expect(birthsToCome(one, gestationDays, day('2026-11-20'))?.total).toBeCloseTo(0.6, 12);
});

it('adds up to those that are awaited, whoever they are', () => {
  const carrying = fc.record({
    conceivedOn: fc.integer({ min: 0, max: 60 }).map((d) => addDays(day('2026-01-01'), d)),
    probability: fc.double({ min: 0, max: 1, noNaN: true }),
  });
  fc.assert(
    fc.property(fc.array(carrying, { minLength: 1, maxLength: 20 }), fc.integer({ min: 0, max: 60 }), (all, wait) => {
      const asOf = addDays(day('2026-01-20'), wait) as Day;
      const made = birthsToCome(all, gestationDays, asOf);
      const half = (gestationSpread(gestationDays).length - 1) / 2;
      const open = all.filter((c) => c.conceivedOn + gestationDays.mean + half >= asOf);
      // By Bayes, written out: carrying and not yet given birth, against not carrying.
      const spread = gestationSpread(gestationDays);
      const still = (c: (typeof all)[number]): number => {
        const first = c.conceivedOn + gestationDays.mean - half;
        const left = spread.reduce((s, share, d) => (first + d < asOf ? s : s + share), 0);
        return (c.probability * left) / (c.probability * left + (1 - c.probability));
      };
      expect(made?.total ?? 0).toBeCloseTo(
        open.reduce((s, c) => s + still(c), 0),
        9,
      );
      expect(made?.from ?? asOf).toBeGreaterThanOrEqual(asOf);
    }),
    { seed: 7 },
  );
});
