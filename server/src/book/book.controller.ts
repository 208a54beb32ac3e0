import { Body, Controller, HttpCode, Inject, Post, Query } from '@nestjs/common';
import { PostEntries, type EntriesAnswered } from '@yaylak/contract';
import { BookService } from './book.service';

@Controller('api/entries')
export class BookController {
  constructor(@Inject(BookService) private readonly book: BookService) {}

  /** Keeps a batch of entries; `?check=1` says what would happen and writes nothing. */
  @Post()
  @HttpCode(200)
  async post(@Body() batch: PostEntries, @Query('check') check?: string): Promise<EntriesAnswered> {
    return { answers: await this.book.post(batch.entries, check === undefined ? 'keep' : 'check') };
  }
}
