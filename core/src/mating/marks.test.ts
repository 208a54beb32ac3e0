import { addDays, dayOf, isoOf } from '../calendar';
import { SPECIES_TABLE } from '../species';
import { markReading, raddleChange } from '.';

const since = dayOf('2028-02-20');

// 20 February of a leap year; half of the shortest cycle is 7 days (sheep), 9 (goats and cattle).
it.each([
  ['sheep', false, '2028-02-27', '2028-03-05'],
  ['goat', false, '2028-02-29', '2028-03-09'],
  ['sheep', true, '2028-02-21', '2028-02-22'],
  ['cattle', true, '2028-02-21', '2028-02-22'], // a cow may stand for 6 hours: once a day is the least
] as const)(
  'the marks of %s are read, a teaser running: %s, from %s, and by %s at the latest',
  (species, isTeaser, opens, closes) => {
    const window = markReading({ isTeaser, since }, SPECIES_TABLE[species]);
    expect([window && isoOf(window.opens), window && isoOf(window.closes)]).toEqual([opens, closes]);
  },
);

it('changes a colour before the first may come back, by the mean of the cycle', () => {
  expect(raddleChange(since, SPECIES_TABLE.sheep)).toEqual({
    opens: addDays(since, 14),
    bestFrom: addDays(since, 14),
    bestTo: addDays(since, 17),
    closes: addDays(since, 19),
  });
});

it('reads nothing from marks of rabbits', () => {
  expect(markReading({ isTeaser: true, since }, SPECIES_TABLE.rabbit)).toBeUndefined();
  expect(raddleChange(since, SPECIES_TABLE.rabbit)).toBeUndefined();
});
