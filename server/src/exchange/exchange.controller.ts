import { Readable } from 'node:stream';
import { Controller, Get, Header, HttpCode, Inject, Post, Query, Req, Res, StreamableFile } from '@nestjs/common';
import { Throttle } from '@nestjs/throttler';
import { AnimalQuery, MOST_BOOK_BYTES, type BookReadIn, type ReadingBook } from '@yaylak/contract';
import type { Request, Response } from 'express';
import { notJson, tooLarge } from '../common/problems';
import { bookChunks } from './bookChunks';
import { BookFileService, bookTooLarge } from './bookFile.service';
import { CsvService } from './csv.service';

/** A whole book is seconds of work, in or out. */
const WHOLE_BOOKS = { ttl: 60_000, limit: 20 };
const CSV = 'text/csv; charset=utf-8';

/** Files out, and the whole book in. */
@Controller('api')
export class ExchangeController {
  constructor(
    @Inject(CsvService) private readonly csv: CsvService,
    @Inject(BookFileService) private readonly bookFile: BookFileService,
  ) {}

  /** Animals as CSV, with the columns that were asked for. */
  @Get('files/animals.csv')
  @Header('content-type', CSV)
  @Header('content-disposition', 'attachment; filename="animals.csv"')
  animals(@Query() query: AnimalQuery): Promise<string> {
    return this.csv.animalsCsv(query, query.columns ? query.columns.split(',') : []);
  }

  /** All weights as CSV. */
  @Get('files/weights.csv')
  @Header('content-type', CSV)
  @Header('content-disposition', 'attachment; filename="weights.csv"')
  weights(): string {
    return this.csv.weightsCsv();
  }

  /** The whole book as one file, a record a line. */
  @Get('book')
  @Throttle({ default: WHOLE_BOOKS })
  @Header('content-disposition', 'attachment; filename="yaylak-book.json"')
  async export(): Promise<StreamableFile> {
    const book = await this.bookFile.export();
    return new StreamableFile(Readable.from(bookChunks(book)), { type: 'application/json; charset=utf-8' });
  }

  /** Reads a book file into an empty holding, whole or not at all; whoever hangs up stops it. */
  @Post('book')
  @Throttle({ default: WHOLE_BOOKS })
  @HttpCode(200)
  async import(@Req() request: Request, @Res({ passthrough: true }) response: Response): Promise<BookReadIn> {
    const { 'content-length': length, 'content-encoding': encoding } = request.headers;
    if (encoding !== undefined && encoding !== 'identity') throw notJson('Send the file as it is, not packed.');
    if (Number(length) > MOST_BOOK_BYTES) throw tooLarge(bookTooLarge());
    const stop = new AbortController();
    response.once('close', () => stop.abort());
    try {
      const chunks = request.iterator({ destroyOnReturn: false }) as AsyncIterable<Uint8Array>;
      return await this.bookFile.import(
        { chunks, ...(length === undefined ? {} : { bytes: Number(length) }) },
        stop.signal,
      );
    } finally {
      // Refused early, the rest still comes: a browser reads no answer while it sends.
      request.resume();
    }
  }

  /** How far the book that is being read in has come. */
  @Get('book/reading')
  reading(): { readonly reading: ReadingBook | null } {
    return { reading: this.bookFile.reading() };
  }
}
