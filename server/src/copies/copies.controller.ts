import { Body, Controller, Get, HttpCode, Inject, Post, Put } from '@nestjs/common';
import { MakeCopy, NameSecondPlace, type CopiesView } from '@yaylak/contract';
import { CopiesService } from './copies.service';

/** Copies of the whole book beside it, and in a second place. */
@Controller('api/copies')
export class CopiesController {
  constructor(@Inject(CopiesService) private readonly copies: CopiesService) {}

  /** The copies there are, and how the second place does. */
  @Get()
  list(): CopiesView {
    return this.copies.view();
  }

  /** Copies the book now; asked for twice by one id it is one copy. */
  @Post()
  @HttpCode(200)
  make(@Body() { id }: MakeCopy): Promise<CopiesView> {
    return this.copies.make(id);
  }

  /** Names the second place copies go to, or none. */
  @Put('second')
  nameSecond(@Body() { path }: NameSecondPlace): Promise<CopiesView> {
    return this.copies.nameSecond(path);
  }
}
