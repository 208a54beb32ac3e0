import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post } from '@nestjs/common';
import { FinishJob, StartJob, type JobEntries, type JobView, type RosterView } from '@yaylak/contract';
import { JobsService } from './jobs.service';

@Controller('api')
export class JobsController {
  constructor(@Inject(JobsService) private readonly jobs: JobsService) {}

  @Get('roster')
  roster(): RosterView {
    return this.jobs.roster();
  }

  @Get('jobs')
  list(): Promise<JobView[]> {
    return this.jobs.list();
  }

  @Get('jobs/:id')
  view(@Param('id', ParseUUIDPipe) id: string): Promise<JobEntries> {
    return this.jobs.view(id);
  }

  @Post('jobs')
  @HttpCode(200)
  start(@Body() job: StartJob): Promise<JobView> {
    return this.jobs.start(job);
  }

  @Post('jobs/:id/finish')
  @HttpCode(200)
  finish(@Param('id', ParseUUIDPipe) id: string, @Body() finish: FinishJob): Promise<JobView> {
    return this.jobs.finish(id, finish);
  }
}
