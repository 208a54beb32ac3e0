import fc from 'fast-check';
import { addDays } from '../calendar';
import { SPECIES, SPECIES_TABLE } from '../species';
import { aLamb, day, reading } from '../tests/builders';
import {
  adjustedWeight,
  adultAlarm,
  breakdownAgainstMean,
  contemporaryGroups,
  dailyReadings,
  doubtForAge,
  doubtLitter,
  doubtReading,
  factorClasses,
  factorRecord,
  fitFactors,
  gainBetween,
  gainOverPeriod,
  gainSinceFirst,
  groupBand,
  judgeGain,
  lastGain,
  likeForLikeRatios,
  litterChange,
  litterSpread,
  nextWeighing,
  notGrowing,
  readingBefore,
  shippedFactors,
  weightAtAge,
  weightOn,
  unlikelyPan,
  type AdjustedWeight,
  type FactorRecord,
  type KnownReadings,
  type WithGain,
} from '.';

const sheep = SPECIES_TABLE.sheep;
const table = shippedFactors(sheep.growthFactors);
const adjusted = (lamb: Parameters<typeof adjustedWeight>[0], age = 90): AdjustedWeight => {
  const answer = adjustedWeight(lamb, age, sheep, table);
  if (answer.kind !== 'adjusted') throw new Error(answer.reason);
  return answer;
};

describe('readings', () => {
  it('averages those of a day by one method and lets the surest method count', () => {
    expect(
      dailyReadings([
        reading('2026-05-02', 30),
        reading('2026-05-01', 20),
        reading('2026-05-01', 21),
        reading('2026-05-01', 25, 'tape'),
      ]),
    ).toEqual([reading('2026-05-01', 20.5), reading('2026-05-02', 30)]);
  });

  // Limits by hand, sheep: noise 5 x 0.025 x hypot(w1, w2); up to 0.6 kg a day more, down 15 % at once + 0.5 % a day.
  it.each([
    [27.2, 28.9, undefined],
    [27.2, 72.2, 'jump'],
    [72.2, 27.2, 'fall'],
    [60, 47, undefined], // a birth
  ])('from %f to %f kg in seven days: %s', (before, after, kind) => {
    expect(doubtReading({ before: reading('2026-05-01', before) }, reading('2026-05-08', after), sheep)?.kind).toBe(
      kind,
    );
  });
  it.each<[KnownReadings, number, object | undefined]>([
    // The point in another place, or one unit for the other.
    [{ before: reading('2026-05-01', 58.5) }, 585, { kind: 'jump', likelyKg: 58.5 }],
    [{ before: reading('2026-05-01', 58.5) }, 5.9, { kind: 'fall', likelyKg: 59 }],
    [{ before: reading('2026-05-01', 58.5) }, 0.0592, { kind: 'fall', likelyKg: 59.2 }],
    [{ before: reading('2026-05-01', 58.5) }, 130, { kind: 'jump', likelyKg: undefined }],
    // Twice on a day.
    [{ sameDay: reading('2026-05-08', 58.5) }, 130, { kind: 'same-day', fromKg: 58.5 }],
    [{ sameDay: reading('2026-05-08', 58.5) }, 59.5, undefined],
    [{ sameDay: reading('2026-05-08', 58.5), before: reading('2026-05-01', 58) }, 130, { kind: 'same-day' }],
    // First weights, by the age.
    [{ ageDays: 2 }, 4.2, undefined],
    [{ ageDays: 2 }, 42, { kind: 'for-age', ageDays: 2, likelyKg: 4.2 }],
    [{ ageDays: 2 }, 0.42, { kind: 'for-age', likelyKg: 4.2 }],
    [{ ageDays: 1500 }, 6.5, { kind: 'for-age', likelyKg: 65 }],
    [{ ageDays: 1500 }, 65, undefined],
    [{}, 6.5, undefined],
  ])('%j beside %d kg', (known, kg, expected) => {
    const doubt = doubtReading(known, reading('2026-05-08', kg), sheep);
    if (expected === undefined) expect(doubt).toBeUndefined();
    else expect(doubt).toMatchObject(expected);
  });
  it.each<[number, number, number | undefined, object[]]>([
    // Seven kits of ten days: 14.5 g and 14,500 g are slips, 1,450 g is not.
    [1.45, 7, 7, []],
    [0.0145, 7, 7, [{ kind: 'by-the-head', likelyKg: 0.145 * 10 }]],
    [14.5, 7, 7, [{ kind: 'by-the-head', likelyKg: 1.45 }]],
    [1.45, 8, 7, [{ kind: 'heads', count: 8, heads: 7 }]],
    [1.45, 8, undefined, []],
  ])('a litter of %d kg, %d of %s', (totalKg, count, heads, expected) => {
    expect(doubtLitter({ totalKg, count }, { heads, ageDays: 10 }, SPECIES_TABLE.rabbit)).toMatchObject(expected);
  });
  it('asks nothing of litters and young as they commonly are', () => {
    fc.assert(
      fc.property(fc.constantFrom(...SPECIES), fc.integer({ min: 0, max: 200 }), (species, ageDays) => {
        const settings = SPECIES_TABLE[species];
        // Half of the fastest gain from the usual birth weight.
        const kg = Math.min(
          (settings.birthWeightKg[0] ?? 0) + (settings.fastestGainKgPerDay / 2) * ageDays,
          settings.heaviestKg / 3,
        );
        expect(doubtForAge(kg, ageDays, settings)).toBeUndefined();
      }),
    );
  });
  it.each([
    [0.35, undefined],
    [25, undefined],
    [350, { likelyKg: 0.35 }],
    [40_000, { likelyKg: undefined }],
  ])('a pan of %d kg', (kg, expected) => {
    expect(unlikelyPan(kg)).toEqual(expected);
  });
});

describe('gain', () => {
  it('has the error that gut fill leaves', () => {
    // (34 - 30) / 14 days = 0.2857; sqrt(0.75^2 + 0.85^2) / 14 = 0.08097.
    const gain = gainBetween(reading('2026-05-01', 30), reading('2026-05-15', 34), sheep);
    expect(gain).toMatchObject({ kind: 'gain', readings: 2 });
    if (gain.kind !== 'gain') return;
    expect(gain.kgPerDay).toBeCloseTo(4 / 14, 10);
    expect(gain.standardError).toBeCloseTo(0.08097, 5);
    expect(gain.halfWidth).toBeCloseTo(1.28155 * 0.08097, 4);
  });

  it('is too soon to tell after four days, and told after fifty', () => {
    const soon = gainBetween(reading('2026-05-01', 30), reading('2026-05-05', 30.8), sheep);
    const later = gainBetween(reading('2026-05-01', 30), reading('2026-06-20', 40), sheep);
    if (soon.kind !== 'gain' || later.kind !== 'gain') throw new Error('both are gains');
    expect(judgeGain(soon, 0.1)).toBe('too-soon');
    expect(judgeGain(later, 0.1)).toBe('above');
    expect(judgeGain(later, 0.4)).toBe('below');
  });

  it('needs two dates', () => {
    expect(lastGain([], sheep)).toEqual({ kind: 'no-gain', reason: 'no-reading' });
    expect(lastGain([reading('2026-05-01', 30)], sheep)).toEqual({ kind: 'no-gain', reason: 'one-date' });
  });

  it('crosses a leap day by whole days', () => {
    const gain = gainBetween(reading('2024-02-28', 30), reading('2024-03-01', 31), sheep);
    expect(gain.kind === 'gain' && gain.kgPerDay).toBeCloseTo(0.5, 12);
  });

  it('over a period is the least-squares slope, never surer than the scale', () => {
    const onALine = ['2026-05-01', '2026-05-15', '2026-05-29', '2026-06-12'].map((on, i) => reading(on, 30 + 2 * i));
    const gain = gainOverPeriod(onALine, { from: day('2026-05-01'), to: day('2026-06-30') }, sheep);
    if (gain.kind !== 'gain') throw new Error('a gain');
    expect(gain.kgPerDay).toBeCloseTo(2 / 14, 10);
    // By hand: sqrt(sum((x - mean)^2 s^2)) / Sxx with x -21 -7 7 21, s 0.75 0.8 0.85 0.9, Sxx 980.
    expect(gain.standardError).toBeCloseTo(
      Math.sqrt((21 * 0.75) ** 2 + (7 * 0.8) ** 2 + (7 * 0.85) ** 2 + (21 * 0.9) ** 2) / 980,
      10,
    );
  });

  it('between any two readings does not depend on when the year began', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400 }), fc.integer({ min: 0, max: 3000 }), (days, shift) => {
        const at = (start: string) =>
          gainBetween(
            { ...reading(start, 20), on: addDays(day(start), shift) },
            { ...reading(start, 30), on: addDays(day(start), shift + days) },
            sheep,
          );
        const a = at('2024-01-01');
        const b = at('2025-06-01');
        expect(a.kind === 'gain' && b.kind === 'gain' && a.kgPerDay === b.kgPerDay).toBe(true);
      }),
    );
  });
});

describe('weight set to an age', () => {
  it('follows the linear rule', () => {
    // 4 + (25 - 4) / 100 x 90 = 22.9
    expect(weightAtAge({ kg: 25, ageDays: 100, birthKg: 4, standardDays: 90 })).toEqual({ kind: 'weight', kg: 22.9 });
  });

  it.each([
    [{ kg: 25, ageDays: 0, birthKg: 4, standardDays: 90 }, 'age-zero'],
    [{ kg: 25, ageDays: 90, birthKg: undefined, standardDays: 90 }, 'no-birth-weight'],
    [{ kg: 25, ageDays: 44, birthKg: 4, standardDays: 90 }, 'age-too-far'],
    [{ kg: 25, ageDays: 136, birthKg: 4, standardDays: 90 }, 'age-too-far'],
  ])('of %j gives no answer: %s', (input, reason) => {
    expect(weightAtAge(input)).toMatchObject({ kind: 'no-answer', reason });
  });

  it('takes the reading nearest the age and multiplies by the factors', () => {
    const lamb = aLamb({
      birthType: 1,
      rearingType: 1,
      sex: 'male',
      damAgeYears: 2,
      daily: [reading('2026-04-01', 5), reading('2026-06-10', 24), reading('2026-07-10', 32)],
    });
    const set = adjusted(lamb);
    // 10 July is day 100: 5 + 27 / 100 x 90 = 29.3; x 0.92 single x 0.91 male x 1.04 two-year-old dam.
    expect(set.reading.on).toBe(day('2026-07-10'));
    expect(set.birthWeight).toBe('weighed');
    expect(set.kg).toBeCloseTo(29.3 * 0.92 * 0.91 * 1.04, 10);
    expect(set.standardError).toBeCloseTo(0.8 * 0.9 * 0.92 * 0.91 * 1.04, 10);
  });

  it('says when it used the usual birth weight, and takes an unknown class as the base', () => {
    const set = adjusted(aLamb({ birthType: undefined, damAgeYears: undefined, daily: [reading('2026-07-10', 32)] }));
    expect(set).toMatchObject({
      birthWeight: 'default',
      birthKg: 4.6,
      classes: { birthType: undefined, damAge: undefined },
      factors: { birthType: 1, damAge: 1 },
    });
  });

  it.each([
    [7, 7, '5-7'],
    [12, 10, '10+'],
    [2, 2, '1-4'],
  ])('puts a kit from a litter of %i in its band', (birthType, rearingType, key) => {
    const traits = { sex: 'female', birthType, rearingType, damAgeYears: 9 } as const;
    expect(factorClasses(traits, SPECIES_TABLE.rabbit.growthFactors)).toEqual({
      birthType: key,
      sex: 'female',
      damAge: '7+',
    });
  });
});

describe('factors fitted from the holding', () => {
  const record = (kg: number, sex: 'female' | 'male', batch: string): FactorRecord => ({
    kg,
    batch,
    classes: { birthType: '2-2', sex, damAge: '4' },
  });
  const records = (each: number): FactorRecord[] =>
    Array.from({ length: each }, (_, i) => [
      record(30 + (i % 3), 'female', `b${i % 4}`),
      record((30 + (i % 3)) * 1.25, 'male', `b${i % 4}`),
    ]).flat();

  it('stay the table’s below 60 records in the class', () => {
    expect(fitFactors(records(59), sheep.growthFactors).sex.male).toMatchObject({
      factor: 0.91,
      source: 'table',
      records: 59,
    });
  });

  it('are shrunk toward the table with weight n / (n + 60)', () => {
    // 60 males a quarter heavier: own factor 1 / 1.25 = 0.8; half way on the log scale to 0.91.
    const male = fitFactors(records(60), sheep.growthFactors).sex.male;
    expect(male).toMatchObject({ source: 'own', records: 60, ownWeight: 0.5 });
    expect(male?.factor).toBeCloseTo(Math.sqrt(0.8 * 0.91), 4);
  });

  it('do not take a good year for a good sex', () => {
    // All males in a year half as heavy again: inside the batches there is nothing to tell the sexes apart.
    const apart = Array.from({ length: 80 }, (_, i) => [
      record(30 + (i % 5), 'female', 'poor'),
      record(45 + (i % 5), 'male', 'good'),
    ]).flat();
    const male = fitFactors(apart, sheep.growthFactors).sex.male;
    expect(male?.factor).toBeCloseTo(Math.exp((60 / 140) * Math.log(0.91)), 3); // own effect 0
  });
});

describe('contemporaries', () => {
  const lamb = (id: string, born: string, groupId = 'g', sex: 'female' | 'male' = 'female') => ({
    id,
    species: 'sheep' as const,
    sex,
    groupId,
    bornOn: day(born),
  });
  it('are born within 35 days of the first, in one group and of one sex', () => {
    const groups = contemporaryGroups([
      lamb('c', '2026-05-07'),
      lamb('a', '2026-04-01'),
      lamb('b', '2026-05-06'),
      lamb('d', '2026-04-02', 'g', 'male'),
      lamb('e', '2026-04-02', 'h'),
    ]);
    expect(groups.map((g) => g.members.map((m) => m.id))).toEqual([['a', 'b'], ['c'], ['d'], ['e']]);
  });
  it('say when they are few', () => {
    expect(likeForLikeRatios([27, 30, 33])?.(33)).toEqual({ ratio: 110, groupSize: 3, isSmallGroup: true });
    expect(likeForLikeRatios([])).toBeUndefined();
  });
});

describe('the like-for-like breakdown', () => {
  it('equals the figures worked by hand', () => {
    const single = adjusted(
      aLamb({ id: 's', birthType: 1, rearingType: 1, daily: [reading('2026-04-01', 5), reading('2026-07-10', 35)] }),
    );
    const twin = adjusted(aLamb({ id: 't', daily: [reading('2026-04-01', 4), reading('2026-06-30', 29)] }));
    // single: read 35, at 90 days 5 + 30 x 0.9 = 32, x 0.92 = 29.44; twin: read 29 at 90 days, stays 29. Means 32, 30.5, 29.22.
    const parts = breakdownAgainstMean(single, [single, twin]);
    expect(parts.totalGrams).toBe(3000);
    expect(parts.parts).toEqual({ age: 1500, birthType: 1280, sex: 0, damAge: 0, likeForLike: 220 });
    expect(parts.ageDaysAgainstMean).toBe(5);
  });

  it('adds up to the last gram for any set', () => {
    const lambs = fc.array(
      fc.record({
        kg: fc.double({ min: 10, max: 60, noNaN: true }),
        type: fc.integer({ min: 1, max: 3 }),
        dam: fc.integer({ min: 1, max: 9 }),
        age: fc.integer({ min: 45, max: 135 }),
      }),
      { minLength: 1, maxLength: 20 },
    );
    fc.assert(
      fc.property(lambs, (list) => {
        const set = list.map((l, i) =>
          adjusted(
            aLamb({
              id: String(i),
              birthType: l.type,
              rearingType: l.type,
              damAgeYears: l.dam,
              daily: [{ on: addDays(day('2026-04-01'), l.age), kg: l.kg, method: 'scale' }],
            }),
          ),
        );
        for (const own of set) {
          const { totalGrams, parts } = breakdownAgainstMean(own, set);
          expect(Object.values(parts).reduce((s, p) => s + p, 0)).toBe(totalGrams);
        }
      }),
    );
  });
});

describe('not growing', () => {
  const withGain = (id: string, first: number, last: number): WithGain => ({
    id,
    species: 'sheep',
    sex: 'female',
    groupId: 'g',
    bornOn: day('2026-04-01'),
    gain: gainBetween(reading('2026-08-01', first), reading('2026-10-01', last), sheep),
  });
  const flock = [withGain('a', 30, 40), withGain('b', 30, 41), withGain('c', 31, 41), withGain('d', 33, 33.5)];
  it('lists who is surely under half the median, and leaves chance out', () => {
    const list = notGrowing(contemporaryGroups(flock), day('2026-09-01'));
    expect(list.map((n) => n.animalId)).toEqual(['d']);
    expect(list[0]).toMatchObject({ groupSize: 4, isSmallGroup: true });
    expect(notGrowing(contemporaryGroups([...flock.slice(0, 3), withGain('d', 33, 37)]), day('2026-09-01'))).toEqual(
      [],
    );
  });
  it('leaves old news out', () => {
    expect(notGrowing(contemporaryGroups(flock), day('2026-10-02'))).toEqual([]);
  });
});

describe('the adult alarm', () => {
  const usual = [reading('2024-11-05', 64), reading('2025-11-08', 66), reading('2026-05-01', 58)];
  it('holds a weight against the same stage of the years before', () => {
    expect(adultAlarm([...usual, reading('2026-11-07', 59)], [])).toMatchObject({
      kind: 'under-usual',
      usualKg: 65,
      readings: 2,
    });
    expect(adultAlarm([...usual, reading('2026-11-07', 60)], [])).toBeUndefined(); // 92.3 %
    // 92 % of 65 kg to the gram: 65 x 0.92 is a little over 59.8 in binary fractions.
    expect(adultAlarm([...usual, reading('2026-11-07', 59.8)], [])).toBeUndefined();
  });
  it('sees a fall in thirty days, but not at a birth', () => {
    const fall = [reading('2026-03-01', 70), reading('2026-03-25', 62)];
    expect(adultAlarm(fall, [])).toMatchObject({ kind: 'fall', days: 24 });
    expect(adultAlarm(fall, [day('2026-03-10')])).toBeUndefined();
  });
  it('knows the stage over a year’s end', () => {
    expect(adultAlarm([reading('2024-12-28', 65), reading('2026-01-04', 55)], [])).toMatchObject({
      kind: 'under-usual',
      usualKg: 65,
    });
  });
});

describe('litters', () => {
  it('show the runts', () => {
    const kgs = [0.5, 0.52, 0.48, 0.3];
    expect(litterSpread(kgs.map((kg, i) => ({ id: String(i), kg })))).toMatchObject({
      count: 4,
      meanKg: 0.45,
      runtIds: ['3'],
    });
  });
});

describe('the band of a group', () => {
  it('is the middle half of the weights read off between weighings', () => {
    const member = (kg: number) => ({
      bornOn: day('2026-04-01'),
      daily: [reading('2026-04-01', 4), reading('2026-04-21', kg)],
    });
    // Half way at day 10: 12, 14, 16, 18, 20.
    expect(groupBand([20, 24, 28, 32, 36].map(member), [10, 30])).toEqual([
      { ageDays: 10, lowKg: 14, midKg: 16, highKg: 18, animals: 5 },
    ]);
  });
});

describe('the next weighing', () => {
  const born = day('2026-04-01');
  it.each([
    ['2026-04-20', [], '8 week weight'],
    ['2026-06-01', [reading('2026-05-28', 20)], '16 week weight'],
    ['2026-06-20', [], '16 week weight'], // the 8 week window is over
    ['2026-10-01', [reading('2026-09-20', 40)], 'After weaning, fortnightly'],
  ])('on %s is the %s', (asOf, daily, step) => {
    expect(nextWeighing(born, daily, sheep.weighing, day(asOf))?.step).toBe(step);
  });
  it('begins the rhythm of one that came later with the day it came, and is never late for what was before', () => {
    const came = day('2026-11-30');
    const due = nextWeighing(born, [], sheep.weighing, came, came);
    expect(due?.window.bestFrom).toBe(came);
    expect(due?.window.closes).toBeGreaterThan(came);
    // Born here, it is as late as it is.
    expect(nextWeighing(born, [], sheep.weighing, came)?.window.closes).toBeLessThan(came);
    // Weighed where it was bought from, a day before: the rhythm runs from there.
    expect(nextWeighing(born, [reading('2026-11-29', 40)], sheep.weighing, came, came)?.window.bestFrom).toBe(
      day('2026-12-13'),
    );
  });
  it('runs from the last weighing in a rhythm', () => {
    const due = nextWeighing(born, [reading('2026-09-20', 40)], sheep.weighing, day('2026-10-01'));
    expect(due?.window).toEqual({
      opens: day('2026-10-01'),
      bestFrom: day('2026-10-04'),
      bestTo: day('2026-10-07'),
      closes: day('2026-10-10'),
    });
  });
});

describe('a record to fit factors from', () => {
  it('is the weight at the age by the linear rule, with its classes and its five weeks', () => {
    // 4 kg at birth, 31 kg at 108 days: 4 + 27 / 108 x 90 = 26.5 kg.
    const lamb = aLamb({ daily: [reading('2026-04-01', 4), reading('2026-07-18', 31)] });
    const record = factorRecord(lamb, 90, sheep);
    expect(record?.kg).toBeCloseTo(26.5, 10);
    expect(record?.classes).toEqual({ birthType: '2-2', sex: 'female', damAge: '4' });
    const fiveWeeksOn = factorRecord(
      { ...lamb, bornOn: addDays(lamb.bornOn, 35), daily: lamb.daily.map((r) => ({ ...r, on: addDays(r.on, 35) })) },
      90,
      sheep,
    );
    expect(Number(fiveWeeksOn?.batch)).toBe(Number(record?.batch) + 1);
  });
  it('is none without a reading from half to one and a half of the age', () => {
    // 44 days is under half of 90, 136 over one and a half.
    const lamb = aLamb({ daily: [reading('2026-05-15', 15), reading('2026-08-15', 40)] });
    expect(factorRecord(lamb, 90, sheep)).toBeUndefined();
  });
});

describe('the reading before a day', () => {
  it.each([
    ['2026-05-01', undefined],
    ['2026-05-02', 20.5], // two readings of the day before, averaged
    ['2026-05-03', 20.5],
    ['2026-06-01', 30],
  ])('%s', (on, kg) => {
    const readings = [reading('2026-05-01', 20), reading('2026-05-01', 21), reading('2026-05-03', 30)];
    expect(readingBefore(readings, day(on))?.kg).toBe(kg);
  });
  it('is what all daily readings give, for any days', () => {
    const anyReading = fc.tuple(fc.integer({ min: 0, max: 20 }), fc.integer({ min: 1, max: 90 }));
    fc.assert(
      fc.property(fc.array(anyReading, { maxLength: 30 }), fc.integer({ min: -1, max: 22 }), (some, at) => {
        const readings = some
          .map(([d, kg]) => ({ ...reading('2026-01-01', kg), on: addDays(day('2026-01-01'), d) }))
          .sort((a, b) => a.on - b.on);
        const on = addDays(day('2026-01-01'), at);
        expect(readingBefore(readings, on)).toEqual(dailyReadings(readings).findLast((r) => r.on < on));
      }),
      { seed: 5 },
    );
  });
});

describe('gain since the first weight', () => {
  it('is from the first to the last alone, whatever lies between', () => {
    const daily = [reading('2026-04-01', 4), reading('2026-05-01', 40), reading('2026-07-10', 24)];
    // 20 kg in 100 days; 1.2816 x hypot(0.1, 0.6) / 100 = 7.8 g a day.
    const gain = gainSinceFirst(daily, sheep);
    expect(gain).toMatchObject({ kind: 'gain', readings: 2 });
    expect(gain.kind === 'gain' ? gain.kgPerDay : 0).toBeCloseTo(0.2, 10);
    expect(gain.kind === 'gain' ? gain.halfWidth : 0).toBeCloseTo(0.0078, 4);
  });
  it.each([
    [[], 'no-reading'],
    [[reading('2026-04-01', 4)], 'one-date'],
  ])('%#: has no answer without two days', (daily, reason) => {
    expect(gainSinceFirst(daily, sheep)).toEqual({ kind: 'no-gain', reason });
  });
});

describe('a weight read off between weighings', () => {
  const daily = [reading('2026-01-01', 10), reading('2026-01-11', 20), reading('2026-01-31', 24)];
  it.each([
    ['2026-01-01', 10],
    ['2026-01-06', 15],
    ['2026-01-11', 20],
    ['2026-01-21', 22],
    ['2026-01-31', 24],
    ['2025-12-31', undefined],
    ['2026-02-01', undefined],
  ])('on %s is %s kg', (on, kg) => {
    expect(weightOn(daily, day(on))).toBe(kg);
  });
  it('found by halving is what looking at every stretch finds', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 0, max: 400 }), { minLength: 1, maxLength: 12 }),
        fc.integer({ min: -10, max: 410 }),
        (days, at) => {
          const first = day('2026-01-01');
          const some = [...days]
            .sort((a, b) => a - b)
            .map((d) => ({ ...reading('2026-01-01', 10 + (d % 7)), on: addDays(first, d) }));
          const on = addDays(first, at);
          const right = some.findIndex((r) => r.on >= on);
          const [a, b] = [some[right - 1], some[right]];
          const slow = b?.on === on ? b.kg : a && b ? a.kg + ((b.kg - a.kg) * (on - a.on)) / (b.on - a.on) : undefined;
          const fast = weightOn(some, on);
          expect(fast === undefined).toBe(slow === undefined);
          if (fast !== undefined) expect(fast).toBeCloseTo(slow ?? Number.NaN, 9);
        },
      ),
      { seed: 11 },
    );
  });
});

describe('a litter on the scale', () => {
  const eight = ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'];
  const together = (on: string, totalKg: number, heads = eight, count = heads.length) => ({
    on: day(on),
    count,
    totalKg,
    heads,
  });
  const each = (on: string, kgs: Readonly<Record<string, number>>) => ({
    ...together(
      on,
      Object.values(kgs).reduce((s, kg) => s + kg, 0),
      Object.keys(kgs),
    ),
    each: new Map(Object.entries(kgs)),
  });
  const nobody = () => false;
  it('gains as a whole while the same heads are in it', () => {
    // 8 kits from 0.8 to 2.0 kg in 10 days: 120 g a day together, 15 g each.
    expect(litterChange(together('2026-05-01', 0.8), together('2026-05-11', 2), nobody)).toEqual({
      kind: 'gain',
      heads: 8,
      kg: expect.closeTo(1.2, 10) as number,
      kgPerDay: expect.closeTo(0.12, 10) as number,
      kgPerHeadPerDay: expect.closeTo(0.015, 10) as number,
      days: 10,
      died: 0,
      left: 0,
      joined: 0,
    });
  });
  it('gains by those there on both days where each was weighed, whoever died or came', () => {
    // a 100 to 180 g, b 60 to 120 g: 140 g in 4 days. The weakest died, and lifts no mean; a strong one came in.
    const change = litterChange(
      each('2026-06-01', { a: 0.1, b: 0.06, weak: 0.03 }),
      each('2026-06-05', { a: 0.18, b: 0.12, strong: 0.4 }),
      (id) => id === 'weak',
    );
    expect(change).toMatchObject({ kind: 'gain', heads: 2, died: 1, left: 0, joined: 1, days: 4 });
    expect(change.kind === 'gain' && change.kgPerDay).toBeCloseTo(0.035, 12);
    expect(change.kind === 'gain' && change.kgPerHeadPerDay).toBeCloseTo(0.0175, 12);
  });
  it('has no gain weighed together with other heads in it, but what one weighed on average', () => {
    const seven = [...eight.slice(0, 6), 'foster'];
    const change = litterChange(together('2026-06-01', 0.8), together('2026-06-05', 0.98, seven), (id) => id === 'g');
    expect(change).toEqual({
      kind: 'means',
      fromKg: expect.closeTo(0.1, 12) as number,
      toKg: expect.closeTo(0.14, 12) as number,
      days: 4,
      died: 1,
      left: 1,
      joined: 1,
    });
  });
  it('is not the same where another number was counted', () => {
    expect(litterChange(together('2026-06-01', 0.8), together('2026-06-05', 0.98, eight, 7), nobody).kind).toBe(
      'means',
    );
  });
  it.each([
    [together('2026-05-01', 2), 'one-date'],
    [together('2026-05-11', 0, []), 'none-left'],
  ])('%#: has no answer', (second, reason) => {
    expect(litterChange(together('2026-05-01', 0.8), second, nobody)).toEqual({ kind: 'no-answer', reason });
  });
  it('has none where nobody was there on both days', () => {
    const [a, b] = [each('2026-05-01', { a: 0.1 }), each('2026-05-11', { b: 0.2 })];
    expect(litterChange(a, b, nobody)).toEqual({ kind: 'no-answer', reason: 'none-left' });
  });
  it('spreads about its mean', () => {
    // Mean 0.6, deviations -0.1, 0, 0.1: SD 0.1. 70 % of 0.6 is 0.42.
    const kits = [0.5, 0.6, 0.7].map((kg, i) => ({ id: String(i), kg }));
    expect(litterSpread(kits)).toEqual({
      count: 3,
      totalKg: expect.closeTo(1.8, 10) as number,
      meanKg: expect.closeTo(0.6, 10) as number,
      sdKg: expect.closeTo(0.1, 10) as number,
      runtIds: [],
    });
    expect(litterSpread([])).toBeUndefined();
    expect(litterSpread([{ id: 'a', kg: 1 }])?.sdKg).toBeUndefined();
  });
});
