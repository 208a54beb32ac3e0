import { Controller, Get, Inject } from '@nestjs/common';
import type { TodayView, YearBandView } from '@yaylak/contract';
import { TodayService } from './today.service';

@Controller('api')
export class TodayController {
  constructor(@Inject(TodayService) private readonly today: TodayService) {}

  /** What is due today, in one list. */
  @Get('today')
  view(): Promise<TodayView> {
    return this.today.view();
  }

  /** The year’s seasons of each species, for the band above every page. */
  @Get('year-band')
  yearBand(): YearBandView {
    return this.today.yearBand();
  }
}
