import { Controller, Get, Inject } from '@nestjs/common';
import type { TodayView, YearBandView } from '@yaylak/contract';
import { TodayService } from './today.service';

@Controller('api')
export class TodayController {
  constructor(@Inject(TodayService) private readonly today: TodayService) {}

  @Get('today')
  view(): Promise<TodayView> {
    return this.today.view();
  }

  @Get('year-band')
  yearBand(): YearBandView {
    return this.today.yearBand();
  }
}
