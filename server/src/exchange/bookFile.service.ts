import { MikroORM } from '@mikro-orm/libsql';
import { Inject, Injectable } from '@nestjs/common';
import {
  BOOK_FORMAT,
  BOOK_FORMAT_VERSION,
  KeepDrill,
  PlanFacts,
  ProductFacts,
  type BookAnimal,
  type BookFile,
  type Entry,
} from '@yaylak/contract';
import { SPECIES, SEXES } from '@yaylak/core';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { AnimalEntity } from '../animals/animal.entity';
import { applyAll, BookService } from '../book/book.service';
import { HoldingState } from '../book/holdingState';
import { readEntries } from '../book/readEntries';
import { shapeEntry } from '../book/shape';
import { writeEntries, writeStrikes } from '../book/writeEntries';
import { badFields, conflict, fieldFaults } from '../common/problems';
import { DrillEntity } from '../condition/drill.entity';
import { GroupEntity } from '../groups/group.entity';
import { HoldingEntity } from '../holding/holding.entity';
import { HoldingService } from '../holding/holding.service';
import { JobEntity } from '../jobs/job.entity';
import { TemplateEntity } from '../jobs/template.entity';
import { ProductEntity } from '../remedies/product.entity';
import { PlanEntity } from '../season/plan.entity';

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
      version,
    } = await this.holding.settings();
    const products = await em.find(ProductEntity, {}, { orderBy: { id: 'asc' } });
    const templates = await em.find(TemplateEntity, {}, { orderBy: { id: 'asc' } });
    const plans = await em.find(PlanEntity, {}, { orderBy: { id: 'asc' } });
    const drills = await em.find(DrillEntity, {}, { orderBy: { id: 'asc' } });
    const groups = await em.find(GroupEntity, {}, { orderBy: { id: 'asc' } });
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
      const entries = this.checked(file);
      await this.book.transact(async (em) => {
        // Dams may stand after their young in the file; the keys are checked at the end.
        await em.getConnection().execute('pragma defer_foreign_keys = on', [], 'run', em.getTransactionContext());
        const {
          standards = null,
          blankTags = null,
          scorers = null,
          resources = null,
          calendar = null,
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

  private checked(file: BookFile): Entry[] {
    const wrong = (field: string, message: string) => badFields([{ field, message }]);
    if (file?.format !== BOOK_FORMAT)
      throw wrong(
        'format',
        'This is not a book written by Yaylak. Choose the file that was written with “The whole book”.',
      );
    if (file.formatVersion !== BOOK_FORMAT_VERSION)
      throw wrong(
        'formatVersion',
        `This book was written in form ${String(file.formatVersion)}; this Yaylak reads form ${BOOK_FORMAT_VERSION}. Use a newer Yaylak.`,
      );
    for (const part of ['groups', 'jobs', 'animals', 'entries'] as const)
      if (!Array.isArray(file[part]))
        throw wrong(part, `The file has no list of ${part}. It may have been cut off; write it out again.`);
    const animals = new Map(file.animals.map((a) => [a.id, a]));
    for (const a of file.animals) {
      if (!SPECIES.includes(a.species) || !SEXES.includes(a.sex))
        throw wrong(`animals.${a.id}`, `Animal ${a.id} has a species or sex this book does not know.`);
      for (const parent of [a.damId, a.sireId])
        if (parent && !animals.has(parent))
          throw wrong(`animals.${a.id}`, `Animal ${a.id} has a parent that is not in the file.`);
    }
    const products = new Set((file.products ?? []).map((p) => p.id));
    const parts = [
      ['products', ProductFacts, (file.products ?? []).map((p) => [p.id, p.facts])],
      ['plans', PlanFacts, (file.plans ?? []).map((p) => [p.id, p.facts])],
      ['drills', KeepDrill, (file.drills ?? []).map((d) => [d.id, d])],
    ] as const;
    for (const [part, shape, list] of parts)
      for (const [id, facts] of list as [string, object][]) {
        const errors = validateSync(plainToInstance(shape as new () => object, facts), { whitelist: true });
        const words = fieldFaults(errors).map((f) => f.message);
        if (words.length > 0)
          throw wrong(
            `${part}.${id}`,
            `${part.slice(0, 1).toUpperCase()}${part.slice(1, -1)} ${id}: ${words.join(' ')}`,
          );
      }
    const entries = file.entries.map((raw, i) => {
      const shaped = shapeEntry(raw);
      if (shaped.kind === 'faulty')
        throw wrong(`entries.${i}`, `Entry ${i + 1}: ${shaped.faults.map((f) => f.message).join(' ')}`);
      const { entry } = shaped;
      if (entry.type === 'treatment' && !products.has(entry.productId))
        throw wrong(`entries.${i}`, `Entry ${i + 1} speaks of a product that is not in the file.`);
      if (entry.type !== 'strike' && !animals.has(entry.animalId))
        throw wrong(`entries.${i}`, `Entry ${i + 1} speaks of an animal that is not in the file.`);
      return entry;
    });
    const struckBy = new Map(entries.flatMap((e) => (e.type === 'strike' ? [[e.entryId, e.id] as const] : [])));
    try {
      // Tried on an empty state first: a book that cannot be read back must not be written.
      applyAll(
        new HoldingState(),
        entries.map((entry) => ({ entry, struckBy: struckBy.get(entry.id) })),
        new Map(),
      );
    } catch (error) {
      throw wrong('entries', `The file does not hang together: ${(error as Error).message}.`);
    }
    return entries;
  }
}
