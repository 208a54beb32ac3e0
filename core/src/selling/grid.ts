/*
 * The public carcass classes in thirds, the one scale everything here is worked in: shape 1 = P- to 15 = E+, fat 1 = 1-
 * to 15 = 5+. A grid may price coarser steps; how is in `DIVISIONS` and nowhere else.
 */

export const STEPS = 15;
export const SHAPE_CLASSES = ['P', 'O', 'R', 'U', 'E'] as const;
export const FAT_CLASSES = ['1', '2', '3', '4', '5'] as const;
const SIGNS = ['-', '', '+'] as const;

/** Whole classes, thirds, or low (minus and middle) and high (plus). */
export const GRID_DIVISIONS = ['whole', 'thirds', 'low-high'] as const;
export type GridDivision = (typeof GRID_DIVISIONS)[number];

interface Division {
  readonly perClass: number;
  /** The part of a class that each of its thirds lies in. */
  readonly parts: readonly [minus: number, middle: number, plus: number];
  readonly names: readonly string[];
}
const DIVISIONS: Readonly<Record<GridDivision, Division>> = {
  whole: { perClass: 1, parts: [0, 0, 0], names: [''] },
  thirds: { perClass: 3, parts: [0, 1, 2], names: SIGNS },
  'low-high': { perClass: 2, parts: [0, 0, 1], names: ['L', 'H'] },
};

/** A step by its number in thirds, 1 to 15. */
export type ClassStep = number;

/** The row or column of a grid that a step lies in, from 0. */
export function cellOf(step: ClassStep, division: GridDivision): number {
  const { perClass, parts } = DIVISIONS[division];
  return Math.floor((step - 1) / 3) * perClass + (parts[(step - 1) % 3] as number);
}

const cellsOfSteps = (division: GridDivision): readonly number[] =>
  Array.from({ length: STEPS }, (_, i) => cellOf(i + 1, division));
/** The cell of each step from 1 on: a pen asks for them by day and by head. */
export const CELLS_OF_STEPS: Readonly<Record<GridDivision, readonly number[]>> = {
  whole: cellsOfSteps('whole'),
  thirds: cellsOfSteps('thirds'),
  'low-high': cellsOfSteps('low-high'),
};

export const cellsOf = (division: GridDivision): number => DIVISIONS[division].perClass * SHAPE_CLASSES.length;

/** How the rows or columns are called, from the poorest shape or the leanest. */
export const cellNames = (classes: readonly string[], division: GridDivision): string[] =>
  classes.flatMap((c) => DIVISIONS[division].names.map((part) => `${c}${part}`));

/** The steps that a row or column spans, first and last. */
export function stepsOfCell(cell: number, division: GridDivision): readonly [from: ClassStep, to: ClassStep] {
  const steps = Array.from({ length: STEPS }, (_, i) => i + 1).filter((s) => cellOf(s, division) === cell);
  return [steps[0] as ClassStep, steps.at(-1) as ClassStep];
}

/** `R+`, `O`, `3-`: a step as it is called. */
export const stepName = (step: ClassStep, classes: readonly string[]): string =>
  `${classes[Math.floor((step - 1) / 3)] ?? ''}${SIGNS[(step - 1) % 3] ?? ''}`;
export const shapeName = (step: ClassStep): string => stepName(step, SHAPE_CLASSES);
export const fatName = (step: ClassStep): string => stepName(step, FAT_CLASSES);

/**
 * The step a class is read as: `R+`, `r +`, `3-`, `4L`, `3 high`. A whole class is its middle; low and high are the
 * middle of the thirds they hold, low on the minus side of it.
 * @returns undefined for what is no class of the scale
 */
export function readStep(text: string, classes: readonly string[]): ClassStep | undefined {
  const read = /^([a-z0-9])\s*(\+|-|−|=|l|low|h|high)?$/i.exec(text.trim());
  const at = classes.findIndex((c) => c.toLowerCase() === read?.[1]?.toLowerCase());
  if (!read || at < 0) return undefined;
  const sign = (read[2] ?? '').toLowerCase();
  if (sign === '-' || sign === '−') return at * 3 + 1;
  if (sign === '+' || sign.startsWith('h')) return at * 3 + 3;
  return at * 3 + 2;
}
export const readShape = (text: string): ClassStep | undefined => readStep(text, SHAPE_CLASSES);
export const readFat = (text: string): ClassStep | undefined => readStep(text, FAT_CLASSES);

/** Hundredths of the holding's money for a kilogram of carcass, by shape (poorest first) and fat (leanest first). */
export interface Grid {
  readonly shape: Exclude<GridDivision, 'low-high'>;
  readonly fat: GridDivision;
  /** Added to the base price, or standing for it. */
  readonly cellsAre: 'adjustment' | 'price';
  readonly cells: readonly (readonly number[])[];
}

export type GridFault =
  | { readonly kind: 'grid-rows'; readonly found: number; readonly wanted: number }
  | { readonly kind: 'grid-hole'; readonly shape: string; readonly fat: string };

/** The first cell that is missing or no number: a carcass that falls there would have no price. */
export function gridFault({ shape, fat, cells }: Grid): GridFault | undefined {
  const [rows, columns] = [cellNames(SHAPE_CLASSES, shape), cellNames(FAT_CLASSES, fat)];
  if (cells.length !== rows.length) return { kind: 'grid-rows', found: cells.length, wanted: rows.length };
  for (const [r, row] of rows.entries())
    for (const [c, column] of columns.entries())
      if (!Number.isFinite(cells[r]?.[c])) return { kind: 'grid-hole', shape: row, fat: column };
  return undefined;
}

/** What the grid pays for a kilogram of a carcass of a class, given the base price. */
export function pricePerKg({ shape, fat, cellsAre, cells }: Grid, baseMinor: number, at: GradedClass): number {
  const cell = cells[cellOf(at.shape, shape)]?.[cellOf(at.fat, fat)] ?? Number.NaN;
  return cellsAre === 'price' ? cell : baseMinor + cell;
}

export interface GradedClass {
  readonly shape: ClassStep;
  readonly fat: ClassStep;
}
