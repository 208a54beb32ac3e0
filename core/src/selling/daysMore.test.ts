import { dailyReadings } from '../growth';
import { SPECIES_TABLE } from '../species';
import { day, reading } from '../tests/builders';
import { daysMore, onPlateau, weightAhead, type AllowedDays, type GroupGain, type KeepCost, type ValueIn } from '.';

const { sheep } = SPECIES_TABLE;

interface Asked extends AllowedDays, KeepCost {
  readonly valueIn: ValueIn;
}
const ask = ({ valueIn = (n) => 10_000 + 60 * n, ...change }: Partial<Asked>) =>
  daysMore(
    {
      clearIn: 0,
      oldEnoughIn: 0,
      feedDaysLeft: 40,
      dailyCostMinor: 45,
      survival: 1,
      interestAYear: 0,
      ...change,
    },
    valueIn,
  );
const found = (change: Partial<Asked>) => {
  const answer = ask(change);
  if (answer.kind !== 'days') throw new Error(answer.reason);
  return answer;
};

describe('days more', () => {
  it('pay while a day brings more than it costs: to the last that may be fed', () => {
    expect(found({})).toMatchObject({ bestIn: 40, bestMinor: 10_600 });
    expect(found({ dailyCostMinor: 70 })).toMatchObject({ bestIn: 0, bestMinor: 10_000 });
    // 15 a day: the days that lose no more than 106 are the last seven before day 40.
    expect(found({}).run).toEqual({ from: 33, to: 40 });
  });

  it('end on a plateau, with the first of days that are as good', () => {
    const plateau = found({ valueIn: (n) => 10_000 + 60 * Math.min(n, 18), dailyCostMinor: 45 });
    expect(plateau).toMatchObject({ bestIn: 18, bestMinor: 10_270 });
    expect(found({ valueIn: () => 10_000, dailyCostMinor: 0 })).toMatchObject({ bestIn: 0, run: { from: 0, to: 40 } });
  });

  it('end before a step of fat, and name a later stretch that is as good', () => {
    const step = found({
      valueIn: (n) => 10_000 + 60 * n - (n >= 15 && n < 30 ? 900 : 0),
      dailyCostMinor: 60,
    });
    expect(step).toMatchObject({ bestIn: 0, run: { from: 0, to: 14 }, others: [{ from: 30, to: 40 }] });
  });

  it('lose what dies and what the money would have earned', () => {
    const lossy = found({ survival: 0.999, interestAYear: 0.06, feedDaysLeft: 10, dailyCostMinor: 20 });
    // Day 10: 10 600 x .999^10 - 200 - 10 000 x (1.06^(10/365) - 1) = 10 278.5.
    const by10 = 10_600 * 0.999 ** 10 - 200 - 10_000 * (1.06 ** (10 / 365) - 1);
    expect(lossy.margins[10]).toBeCloseTo(by10, 9);
    expect(lossy.bestMinor).toBeCloseTo(by10, 9);
  });

  it('begin when nothing is withheld and it is old enough', () => {
    expect(found({ clearIn: 6, dailyCostMinor: 90 })).toMatchObject({ bestIn: 6 });
    expect(found({ oldEnoughIn: 9, clearIn: 6, dailyCostMinor: 90 }).margins.findIndex((m) => m !== undefined)).toBe(9);
  });

  it.each([
    [{ clearIn: 41 }, 'withheld'],
    [{ oldEnoughIn: 50 }, 'too-young'],
    [{ feedDaysLeft: -3 }, 'feed-limit'],
    [{ valueIn: () => undefined }, 'no-price'],
  ] as const)('are none with %o, and why', (change, reason) => {
    expect(ask(change)).toEqual({ kind: 'no-day', reason });
  });

  it('go no further than 120', () => {
    expect(found({ feedDaysLeft: undefined }).margins).toHaveLength(121);
  });
});

describe('weight ahead', () => {
  const daily = dailyReadings([reading('2026-10-12', 36), reading('2026-11-09', 41.6), reading('2026-11-16', 43)]);
  const today = day('2026-11-20');
  const group: GroupGain = { meanKgPerDay: 0.15, variance: 0.0016 };
  const ahead = (change: object = {}) =>
    weightAhead({ daily, today, bornOn: undefined, group, isPlateau: false, curve: undefined, ...change }, sheep);

  it('goes on from the last reading by its own gain, believed as far as it is sure', () => {
    const found = ahead();
    // The three lie on a line of .2 kg a day; sure to what the scale leaves: sum((x - 16 1/3)^2 (.025 w)^2) / sxx^2.
    const x = [0, 28, 35];
    const centre = 21;
    const sxx = x.reduce((s, d) => s + (d - centre) ** 2, 0);
    const kg = [36, 41.6, 43];
    const se = Math.sqrt(x.reduce((s, d, i) => s + ((d - centre) * 0.025 * (kg[i] ?? 0)) ** 2, 0)) / sxx;
    const h = 0.0016 / (0.0016 + se ** 2);
    expect(found?.ownShare).toBeCloseTo(h, 9);
    expect(found?.gain).toBeCloseTo(h * 0.2 + (1 - h) * 0.15, 9);
    expect(found?.kgIn(10)).toBeCloseTo(43 + 14 * (h * 0.2 + (1 - h) * 0.15), 9);
    expect(found?.sdIn(10)).toBeCloseTo(Math.hypot(0.025 * 43, 14 * Math.sqrt(h) * se), 9);
  });

  it('is the group’s where it was weighed once', () => {
    const found = ahead({ daily: daily.slice(2) });
    expect(found).toMatchObject({ gain: 0.15, ownShare: 0 });
    expect(found?.sdIn(6)).toBeCloseTo(Math.hypot(0.025 * 43, 10 * 0.04), 9);
    const ofOne = ahead({ daily: daily.slice(2), group: { meanKgPerDay: 0.15, variance: undefined } });
    expect(ofOne).toMatchObject({ gain: 0.15, gainSd: 0.075 });
    expect(ahead({ daily: daily.slice(2), group: undefined })).toBeUndefined();
    // Since a usual birth weight 229 days before, half of it open.
    const sinceBirth = ahead({ daily: daily.slice(2), group: undefined, bornOn: day('2026-04-01') });
    expect(sinceBirth?.gain).toBeCloseTo((43 - (sheep.birthWeightKg[0] ?? 0)) / 229, 9);
    expect(sinceBirth?.gainSd).toBeCloseTo((sinceBirth?.gain ?? 0) / 2, 9);
    expect(ahead({ daily: [] })).toBeUndefined();
  });

  it('is its own alone where there is nobody to hold it against', () => {
    expect(ahead({ group: { meanKgPerDay: 0.15, variance: undefined } })).toMatchObject({ ownShare: 1 });
  });

  it('follows its curve, moved through the last reading', () => {
    const curve = {
      kind: 'curve' as const,
      curve: 'brody' as const,
      matureKg: 62,
      halfWidthKg: 3,
      readings: 5,
      kgAt: (age: number) => 20 + age / 8,
    };
    const found = ahead({ curve, bornOn: day('2026-04-01') });
    expect(found?.byCurve).toBe(true);
    expect(found?.kgIn(8)).toBeCloseTo(43 + 12 / 8, 9);
    expect(ahead({ curve, bornOn: day('2026-04-01'), isPlateau: true })?.byCurve).toBe(false);
  });
});

describe('a plateau', () => {
  const line = (kgs: readonly number[]) =>
    dailyReadings(
      kgs.map((kg, i) => ({ ...reading('2026-09-01', kg), on: (day('2026-09-01') + 7 * i) as ReturnType<typeof day> })),
    );

  it('is a gain of 21 days under a third of the best 42, twice running', () => {
    const growing = [30, 32, 34, 36, 38, 40, 42];
    expect(onPlateau(line(growing), undefined, sheep)).toBe(false);
    expect(onPlateau(line([...growing, 42.3, 42.4, 42.5]), undefined, sheep)).toBe(false);
    expect(onPlateau(line([...growing, 42.3, 42.4, 42.5, 42.6]), undefined, sheep)).toBe(true);
  });

  it('is a gain that does not pay for its keep, twice running', () => {
    const slow = line([30, 31, 32, 33, 34, 35, 36]);
    expect(onPlateau(slow, 0.1, sheep)).toBe(false);
    expect(onPlateau(slow, 0.2, sheep)).toBe(true);
    expect(onPlateau(line([30]), 0.2, sheep)).toBe(false);
  });
});
