import { isoOf } from '../calendar';
import { day } from '../tests/builders';
import { plannedBlocks, type PlanStep } from '.';

const step = (kind: PlanStep['kind'], litter: number | undefined, [opens, bestTo, closes]: readonly string[]) =>
  ({
    key: `${litter} ${kind}`,
    kind,
    litter,
    window: {
      opens: day(opens ?? ''),
      bestFrom: day(opens ?? ''),
      bestTo: day(bestTo ?? ''),
      closes: day(closes ?? ''),
    },
  }) as unknown as PlanStep;

it('lays a plan over the year, litter by litter, and leaves out a stretch that ends before it begins', () => {
  const blocks = plannedBlocks([
    step('mating', 1, ['2026-10-01', '2026-10-20', '2026-11-04']),
    step('births', 1, ['2027-02-25', '2027-03-16', '2027-03-31']),
    step('weaning', 1, ['2027-05-01', '2027-06-30', '2027-07-20']),
    // Served again the day the births are over: nothing is carried between.
    step('mating', 2, ['2027-03-16', '2027-03-16', '2027-03-20']),
    step('births', 2, ['2027-03-21', '2027-03-25', '2027-03-30']),
    step('weaning', 2, ['2027-05-01', '2027-05-10', '2027-05-20']),
    step('mating', 3, ['2027-08-01', '2027-08-01', '2027-08-01']),
  ]);
  expect(blocks.map(({ kind, from, to }) => [kind, isoOf(from), isoOf(to)])).toEqual([
    ['mating', '2026-10-01', '2026-11-04'],
    ['carrying', '2026-11-05', '2027-02-24'],
    ['births', '2027-02-25', '2027-03-16'],
    ['rearing', '2027-03-17', '2027-06-30'],
    ['mating', '2027-03-16', '2027-03-20'],
    ['births', '2027-03-21', '2027-03-25'],
    ['rearing', '2027-03-26', '2027-05-10'],
  ]);
});
