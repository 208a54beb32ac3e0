import { isoOf, readTypedDate } from '../calendar';
import { normalised, readElectronicNumber, TAG_COLOURS, type Resolved, type TagColour } from '../identity';
import type { AnimalId } from '../units';
import { fault, type Cell, type ReadingChoices, type RowFault } from './cells';

/** Finds the animal a number means, of that colour where one is given. */
export type Resolve = (number: string, colour?: TagColour) => Resolved;

/** Whom a row speaks of, and of which day. */
export type AnimalOfRow =
  | { readonly kind: 'animal'; readonly animalId: AnimalId; readonly on: string }
  | { readonly kind: 'fault'; readonly fault: RowFault };

/** Devices write date and time in one cell; the day is what counts. */
const TIME_BEHIND = /[ T]\d{1,2}:\d{2}.*$/;

/** The animal by its number, electronic or on a tag, and the day. */
export function animalOfRow(cell: Cell, { dateOrder }: ReadingChoices, resolve: Resolve): AnimalOfRow {
  const number = cell('number');
  if (number === '') return fault('number', '', 'missing');
  const electronic = readElectronicNumber(number);
  const colour = TAG_COLOURS.find((c) => c === normalised(cell('colour')));
  const found = resolve(electronic.kind === 'number' ? electronic.digits : number, colour);
  if (found.kind === 'none') return fault('number', number, 'unknown-animal');
  if (found.kind === 'several') return fault('number', number, 'several-animals');
  const date = cell('on');
  if (date === '') return fault('on', '', 'missing');
  const on = readTypedDate(date.replace(TIME_BEHIND, ''), dateOrder);
  return on === undefined
    ? fault('on', date, 'not-a-date')
    : { kind: 'animal', animalId: found.animalId, on: isoOf(on) };
}
