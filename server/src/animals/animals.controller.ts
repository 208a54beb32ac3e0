import { Body, Controller, Get, Inject, Param, ParseUUIDPipe, Patch, Query } from '@nestjs/common';
import {
  AnimalQuery,
  ChangeAnimal,
  MentionQuery,
  OnQuery,
  type AnimalPage,
  type AnimalRow,
  type AnimalView,
  type MentionView,
  type WithheldOfAnimal,
  type WearerView,
} from '@yaylak/contract';
import { dayOf } from '@yaylak/core';
import { AnimalPageService } from './animalPage.service';
import { AnimalsService } from './animals.service';
import { MentionsService } from './mentions.service';

@Controller('api')
export class AnimalsController {
  constructor(
    @Inject(AnimalsService) private readonly animals: AnimalsService,
    @Inject(AnimalPageService) private readonly page: AnimalPageService,
    @Inject(MentionsService) private readonly mentioned: MentionsService,
  ) {}

  /** A page of animals, filtered and in order; the cursor of one page asks for the next. */
  @Get('animals')
  list(@Query() query: AnimalQuery): AnimalPage {
    return this.animals.list(query);
  }

  /** Every number worn today, to find an animal by what is read at the race. */
  @Get('identifiers')
  identifiers(): WearerView[] {
    return this.animals.wearers();
  }

  /** Breeds and strains of the animals in the book, by name. */
  @Get('strains')
  strains(): string[] {
    return this.animals.strains();
  }

  /** Tubes and notes that say what is asked for, the newest first. */
  @Get('mentions')
  mentions(@Query() { words }: MentionQuery): Promise<MentionView[]> {
    return this.mentioned.find(words);
  }

  /** One animal: record, figures, numbers and time line. */
  @Get('animals/:id')
  view(@Param('id', ParseUUIDPipe) id: string): Promise<AnimalView> {
    return this.page.view(id);
  }

  /** What of an animal may not be used on a day: asked before it leaves. */
  @Get('animals/:id/withheld')
  withheld(@Param('id', ParseUUIDPipe) id: string, @Query() { on }: OnQuery): WithheldOfAnimal[] {
    return this.page.withheld(id, dayOf(on));
  }

  /** Changes an animal’s record on the version that was read. */
  @Patch('animals/:id')
  change(@Param('id', ParseUUIDPipe) id: string, @Body() change: ChangeAnimal): Promise<AnimalRow> {
    return this.animals.change(id, change);
  }
}
