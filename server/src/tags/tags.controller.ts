import { Controller, Get, Inject } from '@nestjs/common';
import type { TagsView } from '@yaylak/contract';
import { TagsService } from './tags.service';

@Controller('api/tags')
export class TagsController {
  constructor(@Inject(TagsService) private readonly tags: TagsService) {}

  @Get()
  view(): TagsView {
    return this.tags.view();
  }
}
