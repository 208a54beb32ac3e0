import { MikroORM, type EntityManager } from '@mikro-orm/libsql';
import { Inject, Injectable } from '@nestjs/common';
import {
  BOOK_FORMAT,
  BOOK_FORMAT_VERSION,
  MOST_BOOK_BYTES,
  MOST_FACT_BYTES,
  type BookAnimal,
  type BookReadIn,
  type ChangedThing,
  type Entry,
  type ReadingBook,
  say,
} from '@yaylak/contract';
import { AnimalEntity } from '../records/animal.entity';
import { BookService } from '../book/book.service';
import { readEntries, type KeptEntry } from '../book/readEntries';
import { writeEntries, writeStrikes } from '../book/writeEntries';
import { breathe } from '../common/breathe';
import { conflict, tooLarge } from '../common/problems';
import { ChangeEntity } from '../records/change.entity';
import { DrillEntity } from '../records/drill.entity';
import { GroupEntity } from '../records/group.entity';
import { HoldingEntity } from '../records/holding.entity';
import { groupsInOrder } from '../records/groupsInOrder';
import { HoldingService } from '../holding/holding.service';
import { PhotoFiles } from '../photos/photoFiles';
import { JobEntity } from '../records/job.entity';
import { TemplateEntity } from '../records/template.entity';
import { ProductEntity } from '../records/product.entity';
import { LoadEntity } from '../records/load.entity';
import { OutletEntity } from '../records/outlet.entity';
import { PlanEntity } from '../records/plan.entity';
import type { BookToWrite } from './bookChunks';
import { checkBook, type CheckedBook } from './checkBook';
import { readRecords, type Chunks } from './readRecords';

/** The whole book as one file, out and in. */
@Injectable()
export class BookFileService {
  private progress: ReadingBook | undefined;

  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(BookService) private readonly book: BookService,
    @Inject(HoldingService) private readonly holding: HoldingService,
    @Inject(PhotoFiles) private readonly photos: PhotoFiles,
  ) {}

  /** Everything there is, struck entries too, in an order that is the same each time. */
  async export(): Promise<BookToWrite> {
    const em = this.orm.em.fork();
    const {
      name,
      keeper,
      unit,
      dateOrder,
      weekStart,
      currency,
      pointsWeights,
      species,
      keeps,
      standards,
      blankTags,
      scorers,
      resources,
      calendar,
      decisionMarks,
      choosing,
      calendarKey,
      version,
    } = await this.holding.settings();
    const products = await em.find(ProductEntity, {}, { orderBy: { id: 'asc' } });
    const templates = await em.find(TemplateEntity, {}, { orderBy: { id: 'asc' } });
    const outlets = await em.find(OutletEntity, {}, { orderBy: { id: 'asc' } });
    const loads = await em.find(LoadEntity, {}, { orderBy: { id: 'asc' } });
    const plans = await em.find(PlanEntity, {}, { orderBy: { id: 'asc' } });
    const drills = await em.find(DrillEntity, {}, { orderBy: { id: 'asc' } });
    const changes = await em.find(ChangeEntity, {}, { orderBy: { id: 'asc' } });
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
        ...(dateOrder ? { dateOrder } : {}),
        ...(weekStart ? { weekStart } : {}),
        ...(keeps ? { keeps } : {}),
        ...(standards ? { standards } : {}),
        ...(blankTags ? { blankTags } : {}),
        ...(scorers ? { scorers } : {}),
        ...(resources ? { resources } : {}),
        ...(calendar ? { calendar } : {}),
        ...(decisionMarks ? { decisionMarks } : {}),
        ...(choosing ? { choosing } : {}),
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
          isForItsDay,
          startedAt,
          startedBy,
          stations,
          settings,
          gates,
          animalIds,
          finishedAt,
          discardedAt,
        }) => ({
          id,
          name: jobName,
          on: happenedOn,
          ...(isForItsDay ? { isForItsDay } : {}),
          startedAt,
          startedBy,
          stations,
          ...(settings ? { settings } : {}),
          gates,
          animalIds,
          finishedAt: finishedAt ?? null,
          ...(discardedAt ? { discardedAt } : {}),
        }),
      ),
      products: products.map(({ id, facts, isClosed, version: v }) => ({ id, facts, isClosed, version: v })),
      plans: plans.map(({ id, facts, version: v }) => ({ id, facts, version: v })),
      drills: drills.map(({ id, takenOn, takenBy, answers }) => ({ id, on: takenOn, by: takenBy, answers })),
      changes: changes.map(({ id, at, changedBy, what, thingId, before, after }) => ({
        id,
        at,
        by: changedBy,
        what: what as ChangedThing,
        thingId,
        ...(before ? { before } : {}),
        ...(after ? { after } : {}),
      })),
      templates: templates.map(({ id, facts }) => ({ ...facts, id })),
      outlets: outlets.map(({ id, facts, isClosed, version: v }) => ({ id, facts, isClosed, version: v })),
      loads: loads.map(({ id, facts, version: v }) => ({ id, facts, version: v })),
      animals: animals.map((a) => ({
        id: a.id,
        species: a.species,
        sex: a.sex,
        bornOn: a.born_on,
        damId: a.dam_id,
        donorId: a.donor_id,
        sireId: a.sire_id,
        birthType: a.birth_type,
        rearingType: a.rearing_type,
        strain: a.strain,
        ...(a.bought_minor === null ? {} : { boughtMinor: a.bought_minor }),
        ...(a.birth_known_to ? { birthKnownTo: a.birth_known_to } : {}),
        version: a.version,
      })) as unknown as BookAnimal[],
      entries: entries.map((k) => k.entry),
      ...this.filed(entries),
    };
  }

  /** The pictures of all photos, each read when its turn comes; one that lies on no disk any more is left out. */
  private filed(entries: readonly KeptEntry[]): Pick<BookToWrite, 'photos'> {
    const ids = picturesOf(entries.map(({ entry }) => entry));
    if (ids.size === 0) return {};
    const { photos } = this;
    return {
      photos: {
        *[Symbol.iterator]() {
          for (const id of ids) {
            const jpeg = photos.read(id);
            if (jpeg) yield { id, picture: jpeg.toString('base64') };
          }
        },
      },
    };
  }

  /** How far the book that is being read in has come. */
  reading(): ReadingBook | null {
    return this.progress ?? null;
  }

  /**
   * Reads a book file into an empty holding, whole or not at all. It is checked as it comes in; the book is held for
   * nobody else until it is written.
   * @param source the file's bytes and how many there are, when that is known
   * @param signal stops it; nothing is written then
   * @throws ProblemException when the holding has a book already, or naming what in the file cannot be
   */
  async import(
    source: { readonly chunks: Chunks; readonly bytes?: number },
    signal: AbortSignal = new AbortController().signal,
  ): Promise<BookReadIn> {
    if (this.progress)
      throw conflict(
        say('A book is being read in already.'),
        say('Wait until it is done, or stop it where it was begun.'),
      );
    this.refuseUnlessEmpty();
    this.progress = { phase: 'reading', done: 0, of: source.bytes ?? 0 };
    const pictures: string[] = [];
    let pictureBytes = 0;
    let isWriting = false;
    try {
      const read = this.counted(source, signal, () => pictureBytes);
      const book = await checkBook(readRecords(read), ({ id, picture }) => {
        pictureBytes += picture.length;
        if (this.photos.keep(id, Buffer.from(picture, 'base64'))) pictures.push(id);
      });
      const spokenOf = picturesOf(book.entries);
      this.photos.drop(pictures.filter((id) => !spokenOf.has(id)));
      return await this.book.exclusively(async () => {
        this.refuseUnlessEmpty();
        isWriting = true;
        await this.book.transact((em) => this.write(em, book, signal));
        this.progress = { phase: 'opening', done: 0, of: book.entries.length };
        await this.book.load();
        return { animals: book.animals.length, entries: book.entries.length };
      });
    } catch (error) {
      // A book that was being written may stand after all, where its commit failed in the answer alone.
      if (!isWriting) this.photos.drop(pictures);
      throw error;
    } finally {
      this.progress = undefined;
    }
  }

  private refuseUnlessEmpty(): void {
    if (this.book.state.animals.size > 0 || this.book.state.groups.size > 0)
      throw conflict(
        say('This holding has a book already.'),
        say(
          'A whole book goes only into an empty holding. Start Yaylak with an empty data folder and read it in there.',
        ),
      );
  }

  private async *counted(
    { chunks, bytes = 0 }: { readonly chunks: Chunks; readonly bytes?: number },
    signal: AbortSignal,
    pictureBytes: () => number,
  ): AsyncGenerator<Uint8Array> {
    let done = 0;
    for await (const chunk of chunks) {
      refuseStopped(signal);
      done += chunk.length;
      if (done > MOST_BOOK_BYTES) throw tooLarge(bookTooLarge());
      // All but the pictures is held until it is written.
      if (done - pictureBytes() > MOST_FACT_BYTES) throw tooLarge(factsTooLarge());
      yield chunk;
      this.progress = { phase: 'reading', done, of: Math.max(bytes, done) };
    }
    refuseStopped(signal);
  }

  private async write(em: EntityManager, book: CheckedBook, signal: AbortSignal): Promise<void> {
    // Dams may stand after their young in the file; the keys are checked at the end.
    await em.getConnection().execute('pragma defer_foreign_keys = on', [], 'run', em.getTransactionContext());
    await writeRecords(em, book);
    const { entries } = book;
    for (let i = 0; i < entries.length; i += AT_ONCE) {
      this.progress = { phase: 'writing', done: i, of: entries.length };
      await breathe();
      refuseStopped(signal);
      await writeEntries(em, entries.slice(i, i + AT_ONCE), 1 + i);
    }
    await writeStrikes(
      em,
      entries.flatMap((e) => (e.type === 'strike' ? [[e.entryId, e.id] as const] : [])),
    );
    for (const a of book.animals.filter((x) => x.version > 1))
      await em.nativeUpdate(AnimalEntity, { id: a.id }, { version: a.version });
    refuseStopped(signal);
  }
}

/** Pictures that photos speak of, struck ones too: struck out by mistake they are recorded again. */
const picturesOf = (entries: readonly Entry[]): ReadonlySet<string> =>
  new Set(entries.flatMap((entry) => (entry.type === 'photo' ? [entry.pictureId] : [])));

/** Entries written in one go, before other requests are let on. */
const AT_ONCE = 500;

const factsTooLarge = (): string =>
  say('A book has up to {n} MB without its photos. Choose the file that was written with “The whole book”.', {
    n: MOST_FACT_BYTES / 1_000_000,
  });

/** What is said of a book over the bound, in the language of who sent it. */
export const bookTooLarge = (): string =>
  say('A book has up to {n} MB. Choose the file that was written with “The whole book”.', {
    n: MOST_BOOK_BYTES / 1_000_000,
  });

function refuseStopped({ aborted }: AbortSignal): void {
  if (aborted) throw conflict(say('The reading was stopped.'), say('Nothing of the book was read in.'));
}

/** Everything but the entries and what they open. */
async function writeRecords(em: EntityManager, book: CheckedBook): Promise<void> {
  const {
    standards = null,
    blankTags = null,
    scorers = null,
    resources = null,
    calendar = null,
    decisionMarks = null,
    choosing = null,
    calendarKey = null,
    dateOrder = null,
    weekStart = null,
    keeps = null,
    ...holding
  } = book.holding;
  await em.upsert(HoldingEntity, {
    id: 1,
    ...holding,
    dateOrder,
    weekStart,
    keeps: keeps && [...keeps],
    standards: standards && [...standards],
    blankTags: blankTags && [...blankTags],
    scorers,
    resources,
    calendar,
    decisionMarks,
    choosing,
    calendarKey,
  });
  for (const product of book.products) await em.insert(ProductEntity, { ...product });
  for (const plan of book.plans) await em.insert(PlanEntity, { ...plan });
  for (const { id, on, by, answers } of book.drills)
    await em.insert(DrillEntity, { id, takenOn: on, takenBy: by, answers });
  for (const { by, before = null, after = null, ...change } of book.changes)
    await em.insert(ChangeEntity, { ...change, changedBy: by, before, after });
  for (const outlet of book.outlets) await em.insert(OutletEntity, { ...outlet });
  for (const load of book.loads) await em.insert(LoadEntity, { ...load });
  for (const { id, ...facts } of book.templates) await em.insert(TemplateEntity, { id, facts });
  for (const group of book.groups) await em.insert(GroupEntity, { ...group });
  for (const { on, ...job } of book.jobs)
    await em.insert(JobEntity, { ...job, settings: job.settings ?? null, happenedOn: on });
}
