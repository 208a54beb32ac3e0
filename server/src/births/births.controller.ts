import { Controller, Get, Inject, Param, ParseUUIDPipe, Query } from '@nestjs/common';
import {
  BirthListQuery,
  BirthsQuery,
  DamQuery,
  type BirthListView,
  type BirthsView,
  type DamView,
} from '@yaylak/contract';
import { BirthsService } from './births.service';
import { BirthsPageService } from './birthsPage.service';

@Controller('api/births')
export class BirthsController {
  constructor(
    @Inject(BirthsPageService) private readonly page: BirthsPageService,
    @Inject(BirthsService) private readonly births: BirthsService,
  ) {}

  @Get()
  view(@Query() { species }: BirthsQuery): Promise<BirthsView> {
    return this.page.view(species);
  }

  @Get('list')
  list(@Query() { species }: BirthListQuery): BirthListView {
    return this.births.list(species);
  }

  @Get('dam/:id')
  dam(@Param('id', ParseUUIDPipe) id: string, @Query() birth: DamQuery): DamView {
    return this.page.dam(id, birth);
  }
}
