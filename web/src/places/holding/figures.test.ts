import { SPECIES_TABLE, type SpeciesSettings } from '@yaylak/core';
import { figureLines, fillIn, flatFigures } from './figures';

const at = (settings: SpeciesSettings, path: string): number =>
  path.split('.').reduce<unknown>((node, key) => (node as Record<string, unknown>)[key], settings) as number;
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
  const keep = flatFigures('selling', sheep.selling).find((f) => f.path === 'selling.keepMinorADay');
  expect(keep?.value).toBe('0.26');
  expect(fillIn(sheep, {}, 'selling.keepMinorADay', 0.31).selling?.keepMinorADay).toBe(31);
  // No amount of any species is shown in hundredths: all of them are named so.
  for (const species of Object.values(SPECIES_TABLE))
    for (const field of fields)
      for (const { path, value } of flatFigures(field, species[field]))
        if (/minor/i.test(path)) expect([path, Number(value)]).toEqual([path, at(species, path) / 100]);
});

it('shows weights in pounds and keeps them in kilograms', () => {
  const grown = flatFigures('matureWeightKg', { female: 60, male: 90 }, 'lb');
  expect(grown.map((f) => f.value)).toEqual(['132.3', '198.4']);
  expect(fillIn(sheep, {}, 'matureWeightKg.female', 132, 'lb').matureWeightKg?.female).toBeCloseTo(59.874, 3);
});

it('puts figures of one list in one line, each by its place, and pieces of a list one under the other', () => {
  const lines = (field: keyof SpeciesSettings): (readonly [string, string])[] =>
    figureLines(flatFigures(field, sheep[field])).map((l) => [l.group, l.figures.map((f) => f.own).join('|')] as const);
  expect(lines('weaningDays')).toEqual([['', 'opens|best from|best to|closes']]);
  expect(lines('choosing')[1]).toEqual(['young reared by age, share of a grown female', '1|2|3|4|5|6|7|8|9|10']);
  expect(lines('carryingSteps').slice(0, 2)).toEqual([
    ['1', 'name|days before the birth|days early or late at the most'],
    ['2', 'name|days before the birth|days early or late at the most'],
  ]);
  // None is lost, and read out by itself each has its whole name.
  for (const field of fields) {
    const flat = flatFigures(field, sheep[field]);
    expect(figureLines(flat).flatMap((l) => l.figures)).toEqual(flat);
    for (const { label, group, own } of flat) expect(label).toBe(`${group} ${own}`.trim());
  }
});
