import type { EntityData, InferEntity } from '@mikro-orm/core';
import { MikroORM } from '@mikro-orm/libsql';
import { Inject, Injectable } from '@nestjs/common';
import {
  StationSettings,
  type DiscardJob,
  type FinishJob,
  type JobEntries,
  type JobFacts,
  type JobView,
  type StartJob,
  type StrikeEntry,
  say,
} from '@yaylak/contract';
import { randomUUID } from 'node:crypto';
import { BookService } from '../book/book.service';
import { readEntries } from '../book/readEntries';
import { faultsOf } from '../common/faultsOf';
import { authorOf } from '../common/hand';
import { plain } from '../common/plain';
import { conflict, notFound } from '../common/problems';
import { JobEntity } from '../records/job.entity';

const JOBS_LISTED = 50;

interface JobRow extends Omit<StartJob, 'isForItsDay'> {
  readonly isForItsDay?: boolean | null;
  readonly finishedAt: string | null;
  readonly discardedAt?: string | null;
}

@Injectable()
export class JobsService {
  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(BookService) private readonly book: BookService,
  ) {}

  list(): Promise<JobView[]> {
    return this.listed({});
  }

  open(): Promise<JobView[]> {
    return this.listed({ finishedAt: null });
  }

  /** One put away is out of the list, unless another device sent something of it since. */
  private async listed(where: { readonly finishedAt?: null }): Promise<JobView[]> {
    const rows = await this.orm.em
      .fork()
      .find(JobEntity, where, { orderBy: { startedAt: 'desc', id: 'asc' }, limit: JOBS_LISTED });
    return rows
      .map((row) => this.toView(row as unknown as JobRow))
      .filter((job) => job.discardedAt === undefined || job.seen > 0);
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
      const { id, startedAt } = job;
      const startedBy = authorOf(job.startedBy);
      await this.book.transact((em) =>
        em.insert(JobEntity, { ...columnsOf(job), id, startedAt, startedBy, finishedAt: null, discardedAt: null }),
      );
      this.book.state.jobs.set(job.id, job.stations);
      return this.toView({ ...job, startedBy, finishedAt: null });
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

  /** Says anew what a job is; what was recorded in it stays as it is. */
  change(id: string, facts: JobFacts): Promise<JobView> {
    return this.update(id, columnsOf(facts), () => this.book.state.jobs.set(id, facts.stations));
  }

  /** Opens a job again that was finished or put away; what was struck out of it stays struck out. */
  resume(id: string): Promise<JobView> {
    return this.update(id, { finishedAt: null, discardedAt: null });
  }

  /**
   * Puts a job away, and with it what was recorded in it, the last first.
   * @throws ProblemException `conflict` when the book holds something that stands on it; then nothing is struck out
   */
  async discard(id: string, { discardedAt, discardedBy, isIfEmpty }: DiscardJob): Promise<JobView> {
    const em = this.orm.em.fork();
    if (!(await em.findOne(JobEntity, id))) throw notFound('job');
    const kept = await readEntries(em, { jobId: id });
    const strikes = kept
      .filter((k) => !k.struckBy && k.entry.type !== 'strike')
      .toReversed()
      .map(({ entry }): StrikeEntry => ({
        type: 'strike',
        id: randomUUID(),
        on: entry.on,
        entryId: entry.id,
        reason: say('the job was discarded'),
        writtenAt: discardedAt,
        writtenBy: discardedBy,
        source: 'race',
      }));
    if (isIfEmpty && strikes.length > 0)
      throw conflict(
        say('Animals went through in this job meanwhile.'),
        say('Open it, and discard it there if it was begun wrongly.'),
      );
    const refused = (await this.book.post(strikes, 'whole')).flatMap((a) =>
      a.status === 'refused' ? [a.message] : [],
    );
    if (refused.length > 0)
      throw conflict(say('This job cannot be discarded as it is.'), [...new Set(refused)].join(' '));
    return this.update(id, { discardedAt });
  }

  private update(id: string, columns: EntityData<JobColumns>, done: () => void = () => undefined): Promise<JobView> {
    return this.book.exclusively(async () => {
      const em = this.orm.em.fork();
      if (!(await em.findOne(JobEntity, id))) throw notFound('job');
      await this.book.transact((inside) => inside.nativeUpdate(JobEntity, { id }, columns));
      done();
      return this.toView((await this.orm.em.fork().findOneOrFail(JobEntity, id)) as unknown as JobRow);
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
      ...(row.discardedAt ? { discardedAt: row.discardedAt } : {}),
      seen: seen.size,
      expected: row.animalIds.length,
    };
  }
}

type JobColumns = InferEntity<typeof JobEntity>;

const columnsOf = ({ name, on, isForItsDay = false, stations, settings, gates, animalIds }: JobFacts) => ({
  name,
  happenedOn: on,
  isForItsDay: isForItsDay || null,
  stations,
  settings: settings ? plain(settings) : null,
  gates: gates.map((g) => ({ ...g })),
  animalIds,
});
