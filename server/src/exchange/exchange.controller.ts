import { Body, Controller, Get, Header, HttpCode, Inject, Post, Query } from '@nestjs/common';
import { Throttle } from '@nestjs/throttler';
import { AnimalQuery, type BookFile } from '@yaylak/contract';
import { BookFileService } from './bookFile.service';
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

  @Get('files/animals.csv')
  @Header('content-type', CSV)
  @Header('content-disposition', 'attachment; filename="animals.csv"')
  animals(@Query() query: AnimalQuery): string {
    return this.csv.animalsCsv(query, query.columns ? query.columns.split(',') : []);
  }

  @Get('files/weights.csv')
  @Header('content-type', CSV)
  @Header('content-disposition', 'attachment; filename="weights.csv"')
  weights(): string {
    return this.csv.weightsCsv();
  }

  @Get('book')
  @Throttle({ default: WHOLE_BOOKS })
  @Header('content-disposition', 'attachment; filename="yaylak-book.json"')
  export(): Promise<BookFile> {
    return this.bookFile.export();
  }

  @Post('book')
  @Throttle({ default: WHOLE_BOOKS })
  @HttpCode(200)
  import(@Body() file: BookFile): Promise<{ readonly animals: number; readonly entries: number }> {
    return this.bookFile.import(file);
  }
}
