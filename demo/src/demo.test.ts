import { dayOf } from '@yaylak/core';
import { makeDemoBook } from '.';

it('is the same book for the same day and seed, and another for another seed', () => {
  const today = dayOf('2026-11-23');
  expect(JSON.stringify(makeDemoBook(today))).toBe(JSON.stringify(makeDemoBook(today)));
  expect(JSON.stringify(makeDemoBook(today, { seed: 2 }))).not.toBe(JSON.stringify(makeDemoBook(today)));
});

it.each(['2026-11-23', '2027-01-03', '2028-02-29', '2028-07-15'])(
  'ends on %s with nothing later, and five years before it',
  (iso) => {
    const book = makeDemoBook(dayOf(iso));
    const days = book.entries.map((e) => e.on);
    expect(days.every((d) => d <= iso)).toBe(true);
    expect(dayOf(iso) - dayOf(days[0] ?? iso)).toBeGreaterThan(5 * 365);
    expect(new Set(book.animals.map((a) => a.species)).size).toBe(4);
  },
);
