import fc from 'fast-check';
import { addDays, dayOf, isoOf, weekOf, type Day } from '../calendar';
import { COPY_DAYS, COPY_MONTHS, COPY_WEEKS, keptCopies, type DatedCopy } from './keptCopies';

const TODAY = dayOf('2026-12-01'); // a Tuesday
const copy = (on: Day, at = '12:00', isMilestone = false): DatedCopy => ({
  name: `${isoOf(on)} ${at}`,
  on,
  at,
  isMilestone,
});
const back = (days: number): Day => addDays(TODAY, -days);
const kept = (...copies: DatedCopy[]): string[] => [...keptCopies(copies, TODAY)].sort();

it('keeps one of each of the last fourteen days, the last of its day', () => {
  const all = Array.from({ length: 14 }, (_, d) => [copy(back(d), '08:00'), copy(back(d), '20:00')]).flat();
  expect(kept(...all)).toEqual(Array.from({ length: 14 }, (_, d) => `${isoOf(back(d))} 20:00`).sort());
});

it('keeps a copy made before something that could go wrong beside the later one of its day, for fourteen days', () => {
  expect(kept(copy(TODAY), copy(back(13), '08:00', true), copy(back(13)))).toHaveLength(3);
  // 17 November is older than fourteen days; the later one of it stays for its week.
  expect(kept(copy(TODAY), copy(back(14), '08:00', true), copy(back(14)))).toEqual([
    '2026-11-17 12:00',
    '2026-12-01 12:00',
  ]);
});

it('thins out a daily copy of three years to days, weeks and months', () => {
  const names = kept(...Array.from({ length: 3 * 365 }, (_, d) => copy(back(d))));
  // 18 November to today; the Sundays of the weeks from 12 October on; ends of months back to January 2025.
  expect(names.filter((n) => n >= '2026-11-18')).toHaveLength(14);
  expect(names.filter((n) => n >= '2026-10-12' && n < '2026-11-18').map((n) => n.slice(0, 10))).toEqual([
    '2026-10-18',
    '2026-10-25',
    '2026-10-31',
    '2026-11-01',
    '2026-11-08',
    '2026-11-15',
  ]);
  const months = names.filter((n) => n < '2026-10-12').map((n) => n.slice(0, 10));
  expect(months).toHaveLength(21);
  expect([months[0], months[1], months.at(-1)]).toEqual(['2025-01-31', '2025-02-28', '2026-09-30']);
});

it('keeps the newest of all, however old, and what a wrong clock dated later than today', () => {
  expect(kept(copy(back(4000)), copy(back(4001)))).toEqual([`${isoOf(back(4000))} 12:00`]);
  expect(kept(copy(addDays(TODAY, 400)), copy(TODAY))).toHaveLength(2);
  expect(kept()).toEqual([]);
});

it('keeps of any copies the newest of each stretch, and no more than there are stretches', () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 1500 }), { maxLength: 80 }), (daysAgo) => {
      const copies = daysAgo.map((d) => copy(back(d)));
      const names = keptCopies(copies, TODAY);
      expect(names.size).toBeLessThanOrEqual(COPY_DAYS + COPY_WEEKS + COPY_MONTHS + 1);
      // Slowly: each week's newest by looking at all of that week.
      for (const c of copies) {
        const week = weekOf(c.on, 'monday');
        const isNewest = copies.every((o) => weekOf(o.on, 'monday') !== week || o.on <= c.on);
        if (isNewest && weekOf(TODAY, 'monday') - week < COPY_WEEKS * 7) expect(names.has(c.name)).toBe(true);
      }
    }),
  );
});
