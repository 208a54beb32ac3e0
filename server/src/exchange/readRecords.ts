import { Tokenizer, TokenParser, TokenType } from '@streamparser/json';
import { BOOK_FORMAT, BOOK_FORMAT_VERSION, type BookFile, say } from '@yaylak/contract';
import { badFields, notJson, type ProblemException } from '../common/problems';
import { breathe } from '../common/breathe';
import { MOST_DEPTH } from '../common/bounds';

export type BookPart = keyof BookFile;
/** Parts of a book that are lists of records. */
export type BookList = Exclude<BookPart, 'format' | 'formatVersion' | 'holding'>;

/** A file's bytes, in pieces of any length. */
export type Chunks = AsyncIterable<Uint8Array> | Iterable<Uint8Array>;

/** One record of a book file: the settings, or one of a list. */
export interface BookRecord {
  readonly part: 'holding' | BookList;
  /** Its place in its list, from 0. */
  readonly index: number;
  /** The line of the file it begins on, from 1. */
  readonly line: number;
  readonly value: unknown;
}

/** The lists of a book, and whether a file may lack them: old ones do. */
export const BOOK_LISTS: Readonly<Record<BookList, 'needed' | 'may be missing'>> = {
  groups: 'needed',
  jobs: 'needed',
  products: 'may be missing',
  plans: 'may be missing',
  drills: 'may be missing',
  changes: 'may be missing',
  templates: 'may be missing',
  outlets: 'may be missing',
  loads: 'may be missing',
  animals: 'needed',
  entries: 'needed',
  photos: 'may be missing',
};
const isList = (part: string): part is BookList => Object.hasOwn(BOOK_LISTS, part);

/** Tokens of one record: a job with 20,000 animals has twice as many. */
const MOST_TOKENS = 100_000;
const NEWLINE = 0x0a;

export const wrong = (field: string, message: string): ProblemException => badFields([{ field, message }]);
const notABook = (): string =>
  say('This is not a book written by Yaylak. Choose the file that was written with “The whole book”.');

/**
 * The records of a book file, one after another as they come in. Nothing but the record at hand is held, and what no
 * book has (another form, an unknown part, a record without end) is refused where it begins, however long the rest is.
 * @throws ProblemException naming the place and the line
 */
export async function* readRecords(chunks: Chunks): AsyncGenerator<BookRecord> {
  const reader = new RecordReader();
  for await (const chunk of chunks) {
    await breathe();
    for (let start = 0; start < chunk.length;) {
      const newline = chunk.indexOf(NEWLINE, start);
      const end = newline < 0 ? chunk.length : newline + 1;
      reader.write(chunk.subarray(start, end));
      if (newline >= 0) reader.line += 1;
      start = end;
    }
    yield* reader.take();
  }
  reader.end();
  yield* reader.take();
}

/** What every book says before its records. */
function checkForm(part: 'format' | 'formatVersion', value: unknown): void {
  if (part === 'format') {
    if (value !== BOOK_FORMAT) throw wrong('format', notABook());
    return;
  }
  if (typeof value !== 'number' || !Number.isInteger(value) || value < 1)
    throw wrong('formatVersion', say('The file does not say in which form it was written. Write it out again.'));
  if (value > BOOK_FORMAT_VERSION)
    throw wrong(
      'formatVersion',
      say(
        'This book was written in form {value}; this Yaylak reads up to form {bOOK_FORMAT_VERSION}. Use a newer Yaylak.',
        { value, bOOK_FORMAT_VERSION: BOOK_FORMAT_VERSION },
      ),
    );
}

/** Follows the tokens of a file: where in the book it is, and whether a book can be so. */
class RecordReader {
  line = 1;
  private readonly tokenizer = new Tokenizer({ stringBufferSize: 64 * 1024 });
  private readonly parser = new TokenParser({
    paths: ['$.format', '$.formatVersion', '$.holding', ...Object.keys(BOOK_LISTS).map((list) => `$.${list}.*`)],
    keepStack: false,
  });
  private found: BookRecord[] = [];
  private readonly seen = new Set<BookPart>();
  private part: BookPart | undefined;
  private depth = 0;
  private tokens = 0;
  private index = 0;
  private began = 1;
  private key: unknown;
  /** The next token is the value of a part. */
  private opensPart = false;

  constructor() {
    this.tokenizer.onToken = ({ token, value, offset, partial }) => {
      if (!partial) this.follow(token, value);
      this.parser.write({ token, value, offset, partial } as Parameters<TokenParser['write']>[0]);
    };
    this.parser.onValue = ({ value }) => this.keep(value);
  }

  write(bytes: Uint8Array): void {
    this.guarded(() => this.tokenizer.write(bytes));
  }

  end(): void {
    this.guarded(() => {
      this.tokenizer.end();
      if (!this.parser.isEnded) throw new Error('cut off');
    });
    if (!this.seen.has('format')) throw wrong('format', notABook());
    if (!this.seen.has('formatVersion')) checkForm('formatVersion', undefined);
    for (const part of ['holding', ...Object.keys(BOOK_LISTS)] as const)
      if (!this.seen.has(part as BookPart) && BOOK_LISTS[part as BookList] !== 'may be missing')
        throw wrong(
          part,
          say('The file has no {value}. {cut}', {
            value: part === 'holding' ? say('settings') : say('list of {part}', { part }),
            cut: cutOff(),
          }),
        );
  }

  /** The records found since the last call. */
  take(): readonly BookRecord[] {
    const taken = this.found;
    this.found = [];
    return taken;
  }

  private guarded(work: () => void): void {
    try {
      work();
    } catch (error) {
      if ((error as { problem?: unknown }).problem) throw error;
      throw notJson(say('It breaks off on line {line}. {cut}', { line: this.line, cut: cutOff() }));
    }
  }

  private keep(value: unknown): void {
    const { part } = this;
    if (part === 'format' || part === 'formatVersion') checkForm(part, value);
    else this.found.push({ part: part as BookList, index: this.index++, line: this.began, value });
  }

  /** Looks at a token before the value it belongs to is built. */
  private follow(token: TokenType, value: unknown): void {
    if (this.part === undefined && this.depth === 0 && token !== TokenType.LEFT_BRACE)
      throw wrong('format', notABook());
    if (this.opensPart) this.openPart(token);
    const closes = token === TokenType.RIGHT_BRACE || token === TokenType.RIGHT_BRACKET;
    if (closes) this.depth -= 1;
    if (token === TokenType.COLON && this.depth === 1) this.namePart(String(this.key));
    const recordDepth = this.part !== undefined && isList(this.part) ? 2 : 1;
    if (this.depth <= recordDepth) {
      this.tokens = 0;
      this.began = this.line;
    } else if (++this.tokens > MOST_TOKENS)
      throw wrong(this.place(), say('{place} is longer than any record.', { place: this.placeText() }));
    if (token === TokenType.LEFT_BRACE || token === TokenType.LEFT_BRACKET) this.depth += 1;
    if (this.depth > MOST_DEPTH)
      throw wrong(
        this.place(),
        say('{place} is nested deeper than {most} levels.', { place: this.placeText(), most: MOST_DEPTH }),
      );
    this.key = value;
  }

  private namePart(name: string): void {
    const isKnown = name === 'format' || name === 'formatVersion' || name === 'holding' || isList(name);
    if (!isKnown)
      throw this.seen.has('format')
        ? wrong(name.slice(0, 40), say('The file has a part “{part}” that no book has.', { part: name.slice(0, 40) }))
        : wrong('format', notABook());
    if (this.seen.has(name)) throw wrong(name, say('The file has “{name}” twice. Write it out again.', { name }));
    this.seen.add(name);
    this.part = name;
    this.index = 0;
    this.opensPart = true;
  }

  private openPart(token: TokenType): void {
    this.opensPart = false;
    const part = this.part as BookPart;
    if (isList(part) && token !== TokenType.LEFT_BRACKET)
      throw wrong(part, say('The file has no list of {part}. {cut}', { part, cut: cutOff() }));
    if (part === 'holding' && token !== TokenType.LEFT_BRACE)
      throw wrong('holding.', say('The file has no settings. {cut}', { cut: cutOff() }));
  }

  private place(): string {
    return this.part !== undefined && isList(this.part) ? `${this.part}.${this.index}` : (this.part ?? 'format');
  }

  private placeText(): string {
    return this.part !== undefined && isList(this.part)
      ? say('Number {n} of the {part} (line {began})', { n: this.index + 1, part: this.part, began: this.began })
      : say('Line {line}', { line: this.line });
  }
}

const cutOff = (): string => say('It may have been cut off; write it out again.');
