import { FAT_CLASSES, readFat, readShape, SHAPE_CLASSES } from '../selling';
import { toKg, type AnimalId, type Kilograms } from '../units';
import { animalOfRow, type Resolve } from './animalOfRow';
import { cellOf, fault, type Cells, type ReadingChoices, type RowAnswer, type RowFault } from './cells';
import type { ColumnMapping, ImportField } from './columns';
import { readMoney } from './readNumber';
import { readTypedWeight } from './readWeight';

/** One line of a kill sheet. */
export interface CarcassRow {
  readonly animalId: AnimalId;
  readonly on: string;
  readonly carcassKg: Kilograms;
  /** In thirds of a class. */
  readonly shape?: number;
  readonly fat?: number;
  /** For the head, hundredths of the money. */
  readonly priceMinor?: number;
  readonly deductedMinor?: number;
}

/** One line of a kill sheet. Classes may be whole, in thirds or low and high; a sheet without them or without prices is one too. */
export function readCarcassRow(
  cells: Cells,
  mapping: ColumnMapping,
  choices: ReadingChoices,
  resolve: Resolve,
): RowAnswer<CarcassRow> {
  const cell = cellOf(cells, mapping);
  const found = animalOfRow(cell, choices, resolve);
  if (found.kind === 'fault') return found;
  const typed = cell('carcass');
  const weight = readTypedWeight(typed, choices.unit);
  if (weight.kind === 'refused') return fault('carcass', typed, weight.reason === 'empty' ? 'missing' : 'not-a-number');
  const figure = (field: ImportField): number | undefined | { readonly kind: 'fault'; readonly fault: RowFault } => {
    const read = readMoney(cell(field));
    return typeof read === 'string' ? fault(field, cell(field), read) : read;
  };
  const graded = (
    field: ImportField,
    read: (text: string) => number | undefined,
    classes: readonly string[],
  ): number | undefined | { readonly kind: 'fault'; readonly fault: RowFault } => {
    const text = cell(field);
    return text === '' ? undefined : (read(text) ?? fault(field, text, 'unknown-word', classes));
  };
  const parts = {
    shape: graded('shape', readShape, SHAPE_CLASSES),
    fat: graded('fat', readFat, FAT_CLASSES),
    priceMinor: figure('price'),
    deductedMinor: figure('deducted'),
  };
  const row: Record<string, number> = {};
  for (const [name, part] of Object.entries(parts)) {
    if (typeof part === 'object') return part;
    if (part !== undefined) row[name] = part;
  }
  const { animalId, on } = found;
  return { kind: 'row', row: { animalId, on, carcassKg: toKg(weight.value, choices.unit), ...row } };
}
