import { MikroORM } from '@mikro-orm/libsql';
import { Inject, Injectable } from '@nestjs/common';
import { BOOK_FORMAT, BOOK_FORMAT_VERSION, type BookAnimal, type BookFile } from '@yaylak/contract';
import { AnimalEntity } from '../animals/animal.entity';
import { BookService } from '../book/book.service';
import { readEntries } from '../book/readEntries';
import { writeEntries, writeStrikes } from '../book/writeEntries';
import { conflict } from '../common/problems';
import { DrillEntity } from '../condition/drill.entity';
import { GroupEntity } from '../groups/group.entity';
import { HoldingEntity } from '../holding/holding.entity';
import { groupsInOrder } from '../groups/groupsInOrder';
import { HoldingService } from '../holding/holding.service';
import { JobEntity } from '../jobs/job.entity';
import { TemplateEntity } from '../jobs/template.entity';
import { ProductEntity } from '../remedies/product.entity';
import { PlanEntity } from '../season/plan.entity';
import { checkBook } from './checkBook';

/** The whole book as one file, out and in. */
@Injectable()
export class BookFileService {
  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(BookService) private readonly book: BookService,
    @Inject(HoldingService) private readonly holding: HoldingService,
  ) {}

  /** Everything there is, struck entries too, in an order that is the same each time. */
  async export(): Promise<BookFile> {
    const em = this.orm.em.fork();
    const {
      name,
      keeper,
      unit,
      currency,
      pointsWeights,
      species,
      standards,
      blankTags,
      scorers,
      resources,
      calendar,
      calendarKey,
      version,
    } = await this.holding.settings();
    const products = await em.find(ProductEntity, {}, { orderBy: { id: 'asc' } });
    const templates = await em.find(TemplateEntity, {}, { orderBy: { id: 'asc' } });
    const plans = await em.find(PlanEntity, {}, { orderBy: { id: 'asc' } });
    const drills = await em.find(DrillEntity, {}, { orderBy: { id: 'asc' } });
    const groups = await groupsInOrder(em);
    const jobs = await em.find(JobEntity, {}, { orderBy: { id: 'asc' } });
    const animals = await em
      .getConnection()
      .execute<Record<string, string | number | null>[]>('select * from animal order by id');
    const entries = await readEntries(em, { all: true });
    return {
      format: BOOK_FORMAT,
      formatVersion: BOOK_FORMAT_VERSION,
      holding: {
        name,
        keeper,
        unit,
        currency,
        pointsWeights,
        species,
        version,
        ...(standards ? { standards } : {}),
        ...(blankTags ? { blankTags } : {}),
        ...(scorers ? { scorers } : {}),
        ...(resources ? { resources } : {}),
        ...(calendar ? { calendar } : {}),
        ...(calendarKey ? { calendarKey } : {}),
      },
      groups: groups.map((g) => ({
        id: g.id,
        name: g.name,
        species: g.species as never,
        isClosed: g.isClosed,
        version: g.version,
      })),
      jobs: jobs.map(
        ({
          id,
          name: jobName,
          happenedOn,
          startedAt,
          startedBy,
          stations,
          settings,
          gates,
          animalIds,
          finishedAt,
        }) => ({
          id,
          name: jobName,
          on: happenedOn,
          startedAt,
          startedBy,
          stations,
          ...(settings ? { settings } : {}),
          gates,
          animalIds,
          finishedAt: finishedAt ?? null,
        }),
      ),
      products: products.map(({ id, facts, isClosed, version: v }) => ({ id, facts, isClosed, version: v })),
      plans: plans.map(({ id, facts, version: v }) => ({ id, facts, version: v })),
      drills: drills.map(({ id, takenOn, takenBy, answers }) => ({ id, on: takenOn, by: takenBy, answers })),
      templates: templates.map(({ id, facts }) => ({ ...facts, id })),
      animals: animals.map((a) => ({
        id: a.id,
        species: a.species,
        sex: a.sex,
        bornOn: a.born_on,
        damId: a.dam_id,
        sireId: a.sire_id,
        birthType: a.birth_type,
        rearingType: a.rearing_type,
        strain: a.strain,
        version: a.version,
      })) as unknown as BookAnimal[],
      entries: entries.map((k) => k.entry),
    };
  }

  /**
   * Reads a book file into an empty holding, whole or not at all.
   * @throws ProblemException when the holding has a book already, or naming what in the file cannot be
   */
  import(file: BookFile): Promise<{ readonly animals: number; readonly entries: number }> {
    return this.book.exclusively(async () => {
      if (this.book.state.animals.size > 0 || this.book.state.groups.size > 0)
        throw conflict(
          'This holding has a book already.',
          'A whole book goes only into an empty holding. Start Yaylak with an empty data folder and read it in there.',
        );
      const entries = await checkBook(file);
      await this.book.transact(async (em) => {
        // Dams may stand after their young in the file; the keys are checked at the end.
        await em.getConnection().execute('pragma defer_foreign_keys = on', [], 'run', em.getTransactionContext());
        const {
          standards = null,
          blankTags = null,
          scorers = null,
          resources = null,
          calendar = null,
          calendarKey = null,
          ...holding
        } = file.holding;
        await em.upsert(HoldingEntity, {
          id: 1,
          ...holding,
          standards: standards && [...standards],
          blankTags: blankTags && [...blankTags],
          scorers,
          resources,
          calendar,
          calendarKey,
        });
        for (const product of file.products ?? []) await em.insert(ProductEntity, { ...product });
        for (const plan of file.plans ?? []) await em.insert(PlanEntity, { ...plan });
        for (const { id, on, by, answers } of file.drills ?? [])
          await em.insert(DrillEntity, { id, takenOn: on, takenBy: by, answers });
        for (const { id, ...facts } of file.templates ?? []) await em.insert(TemplateEntity, { id, facts });
        if (file.groups.length > 0)
          await em.insertMany(
            GroupEntity,
            file.groups.map((g) => ({ ...g })),
          );
        for (const { on, ...job } of file.jobs)
          await em.insert(JobEntity, { ...job, settings: job.settings ?? null, happenedOn: on });
        await writeEntries(em, entries, 1);
        const strikes = entries.flatMap((e) => (e.type === 'strike' ? [[e.entryId, e.id] as const] : []));
        await writeStrikes(em, strikes);
        for (const a of file.animals.filter((x) => x.version > 1))
          await em.nativeUpdate(AnimalEntity, { id: a.id }, { version: a.version });
      });
      await this.book.load();
      return { animals: file.animals.length, entries: entries.length };
    });
  }
}
