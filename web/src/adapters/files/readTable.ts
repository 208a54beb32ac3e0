import { parse } from 'papaparse';
import { plainCell } from '@yaylak/core';
import { MOST_MEGABYTES } from './limits';
import { boundFault, type BoundFault } from './tableBounds';

/** A file as a table of text. */
export interface FileTable {
  readonly headings: readonly string[];
  /** Cells by row; line numbers are those of the file. */
  readonly rows: readonly (readonly string[])[];
  readonly encoding: Encoding;
  readonly delimiter: string;
}

export const ENCODINGS = ['utf-8', 'windows-1254', 'windows-1252', 'utf-16le', 'utf-16be'] as const;
export type Encoding = (typeof ENCODINGS)[number];

export type FileTableAnswer =
  | { readonly kind: 'table'; readonly table: FileTable }
  | {
      readonly kind: 'refused';
      readonly reason: 'empty' | 'only-headings' | 'too-large' | 'not-text' | 'not-a-workbook' | BoundFault['reason'];
      readonly megabytes: number;
      /** The line of the file at fault, where one is. */
      readonly line?: number;
    };

/**
 * Reads the bytes of a CSV file: byte-order mark, semicolons or tabs, quotes and any line ends are seen to. Without a
 * mark UTF-8 is tried first; what is not UTF-8 is read as Windows-1254 unless another encoding is named.
 */
export function readTable(bytes: Uint8Array, named?: Encoding): FileTableAnswer {
  const megabytes = bytes.length / 1_000_000;
  const refused = (
    reason: Extract<FileTableAnswer, { kind: 'refused' }>['reason'],
    line?: number,
  ): FileTableAnswer => ({
    kind: 'refused',
    reason,
    megabytes,
    ...(line === undefined ? {} : { line }),
  });
  if (bytes.length === 0) return refused('empty');
  if (megabytes > MOST_MEGABYTES) return refused('too-large');
  const encoding = named ?? encodingOf(bytes);
  const text = new TextDecoder(encoding).decode(bytes);
  if (text.includes('\u0000')) return refused('not-text');
  if (text.trim() === '') return refused('empty');
  const delimiter = delimiterOf(text);
  const fault = boundFault(text, delimiter);
  if (fault) return refused(fault.reason, 'line' in fault ? fault.line : undefined);
  const parsed = parse<string[]>(text, { skipEmptyLines: false, delimiter });
  const [headings, ...rows] = parsed.data;
  while (rows.length > 0 && (rows.at(-1) ?? []).every((c) => c.trim() === '')) rows.pop();
  if (!headings || rows.length === 0) return refused('only-headings');
  return {
    kind: 'table',
    table: {
      headings: headings.map((h) => h.trim()),
      rows: rows.map((r) => r.map(plainCell)),
      encoding,
      delimiter: parsed.meta.delimiter,
    },
  };
}

/** So much of the heading line tells what parts the columns. */
const MOST_HEADING_LETTERS = 20_000;

/**
 * What parts the columns: the sign that stands most often in the heading line, quotes apart. Judged there and not over
 * the rows, where decimal commas outnumber semicolons.
 */
function delimiterOf(text: string): string {
  const heading = (/^[^\r\n]*/.exec(text)?.[0] ?? '').slice(0, MOST_HEADING_LETTERS).replace(/"[^"]*"/g, '');
  const count = (sign: string): number => heading.split(sign).length;
  return [',', ';', '\t', '|'].reduce((best, sign) => (count(sign) > count(best) ? sign : best));
}

function encodingOf(bytes: Uint8Array): Encoding {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le';
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be';
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(bytes);
    return 'utf-8';
  } catch {
    return 'windows-1254';
  }
}
