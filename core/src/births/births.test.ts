import { SPECIES_TABLE } from '../species';
import { day } from '../tests/builders';
import { littersByDam, yearBandBlocks, type Born } from '.';

const born = (id: string, on: string, damId = 'd'): Born => ({ id, species: 'sheep', bornOn: day(on), damId });

it('takes young born within three days by one dam as one litter', () => {
  const litters = littersByDam([born('a', '2025-12-31'), born('b', '2026-01-01'), born('c', '2026-12-30')]);
  expect(litters.get('d')?.map((l) => l.youngIds)).toEqual([['a', 'b'], ['c']]);
});

it('weaves a block of births and its rearing for each batch without a gap of a fortnight', () => {
  const blocks = yearBandBlocks(
    [born('a', '2026-04-01'), born('b', '2026-04-15'), born('c', '2026-06-01')],
    SPECIES_TABLE.sheep,
  );
  expect(blocks.map((b) => [b.kind, b.from, b.to, b.young])).toEqual([
    ['births', day('2026-04-01'), day('2026-04-15'), 2],
    ['rearing', day('2026-04-16'), day('2026-08-03'), 2], // 15 April + 110 days
    ['births', day('2026-06-01'), day('2026-06-01'), 1],
    ['rearing', day('2026-06-02'), day('2026-09-19'), 1],
  ]);
});
