import { MOST_CELL_LETTERS, MOST_COLUMNS } from './limits';

export type BoundFault =
  | { readonly reason: 'too-many-columns' }
  /** A cell that does not end: a quote that is never closed, or a file that is no table. */
  | { readonly reason: 'endless-cell'; readonly line: number };

const QUOTE = 34;
const LINE_FEED = 10;
const RETURN = 13;

/**
 * Whether a text can be read as a table in the time a person waits: looked at letter by letter once, and left at the
 * first fault, so that no file holds the reading up, whatever is in it. O(n) in its length, nothing is kept.
 */
export function boundFault(text: string, delimiter: string): BoundFault | undefined {
  const sign = delimiter.charCodeAt(0);
  let line = 1;
  let columns = 1;
  let cellFrom = 0;
  let cellLine = 1;
  let isQuoted = false;
  for (let i = 0; i < text.length; i++) {
    const letter = text.charCodeAt(i);
    if (i - cellFrom > MOST_CELL_LETTERS) return { reason: 'endless-cell', line: cellLine };
    if (letter === LINE_FEED || (letter === RETURN && text.charCodeAt(i + 1) !== LINE_FEED)) line++;
    if (letter === QUOTE) {
      // A quote opens a cell only at its beginning; a doubled one inside closes and opens again.
      if (isQuoted || i === cellFrom) isQuoted = !isQuoted;
    } else if (!isQuoted && letter === sign) {
      if (++columns > MOST_COLUMNS) return { reason: 'too-many-columns' };
      [cellFrom, cellLine] = [i + 1, line];
    } else if (!isQuoted && (letter === LINE_FEED || letter === RETURN)) {
      columns = 1;
      [cellFrom, cellLine] = [i + 1, line];
    }
  }
  return isQuoted ? { reason: 'endless-cell', line: cellLine } : undefined;
}
