import { WEIGHING_METHODS, type WeighingMethod } from '../growth';
import { normalised } from '../identity';
import { animalOfRow, type Resolve } from './animalOfRow';
import { toKg, type AnimalId, type Kilograms } from '../units';
import { cellOf, fault, type Cells, type ReadingChoices, type RowAnswer } from './cells';
import type { ColumnMapping } from './columns';
import { readTypedWeight } from './readWeight';

export interface WeightRow {
  readonly animalId: AnimalId;
  readonly on: string;
  readonly kg: Kilograms;
  readonly method: WeighingMethod;
}

/** One line of a file of weights. */
export function readWeightRow(
  cells: Cells,
  mapping: ColumnMapping,
  choices: ReadingChoices,
  resolve: Resolve,
): RowAnswer<WeightRow> {
  const cell = cellOf(cells, mapping);
  const found = animalOfRow(cell, choices, resolve);
  if (found.kind === 'fault') return found;
  const typed = cell('weight');
  const weight = readTypedWeight(typed, choices.unit);
  if (weight.kind === 'refused') return fault('weight', typed, weight.reason === 'empty' ? 'missing' : 'not-a-number');
  const how = normalised(cell('method'));
  const method = how === '' ? 'scale' : WEIGHING_METHODS.find((m) => m === how);
  if (!method) return fault('method', cell('method'), 'unknown-word', WEIGHING_METHODS);
  return {
    kind: 'row',
    row: { animalId: found.animalId, on: found.on, kg: toKg(weight.value, choices.unit), method },
  };
}
