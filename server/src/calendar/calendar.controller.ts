import { Controller, Get, Header, Inject, Query } from '@nestjs/common';
import { CalendarQuery } from '@yaylak/contract';
import { CalendarService } from './calendar.service';

@Controller('api')
export class CalendarController {
  constructor(@Inject(CalendarService) private readonly calendars: CalendarService) {}

  /** The plan and what is due, for a calendar to subscribe to. */
  @Get('calendar.ics')
  @Header('content-type', 'text/calendar; charset=utf-8')
  @Header('content-disposition', 'inline; filename="yaylak.ics"')
  calendar(@Query() { key }: CalendarQuery): Promise<string> {
    return this.calendars.text(key ?? '');
  }
}
