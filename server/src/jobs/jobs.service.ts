import { MikroORM } from '@mikro-orm/libsql';
import { Inject, Injectable } from '@nestjs/common';
import { StationSettings, type FinishJob, type JobEntries, type JobView, type StartJob } from '@yaylak/contract';
import { BookService } from '../book/book.service';
import { readEntries } from '../book/readEntries';
import { faultsOf } from '../common/faultsOf';
import { plain } from '../common/plain';
import { notFound } from '../common/problems';
import { JobEntity } from '../records/job.entity';

const JOBS_LISTED = 50;

interface JobRow extends Omit<StartJob, 'isForItsDay'> {
  readonly isForItsDay?: boolean | null;
  readonly finishedAt: string | null;
}

@Injectable()
export class JobsService {
  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(BookService) private readonly book: BookService,
  ) {}

  async list(): Promise<JobView[]> {
    const rows = await this.orm.em
      .fork()
      .find(JobEntity, {}, { orderBy: { startedAt: 'desc', id: 'asc' }, limit: JOBS_LISTED });
    return rows.map((row) => this.toView(row as unknown as JobRow));
  }

  async open(): Promise<JobView[]> {
    const rows = await this.orm.em
      .fork()
      .find(JobEntity, { finishedAt: null }, { orderBy: { startedAt: 'desc', id: 'asc' }, limit: JOBS_LISTED });
    return rows.map((row) => this.toView(row as unknown as JobRow));
  }

  async view(id: string): Promise<JobEntries> {
    const em = this.orm.em.fork();
    const row = await em.findOne(JobEntity, id);
    if (!row) throw notFound('job');
    const kept = await readEntries(em, { jobId: id });
    return { job: this.toView(row as unknown as JobRow), entries: kept.filter((k) => !k.struckBy).map((k) => k.entry) };
  }

  /** Starts a job; the same id again is the same job. */
  start(job: StartJob): Promise<JobView> {
    return this.book.exclusively(async () => {
      const known = await this.orm.em.fork().findOne(JobEntity, job.id);
      if (known) return this.toView(known as unknown as JobRow);
      const { on, isForItsDay = null, ...rest } = job;
      await this.book.transact((em) =>
        em.insert(JobEntity, {
          ...rest,
          happenedOn: on,
          isForItsDay,
          settings: job.settings ? plain(job.settings) : null,
          gates: job.gates.map((g) => ({ ...g })),
          finishedAt: null,
        }),
      );
      this.book.state.jobs.set(job.id, job.stations);
      return this.toView({ ...job, finishedAt: null });
    });
  }

  /** Closes a job; once closed it stays so. */
  finish(id: string, { finishedAt }: FinishJob): Promise<JobView> {
    return this.book.exclusively(async () => {
      const row = await this.orm.em.fork().findOne(JobEntity, id);
      if (!row) throw notFound('job');
      if (row.finishedAt === null) await this.book.transact((em) => em.nativeUpdate(JobEntity, { id }, { finishedAt }));
      return this.toView({ ...(row as unknown as JobRow), finishedAt: row.finishedAt ?? finishedAt });
    });
  }

  private toView(row: JobRow & { readonly happenedOn?: string }): JobView {
    const seen = new Set<string>();
    for (const facts of this.book.state.animals.values())
      if (facts.passages.some((p) => p.jobId === row.id)) seen.add(facts.record.id);
    return {
      id: row.id,
      name: row.name,
      on: row.happenedOn ?? row.on,
      ...(row.isForItsDay ? { isForItsDay: true } : {}),
      startedAt: row.startedAt,
      startedBy: row.startedBy,
      stations: row.stations,
      ...(row.settings && faultsOf(StationSettings, row.settings).length === 0 ? { settings: row.settings } : {}),
      gates: row.gates,
      animalIds: row.animalIds,
      finishedAt: row.finishedAt,
      seen: seen.size,
      expected: row.animalIds.length,
    };
  }
}
