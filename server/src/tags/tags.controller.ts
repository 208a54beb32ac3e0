import { Controller, Get, Inject } from '@nestjs/common';
import type { TagsView } from '@yaylak/contract';
import { TagsService } from './tags.service';

@Controller('api/tags')
export class TagsController {
  constructor(@Inject(TagsService) private readonly tags: TagsService) {}

  /** Who lacks a number, which blanks are left, and what was lost. */
  @Get()
  view(): TagsView {
    return this.tags.view();
  }
}
