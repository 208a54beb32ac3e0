import { unzipSync } from 'fflate';
import { plainCell } from '@yaylak/core';
import readXlsxFile from 'read-excel-file/universal';
import { MOST_COLUMNS, MOST_MEGABYTES } from './limits';
import type { FileTableAnswer } from './readTable';

/** A small file may hold a table too large for a browser: what it says it unpacks to is looked at first. */
const MOST_UNPACKED_MEGABYTES = MOST_MEGABYTES * 5;
const BYTES_A_MB = 1_000_000;

/**
 * Reads the first sheet of a workbook (.xlsx) as a table of text: numbers as they are kept, with a point, days as ISO
 * dates. Macros and formulas are not run; what a formula gave when it was saved is read.
 */
export async function readSheet(bytes: Uint8Array): Promise<FileTableAnswer> {
  const megabytes = bytes.length / BYTES_A_MB;
  const refused = (reason: Extract<FileTableAnswer, { kind: 'refused' }>['reason']): FileTableAnswer => ({
    kind: 'refused',
    reason,
    megabytes,
  });
  if (megabytes > MOST_MEGABYTES) return refused('too-large');
  let rows: readonly (readonly unknown[])[];
  try {
    let unpacked = 0;
    unzipSync(bytes, {
      filter: ({ originalSize }) => {
        unpacked += originalSize / BYTES_A_MB;
        return false;
      },
    });
    if (unpacked > MOST_UNPACKED_MEGABYTES) return { kind: 'refused', reason: 'too-large', megabytes: unpacked };
    const sheets = await readXlsxFile(bytes.slice().buffer);
    rows = sheets[0]?.data ?? [];
  } catch {
    return refused('not-a-workbook');
  }
  const text = rows.map((row) => row.map(cellText));
  const [headings, ...others] = text;
  while (others.length > 0 && (others.at(-1) ?? []).every((cell) => cell === '')) others.pop();
  if (!headings) return refused('empty');
  if (headings.length > MOST_COLUMNS) return refused('too-many-columns');
  if (others.length === 0) return refused('only-headings');
  return {
    kind: 'table',
    table: { headings, rows: others.map((row) => row.map(plainCell)), encoding: 'utf-8', delimiter: ',' },
  };
}

function cellText(cell: unknown): string {
  if (cell === null || cell === undefined) return '';
  if (cell instanceof Date) return cell.toISOString().slice(0, 'YYYY-MM-DD'.length);
  if (typeof cell === 'boolean') return cell ? 'yes' : 'no';
  return String(cell as string | number).trim();
}
