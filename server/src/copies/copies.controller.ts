import { Body, Controller, Get, HttpCode, Inject, Param, Post, Put } from '@nestjs/common';
import {
  LockSecondPlace,
  MakeCopy,
  NameSecondPlace,
  PutBack,
  type CopiesView,
  type CopyLossView,
  type LockedView,
} from '@yaylak/contract';
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

  /** What would be lost, and what would come back, if a copy took the book's place. */
  @Get(':name/loss')
  loss(@Param('name') name: string): Promise<CopyLossView> {
    return this.copies.loss(name);
  }

  /**
   * Has a copy take the book's place. The answer comes first: then the book is closed, copied, exchanged and opened, and
   * how that went stands among the copies under the id it was asked by.
   */
  @Post(':name/put-back')
  @HttpCode(202)
  putBack(@Param('name') name: string, @Body() { id }: PutBack): Promise<CopiesView> {
    return this.copies.putBack(name, id);
  }

  /** Names the second place copies go to, or none. */
  @Put('second')
  nameSecond(@Body() { path }: NameSecondPlace): Promise<CopiesView> {
    return this.copies.nameSecond(path);
  }

  /** Has everything in the second place be encrypted by a passphrase; an empty one leaves it as it is. */
  @Put('second/lock')
  lockSecond(@Body() { passphrase }: LockSecondPlace): Promise<LockedView> {
    return this.copies.lockSecond(passphrase);
  }
}
