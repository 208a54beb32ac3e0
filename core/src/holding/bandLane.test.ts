import { dayOf } from '../calendar';
import { withOverrides } from '../species';
import { anAnimal } from '../tests/builders';
import { bandLane } from './bandLane';

const lamb = (id: string, bornOn: string, damId?: string) => anAnimal(id, { bornOn: dayOf(bornOn), damId });
const window = (from: string, to: string) => ({
  opens: dayOf(from),
  bestFrom: dayOf(from),
  bestTo: dayOf(to),
  closes: dayOf(to),
});
const lane = (year: number) =>
  bandLane(
    {
      species: 'sheep',
      all: [lamb('a', '2025-12-20', 'dam'), lamb('b', '2026-04-02', 'dam'), lamb('bought', '2026-04-03')],
      carrying: [
        { kind: 'carrying', from: dayOf('2026-11-20'), to: dayOf('2027-03-20'), females: 30, isExpected: false },
      ],
      plans: [
        {
          id: 'plan',
          steps: [
            {
              key: 'mating',
              kind: 'mating',
              window: window('2026-10-20', '2026-12-01'),
              from: undefined,
              isStretch: true,
            },
            {
              key: 'births',
              kind: 'births',
              window: window('2027-03-16', '2027-05-01'),
              from: 'mating',
              isStretch: true,
            },
            {
              key: 'weaning',
              kind: 'weaning',
              window: window('2027-06-20', '2027-07-20'),
              from: 'births',
              isStretch: false,
            },
          ],
        },
      ],
    },
    withOverrides({}).sheep,
    year,
  );

it('has what reaches into the year: the rearing of young born before its start, and what ends after its end', () => {
  const { blocks, carrying, planned } = lane(2026);
  // The December lamb's rearing goes on into the year, its birth does not; the bought one has no dam here.
  expect(blocks.map((b) => [b.kind, b.young])).toEqual([
    ['rearing', 1],
    ['births', 1],
    ['rearing', 1],
  ]);
  expect(carrying).toHaveLength(1);
  expect(planned.map((p) => p.kind)).toEqual(['mating', 'carrying']);
});

it('shows a plan in each year it reaches into', () => {
  expect(lane(2027).planned.map((p) => [p.kind, p.planId])).toEqual([
    ['carrying', 'plan'],
    ['births', 'plan'],
    ['rearing', 'plan'],
  ]);
  expect(lane(2028)).toEqual({ blocks: [], carrying: [], planned: [] });
});
