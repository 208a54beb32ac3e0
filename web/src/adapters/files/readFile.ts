import { isWorkbook } from './isWorkbook';
import { readTable, type Encoding, type FileTableAnswer } from './readTable';

/** Reads a file as a table, whatever it is: a workbook (.xlsx) by what it begins with, else text (CSV). */
export async function readFile(bytes: Uint8Array, encoding?: Encoding): Promise<FileTableAnswer> {
  if (!isWorkbook(bytes)) return readTable(bytes, encoding);
  // Few files are workbooks: what reads them is fetched when one comes.
  const { readSheet } = await import('./readSheet');
  return readSheet(bytes);
}
