import { dateWords, fixedText, grouped, perCent, shortFigure } from './figures';
import { learn, speak } from './say';
import { writeDatesAs } from './style';

beforeAll(() => learn('tr', { '{n}\u00a0%': '%\u00a0{n}' }));
afterEach(() => {
  speak(() => 'en');
  writeDatesAs('day-month');
});

const leapDay = new Date('2028-02-29T00:00:00Z');
const short = dateWords({ day: 'numeric', month: 'short' });
const full = dateWords({ day: 'numeric', month: 'short', year: 'numeric' });
const long = dateWords({ weekday: 'long', day: 'numeric', month: 'long' });
const month = dateWords({ month: 'short', year: 'numeric' });

describe('a day in words', () => {
  it.each([
    ['day-month', '29 Feb', '29 Feb 2028', 'Tuesday 29 February', 'Feb 2028'],
    ['month-day', 'Feb 29', 'Feb 29, 2028', 'Tuesday February 29', 'Feb 2028'],
    ['year-month', 'Feb 29', '2028 Feb 29', 'Tuesday February 29', '2028 Feb'],
  ] as const)('is in the order the holding writes: %s', (order, ...texts) => {
    writeDatesAs(order);
    expect([short, full, long, month].map((words) => words(leapDay).replace(/^(Tuesday),/, '$1'))).toEqual(texts);
  });

  it('is in the language of who reads it, whichever was read before', () => {
    expect(full(leapDay)).toBe('29 Feb 2028');
    speak(() => 'tr');
    expect(full(leapDay)).toBe('29 Şub 2028');
    writeDatesAs('month-day');
    expect(full(leapDay)).toBe('Şub 29, 2028');
  });
});

describe('a figure', () => {
  it('has the point or the comma of the language, and the same digits', () => {
    const figures = (): string[] => [
      fixedText(7.25, 1),
      fixedText(-0.04, 1),
      shortFigure(7.3, 2),
      grouped(1240),
      perCent(84),
    ];
    expect(figures()).toEqual(['7.3', '-0.0', '7.3', '1,240', '84\u00a0%']);
    speak(() => 'tr');
    expect(figures()).toEqual(['7,3', '-0,0', '7,3', '1.240', '%\u00a084']);
  });
});
