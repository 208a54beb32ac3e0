import { Controller, Get, Inject, Query } from '@nestjs/common';
import { TodayQuery, type TodayView, type YearBandView } from '@yaylak/contract';
import { TodayService } from './today.service';

@Controller('api')
export class TodayController {
  constructor(@Inject(TodayService) private readonly today: TodayService) {}

  /** What is due today, in one list; the first of the long ones unless one is asked for whole. */
  @Get('today')
  view(@Query() query: TodayQuery): Promise<TodayView> {
    return this.today.view(query);
  }

  /** The year’s seasons of each species, for the band above every page. */
  @Get('year-band')
  yearBand(): Promise<YearBandView> {
    return this.today.yearBand();
  }
}
