import type { DateOrder } from '../calendar';
import type { WeightUnit } from '../units';
import type { ColumnMapping, ImportField } from './columns';

/** How a file is to be read, beside its columns. */
export interface ReadingChoices {
  readonly unit: WeightUnit;
  readonly dateOrder: DateOrder;
}

/** A cell that cannot be taken, and why. */
export interface RowFault {
  readonly field: ImportField;
  readonly value: string;
  readonly reason:
    | 'missing'
    | 'not-a-number'
    | 'not-a-date'
    | 'not-a-whole-number'
    | 'below-zero'
    | 'stands-twice'
    | 'unknown-animal'
    | 'several-animals'
    | 'unknown-word';
  /** Words that would do, for `unknown-word`; the lines it stands in, for `stands-twice`. */
  readonly known?: readonly string[];
}

export type RowAnswer<T> =
  { readonly kind: 'row'; readonly row: T } | { readonly kind: 'fault'; readonly fault: RowFault };

export type Cells = readonly string[];
export type Cell = (field: ImportField) => string;

export const cellOf =
  (cells: Cells, mapping: ColumnMapping): Cell =>
  (field) => {
    const at = mapping[field];
    return at === undefined ? '' : (cells[at] ?? '').trim();
  };

export const fault = (
  field: ImportField,
  value: string,
  reason: RowFault['reason'],
  known?: readonly string[],
): { kind: 'fault'; fault: RowFault } => ({
  kind: 'fault',
  fault: known ? { field, value, reason, known } : { field, value, reason },
});
