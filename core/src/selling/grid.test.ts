import fc from 'fast-check';
import {
  cellNames,
  cellOf,
  cellsOf,
  fatName,
  FAT_CLASSES,
  gridFault,
  GRID_DIVISIONS,
  pricePerKg,
  readFat,
  readShape,
  SHAPE_CLASSES,
  shapeName,
  STEPS,
  stepsOfCell,
  type Grid,
} from '.';

const filled = (rows: number, columns: number): number[][] =>
  Array.from({ length: rows }, (_, r) => Array.from({ length: columns }, (__, c) => 10 * r + c));

describe('the scale of classes', () => {
  it.each([
    ['P-', 1],
    ['P', 2],
    ['O+', 6],
    ['R', 8],
    ['r +', 9],
    ['U−', 10],
    ['E+', 15],
  ])('reads shape %s as step %s', (text, step) => {
    expect(readShape(text)).toBe(step);
  });

  it.each([
    ['1-', 1],
    ['3', 8],
    ['3L', 8],
    ['4 high', 12],
    ['3H', 9],
    ['5+', 15],
  ])('reads fat %s as step %s', (text, step) => {
    expect(readFat(text)).toBe(step);
  });

  it.each(['', 'S', 'R++', '6', 'fat', '33'])('does not take “%s” for a class', (text) => {
    expect(readShape(text)).toBeUndefined();
    expect(readFat(text === '33' ? '3 3' : text)).toBeUndefined();
  });

  it('calls every step by the name it is read by', () => {
    for (let step = 1; step <= STEPS; step++) {
      expect(readShape(shapeName(step))).toBe(step);
      expect(readFat(fatName(step))).toBe(step);
    }
  });
});

describe('the cells of a grid', () => {
  it('are whole classes, thirds, or low (minus and middle) and high (plus)', () => {
    expect([7, 8, 9].map((s) => cellOf(s, 'whole'))).toEqual([2, 2, 2]);
    expect([7, 8, 9].map((s) => cellOf(s, 'thirds'))).toEqual([6, 7, 8]);
    expect([7, 8, 9].map((s) => cellOf(s, 'low-high'))).toEqual([4, 4, 5]);
    expect(cellNames(FAT_CLASSES, 'low-high').slice(4, 6)).toEqual(['3L', '3H']);
    expect(cellNames(SHAPE_CLASSES, 'whole')).toEqual(['P', 'O', 'R', 'U', 'E']);
  });

  it('hold every step once, in order', () => {
    fc.assert(
      fc.property(fc.constantFrom(...GRID_DIVISIONS), (division) => {
        const spans = Array.from({ length: cellsOf(division) }, (_, cell) => stepsOfCell(cell, division));
        expect(spans[0]?.[0]).toBe(1);
        expect(spans.at(-1)?.[1]).toBe(STEPS);
        spans.slice(1).forEach(([from], i) => expect(from).toBe((spans[i]?.[1] ?? 0) + 1));
      }),
    );
  });

  it('add to the base price, or stand for it', () => {
    const grid: Grid = { shape: 'whole', fat: 'low-high', cellsAre: 'adjustment', cells: filled(5, 10) };
    // R is the third row, 3+ the sixth column: 25.
    expect(pricePerKg(grid, 480, { shape: 9, fat: 9 })).toBe(505);
    expect(pricePerKg({ ...grid, cellsAre: 'price' }, 480, { shape: 9, fat: 9 })).toBe(25);
  });

  it('are all there, or the first that is missing is named', () => {
    const grid: Grid = { shape: 'whole', fat: 'thirds', cellsAre: 'price', cells: filled(5, 15) };
    expect(gridFault(grid)).toBeUndefined();
    expect(gridFault({ ...grid, cells: filled(4, 15) })).toEqual({ kind: 'grid-rows', found: 4, wanted: 5 });
    const holed = filled(5, 15);
    holed[3]?.splice(14, 1);
    expect(gridFault({ ...grid, cells: holed })).toEqual({ kind: 'grid-hole', shape: 'U', fat: '5+' });
  });
});
