import { Body, Controller, Get, Inject, Post, Query } from '@nestjs/common';
import { ConditionQuery, KeepDrill, type ConditionView, type DrillsView, type ScorersView } from '@yaylak/contract';
import { ConditionService } from './condition.service';
import { DrillsService } from './drills.service';
import { ScorersService } from './scorers.service';

@Controller('api/condition')
export class ConditionController {
  constructor(
    @Inject(ConditionService) private readonly condition: ConditionService,
    @Inject(ScorersService) private readonly scorers: ScorersService,
    @Inject(DrillsService) private readonly drills: DrillsService,
  ) {}

  /** Condition of the present animals by stage: scores, mobs and the round that is due. */
  @Get()
  view(@Query() query: ConditionQuery): ConditionView {
    return this.condition.view(query);
  }

  /** How far the hands that score agree. */
  @Get('scorers')
  agreement(): Promise<ScorersView> {
    return this.scorers.view();
  }

  /** Practice rounds of scoring, newest first. */
  @Get('drills')
  practice(): Promise<DrillsView> {
    return this.drills.list();
  }

  /** Keeps a practice round. */
  @Post('drills')
  keep(@Body() drill: KeepDrill): Promise<DrillsView> {
    return this.drills.keep(drill);
  }
}
