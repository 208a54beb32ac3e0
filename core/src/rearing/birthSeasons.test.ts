import { isoOf } from '../calendar';
import { day } from '../tests/builders';
import { birthSeasons } from '.';

it('parts births where 45 days bring none', () => {
  const births = ['2026-12-20', '2027-02-03', '2027-02-05', '2027-03-23'].map((on) => ({ birth: { on: day(on) } }));
  // 45 days from 20 December to 3 February, 46 from 5 February to 23 March.
  expect(birthSeasons(births).map((s) => [isoOf(s.from), isoOf(s.to), s.births.length])).toEqual([
    ['2026-12-20', '2027-02-05', 3],
    ['2027-03-23', '2027-03-23', 1],
  ]);
  expect(birthSeasons([])).toEqual([]);
});
