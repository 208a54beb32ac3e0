import { MOST_COLUMNS, MOST_MEGABYTES } from './limits';
import type { FileTableAnswer } from './readTable';
import { say, fixedText } from '@yaylak/contract';

const REFUSED_WORDS = {
  empty: say('is empty. Choose another file.'),
  'only-headings': say('has headings and no rows. Choose another file.'),
  'not-text': say('is neither text nor a workbook. Save it as CSV or .xlsx first.'),
  'not-a-workbook': say('cannot be read as a workbook: it may be locked or broken. Save it again as .xlsx, or as CSV.'),
  'too-many-columns': say('has a line of more than {most} columns. Leave out the columns that are not needed.', {
    most: MOST_COLUMNS,
  }),
} as const;

/** Why a file was not read, to stand after its name. */
export function refusedWords({ reason, megabytes, line }: Extract<FileTableAnswer, { kind: 'refused' }>): string {
  if (reason === 'endless-cell')
    return say(
      'has a cell on line {n} that does not end: a quotation mark may not be closed there. Correct that line.',
      { n: line ?? 1 },
    );
  return reason === 'too-large'
    ? say('has {n} MB; up to {most} MB are read at a time. Split it into parts.', {
        n: fixedText(megabytes, 0),
        most: MOST_MEGABYTES,
      })
    : REFUSED_WORDS[reason];
}
