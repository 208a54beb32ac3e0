import { DATE_ORDERS } from '@yaylak/core';
import { BIRTH_HINTS, birthOf, birthTyped } from './birth';

it.each([
  ['day-month', '4.3.2024', '2024-03-04'],
  ['month-day', '3/4/2024', '2024-03-04'],
  ['month-day', '4/3/2024', '2024-04-03'],
  ['year-month', '2024-03-04', '2024-03-04'],
] as const)('a birth is read in the order the holding writes days: %s, %s', (order, typed, bornOn) => {
  expect(birthOf(typed, order)).toEqual({ bornOn });
});

it.each(DATE_ORDERS)('what the hint shows can be typed, and what a field shows is read back: %s', (order) => {
  const [day = '', month = '', year = ''] = BIRTH_HINTS[order].split(/, (?:or )?/);
  expect(birthOf(day, order)).toEqual({ bornOn: '2024-03-12' });
  expect(birthOf(month, order).birthKnownTo).toBe('month');
  expect(birthOf(year, order).birthKnownTo).toBe('year');
  expect(birthOf(birthTyped('2024-03-12', undefined), order)).toEqual({ bornOn: '2024-03-12' });
});

it('what cannot be read stays as it was typed, for the rules to refuse; nothing is nothing', () => {
  expect(birthOf('last spring', 'day-month')).toEqual({ bornOn: 'last spring' });
  expect(birthOf(' ', 'day-month')).toEqual({ bornOn: null });
});
