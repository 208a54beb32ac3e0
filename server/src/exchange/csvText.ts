import { neutralCell } from '@yaylak/core';
import { unparse } from 'papaparse';

export type Cell = string | number | null | undefined;

/** A table as CSV with its headings; cells a spreadsheet would run as formulas are neutralised. */
export function csv(headings: readonly string[], rows: readonly (readonly Cell[])[]): string {
  const cell = (value: Cell): string => (value === null || value === undefined ? '' : neutralCell(String(value)));
  return `${unparse({ fields: [...headings], data: rows.map((row) => row.map(cell)) }, { newline: '\r\n' })}\r\n`;
}
