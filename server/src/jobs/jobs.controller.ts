import { Body, Controller, Delete, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post, Put } from '@nestjs/common';
import {
  DiscardJob,
  FinishJob,
  JobFacts,
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

  /** What a device needs to know of every animal to work at the race without the server. */
  @Get('roster')
  roster(): Promise<RosterView> {
    return this.rosters.view();
  }

  /** Jobs kept under a name. */
  @Get('templates')
  templateList(): Promise<TemplateView[]> {
    return this.templates.list();
  }

  /** Keeps a job under a name; one of the same name is replaced. */
  @Post('templates')
  @HttpCode(200)
  keepTemplate(@Body() template: KeepTemplate): Promise<TemplateView> {
    return this.templates.keep(template);
  }

  /** Takes a kept job away. */
  @Delete('templates/:id')
  @HttpCode(204)
  removeTemplate(@Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.templates.remove(id);
  }

  /** Jobs, newest first. */
  @Get('jobs')
  list(): Promise<JobView[]> {
    return this.jobs.list();
  }

  /** A job with every entry that was made in it. */
  @Get('jobs/:id')
  view(@Param('id', ParseUUIDPipe) id: string): Promise<JobEntries> {
    return this.jobs.view(id);
  }

  /** Starts a job; sent again it is the same one. */
  @Post('jobs')
  @HttpCode(200)
  start(@Body() job: StartJob): Promise<JobView> {
    return this.jobs.start(job);
  }

  /** Ends a job. */
  @Post('jobs/:id/finish')
  @HttpCode(200)
  finish(@Param('id', ParseUUIDPipe) id: string, @Body() finish: FinishJob): Promise<JobView> {
    return this.jobs.finish(id, finish);
  }

  /** Says anew what a job is: its name, its day, who is expected and what is done. */
  @Put('jobs/:id')
  change(@Param('id', ParseUUIDPipe) id: string, @Body() facts: JobFacts): Promise<JobView> {
    return this.jobs.change(id, facts);
  }

  /** Opens a job again that was finished or put away. */
  @Delete('jobs/:id/end')
  resume(@Param('id', ParseUUIDPipe) id: string): Promise<JobView> {
    return this.jobs.resume(id);
  }

  /** Puts a job away and strikes out what was recorded in it, all of it or nothing. */
  @Post('jobs/:id/discard')
  @HttpCode(200)
  discard(@Param('id', ParseUUIDPipe) id: string, @Body() discard: DiscardJob): Promise<JobView> {
    return this.jobs.discard(id, discard);
  }
}
