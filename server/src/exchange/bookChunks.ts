import type { BookFile, FiledPicture } from '@yaylak/contract';

/** A book as it is written out: its pictures are read one by one as their turn comes. */
export type BookToWrite = Omit<BookFile, 'photos'> & { readonly photos?: Iterable<FiledPicture> };

/** Characters gathered before they are handed on. */
const CHUNK = 64 * 1024;

/**
 * A book as the bytes of its file: JSON with a record a line, so that two can be compared line by line and a fault can
 * be found by its line. Handed on in pieces: a book is never held as one text.
 */
export function* bookChunks(book: BookToWrite): Generator<Uint8Array> {
  let text = '';
  for (const piece of pieces(book)) {
    text += piece;
    if (text.length < CHUNK) continue;
    yield Buffer.from(text);
    text = '';
  }
  yield Buffer.from(text);
}

function* pieces(book: BookToWrite): Generator<string> {
  let before = '{';
  for (const [part, value] of Object.entries(book)) {
    if (value === undefined) continue;
    yield `${before}${JSON.stringify(part)}:`;
    before = ',\n';
    if (!isList(value)) {
      yield JSON.stringify(value);
      continue;
    }
    yield '[';
    let count = 0;
    for (const record of value) yield `${count++ === 0 ? '\n' : ',\n'}${JSON.stringify(record)}`;
    yield count > 0 ? '\n]' : ']';
  }
  yield '}\n';
}

const isList = (value: unknown): value is Iterable<unknown> =>
  typeof value === 'object' && value !== null && Symbol.iterator in value;
