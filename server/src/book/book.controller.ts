import { Controller, HttpCode, Inject, Post, Query, Req } from '@nestjs/common';
import { PostEntriesQuery, type EntriesAnswered } from '@yaylak/contract';
import type { Request } from 'express';
import { batchOf } from './batch';
import { BookService } from './book.service';

@Controller('api/entries')
export class BookController {
  constructor(@Inject(BookService) private readonly book: BookService) {}

  /** Keeps a batch of entries; `?mode=whole` keeps all or none, `?mode=check` writes nothing and says what would happen. */
  @Post()
  @HttpCode(200)
  async post(@Req() request: Request, @Query() query: PostEntriesQuery): Promise<EntriesAnswered> {
    return { answers: await this.book.post(batchOf(request.body), query.mode) };
  }
}
