import { dividedAs, type GridDraft } from './outletDraft';

const whole: GridDraft = {
  shape: 'whole',
  fat: 'whole',
  cellsAre: 'adjustment',
  // By shape from P to E and fat from 1 to 5: `P1` to `E5`.
  cells: ['P', 'O', 'R', 'U', 'E'].map((s) => ['1', '2', '3', '4', '5'].map((f) => s + f)),
};

it('a grid divided otherwise keeps what was typed, each cell from the middle of what it spans', () => {
  const fine = { ...whole, ...dividedAs(whole, 'thirds', 'low-high') };
  expect([fine.cells.length, fine.cells[0]?.length]).toEqual([15, 10]);
  // P-, P and P+ were P; 1 low and 1 high were 1.
  expect(fine.cells.slice(0, 4).map((row) => row.slice(0, 3))).toEqual([
    ['P1', 'P1', 'P2'],
    ['P1', 'P1', 'P2'],
    ['P1', 'P1', 'P2'],
    ['O1', 'O1', 'O2'],
  ]);
  expect(dividedAs(fine, 'whole', 'whole')).toEqual({ shape: 'whole', fat: 'whole', cells: whole.cells });
});

it('of thirds the middle one stands for the class', () => {
  const fine = { ...whole, ...dividedAs(whole, 'thirds', 'thirds') };
  const typed = fine.cells.map((row, r) => row.map((text, c) => (r === 1 && c === 1 ? 'typed' : text)));
  const back = dividedAs({ ...fine, cells: typed }, 'whole', 'whole');
  expect(back.cells[0]).toEqual(['typed', 'P2', 'P3', 'P4', 'P5']);
});

it('what was left empty stays empty', () => {
  const empty = { ...whole, cells: whole.cells.map((row) => row.map(() => '')) };
  expect(
    dividedAs(empty, 'whole', 'thirds')
      .cells.flat()
      .every((text) => text === ''),
  ).toBe(true);
});
