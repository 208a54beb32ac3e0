import { dayOf } from '../calendar';
import { SPECIES_TABLE } from '../species';
import { reachesWeaning, rearedPerYear, youngSurvival } from '.';

const { sheep, rabbit } = SPECIES_TABLE;
const birth = (on: string, reared: number, agesWithHer: readonly number[] = []) => ({
  on: dayOf(on),
  tally: { reared, agesWithHer },
});
const found = (
  births: Parameters<typeof rearedPerYear>[0],
  until: string,
  settings = sheep,
  survival: readonly number[] = [1],
) => rearedPerYear(births, { until: dayOf(until), survival }, settings);

describe('young reared a year', () => {
  it('run from the first birth to the last and on by a year, where she gave birth lately', () => {
    // 365 days between the births and 365 on: 730 / 365.25 years; 3 young.
    const two = found([birth('2024-03-01', 1), birth('2025-03-01', 2)], '2025-06-01');
    expect(two?.years).toBeCloseTo(730 / 365.25, 12);
    expect(two?.perYear).toBeCloseTo((3 * 365.25) / 730, 12);
    // Two litters: the species' spread of 0.6, and the normal: 1.2816 x sqrt(2 x 0.36) / years.
    expect(two?.standardError).toBeCloseTo(Math.sqrt(0.72) / (730 / 365.25), 12);
    expect((two?.high ?? 0) - (two?.perYear ?? 0)).toBeCloseTo(1.2815515655 * (two?.standardError ?? 0), 8);
  });

  it('go on counting while she stays empty, and end when she leaves', () => {
    expect(found([birth('2023-03-01', 2)], '2026-03-01')?.perYear).toBeCloseTo((2 * 365.25) / 1096, 12);
    expect(found([birth('2023-03-01', 2)], '2023-05-01')?.perYear).toBeCloseTo((2 * 365.25) / 365, 12);
  });

  it('draw her own spread to the species’ from three litters on', () => {
    // 1, 2, 3: variance 1. (2 x 1 + 4 x 0.36) / 6 = 0.57333; t(0.9) with 6 degrees is 1.43976.
    const three = found([birth('2023-03-01', 1), birth('2024-03-01', 2), birth('2025-03-01', 3)], '2025-09-01');
    const se = Math.sqrt(3 * ((2 + 4 * 0.36) / 6)) / ((731 + 365) / 365.25);
    expect(three?.standardError).toBeCloseTo(se, 12);
    expect((three?.perYear ?? 0) - (three?.low ?? 0)).toBeCloseTo(1.4397557 * se, 6);
  });

  it('of a doe rabbit run on by a gestation and her wait', () => {
    expect(found([birth('2026-01-01', 7)], '2026-01-20', rabbit)?.years).toBeCloseTo((31 + 28) / 365.25, 12);
  });

  it('count one that is with her by its chance to reach weaning', () => {
    // Ten born; one dies on day 2, one on day 50 of 100: 0.9 and 0.8 are alive.
    const survival = youngSurvival(
      [2, 50, ...Array.from({ length: 8 }, () => 100)].map((days) => ({ days, died: days < 100 })),
      100,
    );
    const one = found([birth('2026-03-01', 1, [10, 60])], '2026-03-11', sheep, survival);
    expect(one).toMatchObject({ weaned: 1 });
    expect(one?.reared).toBeCloseTo(1 + 0.8 / 0.9 + 1, 12);
  });

  it('is no answer without a birth', () => expect(found([], '2026-03-11')).toBeUndefined());
});

describe('young alive at each age', () => {
  it('is the product over the days, those seen for less leaving the count', () => {
    // Four: one dies on day 1 (3/4), one is seen to day 2, one of the two left dies on day 3 (3/8).
    const alive = youngSurvival(
      [
        { days: 1, died: true },
        { days: 2, died: false },
        { days: 3, died: true },
        { days: 9, died: false },
      ],
      5,
    );
    expect(alive).toEqual([1, 0.75, 0.75, 0.375, 0.375, 0.375]);
    expect(reachesWeaning(alive, 0)).toBeCloseTo(0.375, 12);
    expect(reachesWeaning(alive, 2)).toBeCloseTo(0.5, 12);
    expect(reachesWeaning(alive, 40)).toBe(1);
  });

  it('is 1 where nobody was seen, and never rises', () => {
    expect(youngSurvival([], 3)).toEqual([1, 1, 1, 1]);
    const seen = Array.from({ length: 300 }, (_, i) => ({ days: (i * 37) % 120, died: i % 3 === 0 }));
    const alive = youngSurvival(seen, 100);
    alive.forEach((share, age) => expect(share).toBeLessThanOrEqual(alive[age - 1] ?? 1));
  });

  it('lets no one on, once all died', () => {
    const none = youngSurvival([{ days: 1, died: true }], 4);
    expect(reachesWeaning(none, 2)).toBe(0);
  });
});
