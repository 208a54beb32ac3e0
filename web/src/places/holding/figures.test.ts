import { SPECIES_TABLE, type SpeciesSettings } from '@yaylak/core';
import { fillIn, flatFigures } from './figures';

const sheep = SPECIES_TABLE.sheep;
const fields = Object.keys(sheep) as (keyof SpeciesSettings)[];

it('shows every figure with a path of its own', () => {
  const paths = fields.flatMap((f) => flatFigures(f, sheep[f]).map((x) => x.path));
  expect(new Set(paths).size).toBe(paths.length);
  expect(flatFigures('weaningDays', sheep.weaningDays).map((x) => [x.label, x.value])).toEqual([
    ['opens', '56'],
    ['best from', '90'],
    ['best to', '110'],
    ['closes', '130'],
  ]);
});

it('puts one figure back at its path and overrides its field with it', () => {
  const own = fillIn(sheep, {}, 'weaningDays.bestTo', 115);
  expect(own).toEqual({ weaningDays: { ...sheep.weaningDays, bestTo: 115 } });
  expect(fillIn(sheep, own, 'standardAgesDays.1', 100)).toEqual({ ...own, standardAgesDays: [56, 100, 112, 147] });
  expect(fillIn(sheep, {}, 'weighing.1.window.closes', 75).weighing?.[1]).toMatchObject({
    name: '8 week weight',
    window: { closes: 75 },
  });
});

it('shows money whole and keeps it in hundredths', () => {
  const { goat } = SPECIES_TABLE;
  const price = flatFigures('tests', goat.tests).find((f) => f.path === 'tests.blood.priceMinor');
  expect(price?.value).toBe('9');
  expect(fillIn(goat, {}, 'tests.blood.priceMinor', 8.75).tests?.blood?.priceMinor).toBe(875);
});

it('shows weights in pounds and keeps them in kilograms', () => {
  const grown = flatFigures('matureWeightKg', { female: 60, male: 90 }, 'lb');
  expect(grown.map((f) => f.value)).toEqual(['132.3', '198.4']);
  expect(fillIn(sheep, {}, 'matureWeightKg.female', 132, 'lb').matureWeightKg?.female).toBeCloseTo(59.874, 3);
});
