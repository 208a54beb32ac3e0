import { Body, Controller, Delete, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post, Put } from '@nestjs/common';
import { ChangePlan, CreatePlan, type PlanView, type SeasonView } from '@yaylak/contract';
import type { PlanRecord } from '../book/holdingState';
import { PlansService } from './plans.service';
import { SeasonService } from './season.service';

@Controller('api')
export class SeasonController {
  constructor(
    @Inject(SeasonService) private readonly season: SeasonService,
    @Inject(PlansService) private readonly plans: PlansService,
  ) {}

  /** Season plans laid over the calendar, with what is short and what is due. */
  @Get('season')
  view(): Promise<SeasonView> {
    return this.season.view();
  }

  /** Makes a plan. */
  @Post('season/plans')
  @HttpCode(201)
  async create(@Body() plan: CreatePlan): Promise<PlanView> {
    return this.shown(await this.plans.create(plan));
  }

  /** Changes a plan on the version that was read. */
  @Put('season/plans/:id')
  async change(@Param('id', ParseUUIDPipe) id: string, @Body() plan: ChangePlan): Promise<PlanView> {
    return this.shown(await this.plans.change(id, plan));
  }

  /** Takes a plan away. */
  @Delete('season/plans/:id')
  @HttpCode(204)
  remove(@Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.plans.remove(id);
  }

  private shown({ id }: PlanRecord): PlanView {
    const laid = this.season.laid().find((l) => l.record.id === id);
    if (!laid) throw new Error(`the plan ${id} was kept and is not there`);
    return this.season.planView(laid);
  }
}
