import { readTemplate } from '../identity';
import { fieldWord, SOURCE_NOTES, SPECIES, SPECIES_TABLE, withOverrides } from '.';

describe.each(SPECIES)('the table of %s', (species) => {
  const settings = SPECIES_TABLE[species];
  it('has stretches in order', () => {
    const { weaningDays: w, gestationDays: g } = settings;
    expect(w.opens <= w.bestFrom && w.bestFrom <= w.bestTo && w.bestTo <= w.closes).toBe(true);
    expect(g.from < g.mean && g.mean < g.to).toBe(true);
  });
  it('has a base class of factor 1 in each group of factors', () => {
    const { sex, birthType, damAge } = settings.growthFactors;
    for (const table of [sex, birthType, damAge]) expect(Object.values(table)).toContain(1);
  });
  it('has a number template that can be read, and a note for every figure', () => {
    expect(readTemplate(settings.numberTemplate).kind).toBe('template');
    for (const field of Object.keys(settings)) expect(SOURCE_NOTES).toHaveProperty(field);
  });
  it('has a weighing rhythm whose steps follow on each other', () => {
    const starts = settings.weighing.flatMap((s) =>
      s.kind === 'around' ? [] : [s.kind === 'at-age' ? s.window.opens : s.fromDays],
    );
    expect(starts).toEqual([...starts].sort((a, b) => a - b));
  });
});

it('lays a holding’s own figures over the table and leaves the rest', () => {
  const own = withOverrides({ sheep: { heaviestKg: 300 } });
  expect(own.sheep).toEqual({ ...SPECIES_TABLE.sheep, heaviestKg: 300 });
  expect(own.goat).toEqual(SPECIES_TABLE.goat);
});

it.each([
  ['sheep', 'female', 200, false, 'ewe lamb'],
  ['sheep', 'female', 800, true, 'ewes'],
  ['goat', 'male', 100, true, 'buck kids'],
  ['rabbit', 'unknown', 30, true, 'kits'],
  ['cattle', 'female', 700, false, 'heifer'],
  ['cattle', 'castrate', undefined, false, 'steer'],
] as const)('a %s %s of %s days is said as the field says it', (species, sex, age, many, word) => {
  expect(fieldWord({ species, sex }, age, many)).toBe(word);
});
