import { Controller, Get, Inject, Param, ParseUUIDPipe, Query } from '@nestjs/common';
import {
  BirthListQuery,
  BirthsQuery,
  DamQuery,
  type BirthListView,
  type BirthsView,
  type DamView,
} from '@yaylak/contract';
import { BirthsToComeService } from '../carrying/birthsToCome.service';
import { BirthsPageService } from './birthsPage.service';

@Controller('api/births')
export class BirthsController {
  constructor(
    @Inject(BirthsPageService) private readonly page: BirthsPageService,
    @Inject(BirthsToComeService) private readonly births: BirthsToComeService,
  ) {}

  /** Births expected, pens and what is to be watched, of one species or all. */
  @Get()
  view(@Query() { species }: BirthsQuery): Promise<BirthsView> {
    return this.page.view(species);
  }

  /** The list that is taken to the pens: who is expected, with room to write. */
  @Get('list')
  list(@Query() { species }: BirthListQuery): BirthListView {
    return this.births.list(species);
  }

  /** What is known of a dam when she gives birth, and what would be asked about it. */
  @Get('dam/:id')
  dam(@Param('id', ParseUUIDPipe) id: string, @Query() birth: DamQuery): DamView {
    return this.page.dam(id, birth);
  }
}
