import { Controller, Get, Inject, Query } from '@nestjs/common';
import { HistoryQuery, type HistoryView } from '@yaylak/contract';
import { HistoryService } from './history.service';

@Controller('api/history')
export class HistoryController {
  constructor(@Inject(HistoryService) private readonly history: HistoryService) {}

  /** Who changed what of settings, records, labels, plans and choices, when, and what they said before. */
  @Get()
  of(@Query() query: HistoryQuery): Promise<HistoryView> {
    return this.history.of(query);
  }
}
