import { parseDate } from '@internationalized/date';
import fc from 'fast-check';
import {
  addDays,
  addYears,
  ageWords,
  birthText,
  completedMonths,
  dayOf,
  FIRST_YEAR,
  isoOf,
  LAST_YEAR,
  nextWeekday,
  parseDay,
  quarterOf,
  readTypedBirth,
  readTypedDate,
  readTypedDateIso,
  sharedWindow,
  toCalendarDate,
  toDay,
  weekdayOf,
  windowAfter,
  windowStage,
  yearOf,
  type Day,
} from '.';

describe('days', () => {
  it('are those of the date library, every day there is', () => {
    const first = parseDate(`${FIRST_YEAR}-01-01`);
    const start = toDay(first);
    const wrong = Array.from({ length: toDay(parseDate(`${LAST_YEAR}-12-31`)) - start + 1 }, (_, n) => n).filter(
      (n) => {
        const date = toCalendarDate((start + n) as Day);
        const iso = date.toString();
        return (
          isoOf((start + n) as Day) !== iso || parseDay(iso) !== start + n || yearOf((start + n) as Day) !== date.year
        );
      },
    );
    expect(wrong).toEqual([]);
  });

  it.each([
    ['2024-02-29', '2024-03-01', 1],
    ['2025-12-31', '2026-01-01', 1],
    ['2023-03-01', '2024-03-01', 366], // 29 February 2024 lies between
    ['2100-02-28', '2100-03-01', 1], // 2100 is no leap year
  ])('from %s to %s are %i days', (from, to, days) => {
    expect(dayOf(to) - dayOf(from)).toBe(days);
  });

  it.each(['2025-02-29', '2026-13-01', '2026-00-10', '26-01-01', '1900-01-01', '2026-4-1', ''])(
    'refuses %s',
    (text) => {
      expect(parseDay(text)).toBeUndefined();
    },
  );

  it('writes back what it read, for any day', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 80_000 }), (n) => {
        const day = addDays(dayOf('1950-01-01'), n);
        expect(dayOf(isoOf(day))).toBe(day);
      }),
    );
  });

  it('takes 29 February to 28 February in a common year', () => {
    expect(isoOf(addYears(dayOf('2024-02-29'), 1))).toBe('2025-02-28');
  });
});

describe('dates as people type them', () => {
  it.each([
    ['31.03.2026', 'day-month', '2026-03-31'],
    ['3/31/2026', 'month-day', '2026-03-31'],
    ['31/3/26', 'day-month', '2026-03-31'],
    ['2026-03-31T08:15:00', 'day-month', '2026-03-31'],
    ['20260331', 'day-month', '2026-03-31'],
    ['29.02.2025', 'day-month', undefined],
    ['31/3/2026', 'month-day', undefined],
    ['spring', 'day-month', undefined],
    ['3.4.1998', 'day-month', '1998-04-03'],
    ['31/3/998', 'day-month', undefined],
    ['123/3/2026', 'day-month', undefined],
    ['2026.3.31', 'month-day', '2026-03-31'],
    ['29.2.2028', 'day-month', '2028-02-29'],
    [' 31-03-2026 ', 'day-month', '2026-03-31'],
    ['20261301', 'day-month', undefined],
    ['', 'day-month', undefined],
  ] as const)('%s (%s) is %s', (text, order, iso) => {
    expect(readTypedDateIso(text, order)).toBe(iso);
  });
});

describe('windows', () => {
  const w = windowAfter(dayOf('2026-01-01'), { opens: 10, bestFrom: 12, bestTo: 14, closes: 20 });
  it.each([
    ['2026-01-10', 'early'],
    ['2026-01-11', 'open'],
    ['2026-01-13', 'best'],
    ['2026-01-15', 'best'],
    ['2026-01-16', 'closing'],
    ['2026-01-21', 'closing'],
    ['2026-01-22', 'over'],
  ])('on %s it is %s', (on, stage) => {
    expect(windowStage(w, dayOf(on))).toBe(stage);
  });

  it('refuses stretches out of order', () => {
    expect(() => windowAfter(dayOf('2026-01-01'), { opens: 5, bestFrom: 4, bestTo: 6, closes: 7 })).toThrow(
      'in that order',
    );
  });

  it('shared by several it opens with the first and closes with the first to close', () => {
    const later = windowAfter(dayOf('2026-01-04'), { opens: 10, bestFrom: 12, bestTo: 14, closes: 20 });
    expect(sharedWindow([w, later])).toEqual({ ...w });
    expect(sharedWindow([])).toBeUndefined();
  });
});

describe('ages', () => {
  it.each([
    ['2026-11-20', '2026-11-23', { unit: 'days', count: 3 }],
    ['2026-08-10', '2026-11-23', { unit: 'weeks', count: 15 }],
    ['2026-03-24', '2026-11-23', { unit: 'months', count: 7 }],
    ['2026-03-23', '2026-11-23', { unit: 'months', count: 8 }],
    ['2021-03-20', '2026-11-23', { unit: 'years', count: 5, months: 8 }],
    ['2024-02-29', '2026-02-28', { unit: 'years', count: 2, months: 0 }], // the date does not fall that year
  ])('born %s is on %s %j', (born, on, age) => {
    expect(ageWords(dayOf(born), dayOf(on))).toEqual(age);
  });
});

describe('two digits of a year', () => {
  it.each([
    ['1/5/26', 2026, '2026-05-01'],
    ['1/5/27', 2026, '1927-05-01'],
  ])('%s read in %i', (text, latestYear, iso) => {
    expect(readTypedDate(text, 'day-month', latestYear)).toBe(parseDay(iso));
  });
});

it('an age before birth is a fault of the caller', () => {
  expect(() => ageWords(dayOf('2026-11-24'), dayOf('2026-11-23'))).toThrow('before birth');
});

it('completed months never run ahead of the calendar, for any two days', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 30_000 }), fc.integer({ min: 0, max: 12_000 }), (start, length) => {
      const from = addDays(dayOf('1950-01-01'), start);
      const to = addDays(from, length);
      const months = completedMonths(from, to);
      // A month has 28 to 31 days, and twelve of them at least 365.
      expect(months).toBeLessThanOrEqual(Math.ceil(length / 28));
      expect(months).toBeGreaterThanOrEqual(Math.floor(length / 31) - 1);
      expect(completedMonths(from, addDays(to, 1))).toBeGreaterThanOrEqual(months);
    }),
    { seed: 3 },
  );
});

it.each([
  ['2026-11-30', 'autumn', 2026],
  ['2026-12-01', 'winter', 2027],
  ['2027-01-15', 'winter', 2027],
  ['2028-02-29', 'winter', 2028],
  ['2027-03-01', 'spring', 2027],
  ['2027-08-31', 'summer', 2027],
])('%s is in %s %i', (iso, quarter, year) => {
  expect(quarterOf(dayOf(iso))).toEqual({ quarter, year });
});

describe('a birth as people know it', () => {
  it.each([
    ['12.3.2024', '2024-03-12', undefined],
    ['2024-03-12', '2024-03-12', undefined],
    ['3.2024', '2024-03-15', 'month'],
    ['03/2024', '2024-03-15', 'month'],
    ['2024-3', '2024-03-15', 'month'],
    ['2024', '2024-07-01', 'year'],
  ])('%s', (typed, on, knownTo) => {
    const born = readTypedBirth(typed, 'day-month');
    expect(born && [isoOf(born.on), born.knownTo]).toEqual([on, knownTo]);
    // Written as far as it is known, it is read back as the same.
    expect(readTypedBirth(birthText(on, born?.knownTo), 'day-month')).toEqual(born);
  });
  it.each(['13.2024', 'spring', '24', '31.2.2024', ''])('“%s” is none', (typed) => {
    expect(readTypedBirth(typed, 'day-month')).toBeUndefined();
  });
  it('has its middle no later than the day it came, within the same month or year', () => {
    const on = (typed: string, latest: string) => isoOf(readTypedBirth(typed, 'day-month', dayOf(latest))?.on as Day);
    expect(on('2026', '2026-03-10')).toBe('2026-03-10');
    expect(on('3.2026', '2026-03-10')).toBe('2026-03-10');
    // A month that is still to come stays to come, and is refused.
    expect(on('4.2026', '2026-03-10')).toBe('2026-04-15');
  });
});

it('finds the next of some weekdays, today included, over a year’s end and on a leap day', () => {
  const next = (iso: string, ...weekdays: number[]): string => isoOf(nextWeekday(dayOf(iso), weekdays));
  // 30 November 2026 is a Monday.
  expect(weekdayOf(dayOf('2026-11-30'))).toBe(1);
  expect(weekdayOf(dayOf('1969-12-28'))).toBe(7);
  expect(next('2026-11-30', 4)).toBe('2026-12-03');
  expect(next('2026-11-30', 1, 4)).toBe('2026-11-30');
  expect(next('2026-12-31', 2, 5)).toBe('2027-01-01');
  expect(next('2028-02-27', 2)).toBe('2028-02-29');
  expect(next('2026-11-30')).toBe('2026-11-30');
});
