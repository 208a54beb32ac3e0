import { isoOf, readTypedDate } from '../calendar';
import { WEIGHING_METHODS, type WeighingMethod } from '../growth';
import { normalised, readElectronicNumber, TAG_COLOURS, type Resolved, type TagColour } from '../identity';
import { toKg, type AnimalId, type Kilograms } from '../units';
import { cellOf, fault, type Cells, type ReadingChoices, type RowAnswer } from './cells';
import type { ColumnMapping } from './columns';
import { readTypedNumber } from './readNumber';

export interface WeightRow {
  readonly animalId: AnimalId;
  readonly on: string;
  readonly kg: Kilograms;
  readonly method: WeighingMethod;
}

/** Devices write date and time in one cell; for a weight the day is what counts. */
const TIME_BEHIND = /[ T]\d{1,2}:\d{2}.*$/;

/** One line of a file of weights. @param resolve finds the animal a number means, of that colour where one is given */
export function readWeightRow(
  cells: Cells,
  mapping: ColumnMapping,
  choices: ReadingChoices,
  resolve: (number: string, colour?: TagColour) => Resolved,
): RowAnswer<WeightRow> {
  const cell = cellOf(cells, mapping);
  const number = cell('number');
  if (number === '') return fault('number', '', 'missing');
  const electronic = readElectronicNumber(number);
  const colour = TAG_COLOURS.find((c) => c === normalised(cell('colour')));
  const found = resolve(electronic.kind === 'number' ? electronic.digits : number, colour);
  if (found.kind === 'none') return fault('number', number, 'unknown-animal');
  if (found.kind === 'several') return fault('number', number, 'several-animals');
  const date = cell('on');
  if (date === '') return fault('on', '', 'missing');
  const on = readTypedDate(date.replace(TIME_BEHIND, ''), choices.dateOrder);
  if (on === undefined) return fault('on', date, 'not-a-date');
  const typed = cell('weight');
  const weight = readTypedNumber(typed);
  if (weight.kind === 'refused') return fault('weight', typed, weight.reason === 'empty' ? 'missing' : 'not-a-number');
  const how = normalised(cell('method'));
  const method = how === '' ? 'scale' : WEIGHING_METHODS.find((m) => m === how);
  if (!method) return fault('method', cell('method'), 'unknown-word', WEIGHING_METHODS);
  return {
    kind: 'row',
    row: { animalId: found.animalId, on: isoOf(on), kg: toKg(weight.value, choices.unit), method },
  };
}
