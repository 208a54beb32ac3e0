import { plainCell } from '@yaylak/core';
import { parse } from 'papaparse';
import writeXlsxFile, { type CellObject } from 'write-excel-file/universal';

/** Columns whose digits are a name, not a figure: `0012` is not 12. */
const NAMES = new Set(['number', 'tattoo', 'electronic', 'name', 'dam', 'sire']);
const FIGURE = /^-?\d{1,12}(\.\d+)?$/;
const DAY = /^\d{4}-\d{2}-\d{2}$/;

/**
 * A table of text (CSV with commas, as the server writes it) as a workbook (.xlsx): figures as numbers, days as days,
 * numbers of animals as the text they are. No cell is a formula.
 */
export function workbookOf(csv: string): Promise<Blob> {
  const [headings = [], ...rows] = parse<string[]>(csv.replace(/^\ufeff/, ''), { skipEmptyLines: true }).data;
  const names = headings.map((heading) => NAMES.has(heading.trim().toLowerCase()));
  const head = headings.map((heading): CellObject => ({ value: heading, type: String, fontWeight: 'bold' }));
  const body = rows.map((row) => row.map((cell, i) => cellOf(plainCell(cell), names[i] ?? false)));
  return writeXlsxFile([head, ...body], { stickyRowsCount: 1 }).toBlob();
}

function cellOf(text: string, isName: boolean): CellObject | null {
  if (text === '') return null;
  if (!isName && FIGURE.test(text)) return { value: Number(text), type: Number };
  if (!isName && DAY.test(text)) return { value: new Date(`${text}T00:00:00Z`), type: Date, format: 'yyyy-mm-dd' };
  return { value: text, type: String };
}
