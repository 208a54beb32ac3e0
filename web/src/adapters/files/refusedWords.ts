import { MOST_COLUMNS, MOST_MEGABYTES } from './limits';
import type { FileTableAnswer } from './readTable';

const REFUSED_WORDS = {
  empty: 'is empty. Choose another file.',
  'only-headings': 'has headings and no rows. Choose another file.',
  'not-text': 'is neither text nor a workbook. Save it as CSV or .xlsx first.',
  'not-a-workbook': 'cannot be read as a workbook: it may be locked or broken. Save it anew as .xlsx, or as CSV.',
  'too-many-columns': `has a line of more than ${MOST_COLUMNS} columns. Leave out the columns that are not needed.`,
} as const;

/** Why a file was not read, to stand after its name. */
export function refusedWords({ reason, megabytes, line }: Extract<FileTableAnswer, { kind: 'refused' }>): string {
  if (reason === 'endless-cell')
    return `has a cell on line ${line ?? 1} that does not end: a quotation mark may not be closed there. Correct that line.`;
  return reason === 'too-large'
    ? `has ${megabytes.toFixed(0)} MB; up to ${MOST_MEGABYTES} MB are read at a time. Split it into parts.`
    : REFUSED_WORDS[reason];
}
