import type { GridFacts, OutletFacts, PriceListFacts } from '@yaylak/contract';
import {
  cellNames,
  FAT_CLASSES,
  fatName,
  fromKg,
  isPaidByHead,
  readFat,
  readShape,
  readTypedNumber,
  SHAPE_CLASSES,
  shapeName,
  toKg,
  type GridDivision,
  type PayWay,
  type Species,
  type WeightUnit,
  cellOf,
  stepsOfCell,
} from '@yaylak/core';
import { say } from '@yaylak/contract';

export interface BandDraft {
  readonly from: string;
  readonly to: string;
  readonly more: string;
}
export interface GridDraft {
  readonly shape: Exclude<GridDivision, 'low-high'>;
  readonly fat: GridDivision;
  readonly cellsAre: 'adjustment' | 'price';
  readonly cells: readonly (readonly string[])[];
}
export interface PriceDraft {
  readonly from: string;
  readonly base: string;
  readonly upTo: string;
  readonly bands: readonly BandDraft[];
  readonly grid: GridDraft;
}

/** An outlet as it is typed; weights in the holding's unit, money in whole currency, shares in percent. */
export interface OutletDraft {
  readonly name: string;
  readonly species: Species;
  readonly payBy: PayWay;
  readonly prices: readonly PriceDraft[];
  readonly shrink: string;
  readonly commission: string;
  readonly trip: string;
  readonly head: string;
  readonly least: string;
  readonly most: string;
  readonly weekdays: readonly number[];
  readonly fromKg: string;
  readonly toKg: string;
  readonly fromShape: string;
  readonly toShape: string;
  readonly fromFat: string;
  readonly toFat: string;
  readonly fromDays: string;
  readonly toDays: string;
  readonly leastChance: string;
  readonly note: string;
}

const rowsOf = (shape: GridDivision): string[] => cellNames(SHAPE_CLASSES, shape);
const columnsOf = (fat: GridDivision): string[] => cellNames(FAT_CLASSES, fat);

/** A field without figures, for a grid that was not filled yet. */
const emptyCells = (shape: GridDivision, fat: GridDivision): string[][] =>
  rowsOf(shape).map(() => columnsOf(fat).map(() => ''));

const NO_GRID: GridDraft = {
  shape: 'whole',
  fat: 'whole',
  cellsAre: 'adjustment',
  cells: emptyCells('whole', 'whole'),
};

export const NO_PRICES = (from: string): PriceDraft => ({ from, base: '', upTo: '', bands: [], grid: NO_GRID });

const figure = (value: number | undefined): string => (value === undefined ? '' : String(Number(value.toFixed(4))));
/** At least two digits after the point, more where a price a kilogram has them. */
const money = (minor: number): string => {
  const text = figure(minor / 100);
  return /\.\d{2}/.test(text) ? text : (minor / 100).toFixed(2);
};
const weightFigure = (kg: number | undefined, unit: WeightUnit): string =>
  kg === undefined ? '' : figure(Number(fromKg(kg, unit).toFixed(2)));

/** An outlet as it stands, to be changed. A price a kilogram is shown for the holding's unit. */
export function draftOf(
  facts: OutletFacts | undefined,
  species: Species,
  today: string,
  unit: WeightUnit,
): OutletDraft {
  const perUnit = (minor: number): string => money(minor * toKg(1, unit));
  const wants = facts?.wants ?? {};
  const payBy = facts?.payBy ?? 'live-kg';
  return {
    name: facts?.name ?? '',
    species: facts?.species ?? species,
    payBy,
    prices: facts
      ? [...facts.prices]
          .sort((a, b) => (a.from < b.from ? 1 : -1))
          .map((p) => ({
            from: p.from,
            base: isPaidByHead(payBy) ? money(p.baseMinor) : perUnit(p.baseMinor),
            upTo: weightFigure(p.paidUpToKg, unit),
            bands: p.bands.map((b) => ({
              from: weightFigure(b.fromKg, unit),
              to: weightFigure(b.toKg, unit),
              more: perUnit(b.minorPerKg),
            })),
            grid: p.grid ? { ...p.grid, cells: p.grid.cells.map((row) => row.map((cell) => perUnit(cell))) } : NO_GRID,
          }))
      : [NO_PRICES(today)],
    shrink: facts ? figure(100 * facts.shrinkShare) : '0',
    commission: facts ? figure(100 * facts.commissionShare) : '0',
    trip: money(facts?.tripMinor ?? 0),
    head: money(facts?.headMinor ?? 0),
    least: facts ? String(facts.least) : '0',
    most: figure(facts?.most),
    weekdays: facts?.weekdays ?? [],
    fromKg: weightFigure(wants.fromKg, unit),
    toKg: weightFigure(wants.toKg, unit),
    fromShape: wants.fromShape === undefined ? '' : shapeName(wants.fromShape),
    toShape: wants.toShape === undefined ? '' : shapeName(wants.toShape),
    fromFat: wants.fromFat === undefined ? '' : fatName(wants.fromFat),
    toFat: wants.toFat === undefined ? '' : fatName(wants.toFat),
    fromDays: figure(wants.fromDays),
    toDays: figure(wants.toDays),
    leastChance: figure(100 * (facts?.leastChance ?? 0.7)),
    note: facts?.note ?? '',
  };
}

export type ReadOutlet =
  | { readonly kind: 'outlet'; readonly facts: OutletFacts }
  | { readonly kind: 'faults'; readonly faults: readonly string[] };

/** What is typed, as it is sent; what cannot be read is named with its field. */
export function readOutlet(draft: OutletDraft, unit: WeightUnit): ReadOutlet {
  const faults: string[] = [];
  const number = (what: string, text: string): number | undefined => {
    if (text.trim() === '') return undefined;
    const read = readTypedNumber(text);
    if (read.kind === 'number') return read.value;
    faults.push(say('{what}: “{text}” is not a figure. Type digits, such as 4.60.', { what, text }));
    return undefined;
  };
  const minor = (what: string, text: string): number => Math.round((number(what, text) ?? 0) * 100);
  const kg = (what: string, text: string): number | undefined => {
    const value = number(what, text);
    return value === undefined ? undefined : Number(toKg(value, unit).toFixed(3));
  };
  const perKg = (what: string, text: string): number =>
    Number((((number(what, text) ?? 0) * 100) / toKg(1, unit)).toFixed(4));
  const share = (what: string, text: string): number => (number(what, text) ?? 0) / 100;
  const step = (what: string, text: string, read: (t: string) => number | undefined): number | undefined => {
    if (text.trim() === '') return undefined;
    const found = read(text);
    if (found === undefined)
      faults.push(say('{what}: “{text}” is not a class. Type one such as R+ or 3-.', { what, text }));
    return found;
  };
  const isByHead = isPaidByHead(draft.payBy);
  const prices = draft.prices.map((p): PriceListFacts => {
    const of = say('Prices from {value}', { value: p.from === '' ? say('no day') : p.from });
    if (p.from === '') faults.push(say('{of}: give the day they hold from.', { of }));
    const upTo = kg(say('{of}, paid up to', { of }), p.upTo);
    return {
      from: p.from,
      baseMinor: isByHead ? minor(say('{of}, price', { of }), p.base) : perKg(say('{of}, price', { of }), p.base),
      bands: p.bands.map((b) => {
        const to = kg(say('{of}, band to', { of }), b.to);
        return {
          fromKg: kg(say('{of}, band from', { of }), b.from) ?? 0,
          ...(to === undefined ? {} : { toKg: to }),
          minorPerKg: perKg(say('{of}, band', { of }), b.more),
        };
      }),
      ...(upTo === undefined ? {} : { paidUpToKg: upTo }),
      ...(draft.payBy === 'grid' ? { grid: gridOf(of, p.grid, perKg, faults) } : {}),
    };
  });
  const facts: OutletFacts = {
    name: draft.name.trim(),
    species: draft.species,
    payBy: draft.payBy,
    prices,
    shrinkShare: share(say('Lost on the way'), draft.shrink),
    commissionShare: share(say('Commission'), draft.commission),
    tripMinor: minor(say('Haulage a trip'), draft.trip),
    headMinor: minor(say('Off each head'), draft.head),
    least: number(say('Least heads'), draft.least) ?? 0,
    weekdays: [...draft.weekdays],
    wants: without({
      fromKg: kg(say('Wanted weight from'), draft.fromKg),
      toKg: kg(say('Wanted weight to'), draft.toKg),
      fromShape: step(say('Shape from'), draft.fromShape, readShape),
      toShape: step(say('Shape to'), draft.toShape, readShape),
      fromFat: step(say('Fat from'), draft.fromFat, readFat),
      toFat: step(say('Fat to'), draft.toFat, readFat),
      fromDays: number(say('Age from'), draft.fromDays),
      toDays: number(say('Age to'), draft.toDays),
    }),
    leastChance: share(say('Sure enough from'), draft.leastChance),
    ...without({ most: number(say('Most heads'), draft.most) }),
    ...(draft.note.trim() === '' ? {} : { note: draft.note.trim() }),
  };
  return faults.length > 0 ? { kind: 'faults', faults } : { kind: 'outlet', facts };
}

type Given<T> = { [K in keyof T]?: Exclude<T[K], undefined> };
const without = <T extends object>(fields: T): Given<T> =>
  Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as Given<T>;

function gridOf(
  of: string,
  { shape, fat, cellsAre, cells }: GridDraft,
  perKg: (what: string, text: string) => number,
  faults: string[],
): GridFacts {
  const [rows, columns] = [rowsOf(shape), columnsOf(fat)];
  return {
    shape,
    fat,
    cellsAre,
    cells: rows.map((row, r) =>
      columns.map((column, c) => {
        const text = cells[r]?.[c] ?? '';
        if (text.trim() === '')
          faults.push(
            say('{of}: {row}{column} has no figure. A carcass of that class would have no price.', { of, row, column }),
          );
        return perKg(`${of}, ${row}${column}`, text);
      }),
    ),
  };
}

/** A grid divided otherwise: each cell has the figure that stood at the middle of what it spans. */
export function dividedAs(
  grid: GridDraft,
  shape: GridDraft['shape'],
  fat: GridDivision,
): Pick<GridDraft, 'shape' | 'fat' | 'cells'> {
  const before = (cell: number, now: GridDivision, then: GridDivision): number => {
    const [from, to] = stepsOfCell(cell, now);
    return cellOf(Math.floor((from + to) / 2), then);
  };
  const cells = emptyCells(shape, fat).map((row, r) =>
    row.map((_, c) => grid.cells[before(r, shape, grid.shape)]?.[before(c, fat, grid.fat)] ?? ''),
  );
  return { shape, fat, cells };
}

/** A field of cells pasted from a spreadsheet, laid over the grid from the cell it was pasted in. */
export function pasted(
  cells: GridDraft['cells'],
  at: readonly [row: number, column: number],
  text: string,
): string[][] {
  const rows = text
    .replace(/\r?\n$/, '')
    .split(/\r?\n/)
    .map((line) => line.split('\t'));
  return cells.map((row, r) =>
    row.map(
      (cell, c) =>
        rows[r - at[0]]?.[c - at[1]]
          ?.trim()
          .replace(/[^\d.,+\-−]/g, '')
          .replace('−', '-') ?? cell,
    ),
  );
}
