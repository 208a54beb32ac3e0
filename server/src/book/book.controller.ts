import { Body, Controller, HttpCode, Inject, Post, Query } from '@nestjs/common';
import { PostEntries, PostEntriesQuery, type EntriesAnswered } from '@yaylak/contract';
import { BookService } from './book.service';

@Controller('api/entries')
export class BookController {
  constructor(@Inject(BookService) private readonly book: BookService) {}

  /** Keeps a batch of entries; `?mode=whole` keeps all or none, `?mode=check` writes nothing and says what would happen. */
  @Post()
  @HttpCode(200)
  async post(@Body() batch: PostEntries, @Query() query: PostEntriesQuery): Promise<EntriesAnswered> {
    return { answers: await this.book.post(batch.entries, query.mode) };
  }
}
