import type { BookFile } from '@yaylak/contract';

/** Characters gathered before they are handed on. */
const CHUNK = 64 * 1024;

/**
 * A book as the bytes of its file: JSON with a record a line, so that two can be compared line by line and a fault can
 * be found by its line. Handed on in pieces: a book is never held as one text.
 */
export function* bookChunks(book: BookFile): Generator<Uint8Array> {
  let text = '';
  for (const piece of pieces(book)) {
    text += piece;
    if (text.length < CHUNK) continue;
    yield Buffer.from(text);
    text = '';
  }
  yield Buffer.from(text);
}

function* pieces(book: BookFile): Generator<string> {
  let before = '{';
  for (const [part, value] of Object.entries(book)) {
    if (value === undefined) continue;
    yield `${before}${JSON.stringify(part)}:`;
    before = ',\n';
    if (!Array.isArray(value)) {
      yield JSON.stringify(value);
      continue;
    }
    yield '[';
    for (const [i, record] of value.entries()) yield `${i === 0 ? '\n' : ',\n'}${JSON.stringify(record)}`;
    yield value.length > 0 ? '\n]' : ']';
  }
  yield '}\n';
}
