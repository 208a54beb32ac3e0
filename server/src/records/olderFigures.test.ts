import { SPECIES_TABLE } from '@yaylak/core';
import { fromOlder } from './olderFigures';
import { overrideFaults } from './overrideFaults';

const { rabbit, goat } = SPECIES_TABLE;

it('names the choices that were numbers, and gives a set of figures what it has since', () => {
  const { deadAskedFrom: _, ...rearing } = rabbit.rearing;
  const { heatSchool: __, ...mating } = goat.mating;
  const older = {
    rabbit: { rearing: { ...rearing, weaningWay: 4, stepDays: 9 } },
    goat: {
      mating: { ...mating, morningEvening: 1 },
      pairing: { ...goat.pairing, grandparents: 0 },
      tests: { ...goat.tests, scan: { ...goat.tests.scan, isUsed: 0 } },
    },
  };
  const brought = fromOlder(older);
  expect(brought).toEqual({
    rabbit: { rearing: { ...rabbit.rearing, weaningWay: 'two-steps', stepDays: 9 } },
    goat: {
      mating: { ...goat.mating, heatSchool: 'morning-evening' },
      pairing: { ...goat.pairing, grandparents: 'by-inbreeding' },
      tests: { ...goat.tests, scan: { ...goat.tests.scan, isUsed: false } },
    },
  });
  expect(overrideFaults(brought as never)).toEqual([]);
});

it('leaves alone what is of today, what the holding did not set, and what is not a figure at all', () => {
  const today = { sheep: { weaningDays: { opens: 1, bestFrom: 2, bestTo: 3, closes: 4 }, numberTemplate: '{NNN}' } };
  expect(fromOlder(today)).toEqual(today);
  expect(fromOlder({ dragon: { weaningWay: 1 }, sheep: 7 })).toEqual({ dragon: { weaningWay: 1 }, sheep: 7 });
  expect(fromOlder(undefined)).toBeUndefined();
  // A number that never meant anything is the table's.
  expect(fromOlder({ rabbit: { rearing: { weaningWay: 17 } } })).toEqual({ rabbit: { rearing: rabbit.rearing } });
});
