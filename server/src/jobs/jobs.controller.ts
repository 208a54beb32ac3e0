import { Body, Controller, Delete, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post } from '@nestjs/common';
import {
  FinishJob,
  KeepTemplate,
  StartJob,
  type JobEntries,
  type JobView,
  type RosterView,
  type TemplateView,
} from '@yaylak/contract';
import { JobsService } from './jobs.service';
import { RosterService } from './roster.service';
import { TemplatesService } from './templates.service';

@Controller('api')
export class JobsController {
  constructor(
    @Inject(JobsService) private readonly jobs: JobsService,
    @Inject(RosterService) private readonly rosters: RosterService,
    @Inject(TemplatesService) private readonly templates: TemplatesService,
  ) {}

  @Get('roster')
  roster(): Promise<RosterView> {
    return this.rosters.view();
  }

  @Get('templates')
  templateList(): Promise<TemplateView[]> {
    return this.templates.list();
  }

  @Post('templates')
  @HttpCode(200)
  keepTemplate(@Body() template: KeepTemplate): Promise<TemplateView> {
    return this.templates.keep(template);
  }

  @Delete('templates/:id')
  @HttpCode(204)
  removeTemplate(@Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.templates.remove(id);
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
