import { MOST_MEGABYTES } from './limits';
import type { FileTableAnswer } from './readTable';

const REFUSED_WORDS = {
  empty: 'is empty. Choose another file.',
  'only-headings': 'has headings and no rows. Choose another file.',
  'not-text': 'is not a text file. Save it as CSV first.',
} as const;

/** Why a file was not read, to stand after its name. */
export function refusedWords({ reason, megabytes }: Extract<FileTableAnswer, { kind: 'refused' }>): string {
  return reason === 'too-large'
    ? `has ${megabytes.toFixed(0)} MB; up to ${MOST_MEGABYTES} MB are read at a time. Split it into parts.`
    : REFUSED_WORDS[reason];
}
