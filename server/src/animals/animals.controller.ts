import { Body, Controller, Get, Inject, Param, ParseUUIDPipe, Patch, Query } from '@nestjs/common';
import {
  AnimalQuery,
  ChangeAnimal,
  type AnimalPage,
  type AnimalRow,
  type AnimalView,
  type IdentifierIndexRow,
} from '@yaylak/contract';
import { AnimalPageService } from './animalPage.service';
import { AnimalsService } from './animals.service';

@Controller('api')
export class AnimalsController {
  constructor(
    @Inject(AnimalsService) private readonly animals: AnimalsService,
    @Inject(AnimalPageService) private readonly page: AnimalPageService,
  ) {}

  @Get('animals')
  list(@Query() query: AnimalQuery): AnimalPage {
    return this.animals.list(query);
  }

  @Get('identifiers')
  identifiers(): IdentifierIndexRow[] {
    return this.animals.identifierIndex();
  }

  @Get('animals/:id')
  view(@Param('id', ParseUUIDPipe) id: string): Promise<AnimalView> {
    return this.page.view(id);
  }

  @Patch('animals/:id')
  change(@Param('id', ParseUUIDPipe) id: string, @Body() change: ChangeAnimal): Promise<AnimalRow> {
    return this.animals.change(id, change);
  }
}
