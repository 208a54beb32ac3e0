import { ConstraintViolationException } from '@mikro-orm/core';
import { MikroORM, type EntityManager } from '@mikro-orm/libsql';
import { Inject, Injectable, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import {
  refusalText,
  type AnimalEntry,
  type BookFinding,
  type Entry,
  type EntryAnswer,
  type EntryType,
  type PostMode,
  type StrikeEntry,
  say,
} from '@yaylak/contract';
import {
  checkEntry,
  checkJob,
  dayOf,
  doubtOf,
  factLists,
  mainIdentifier,
  type AnimalFacts,
  type AnimalRecord,
  type ReadingDoubt,
  type Refusal,
} from '@yaylak/core';
import { Clock } from '../common/clock';
import { authorOf, forbidden } from '../common/hand';
import { checkpoint, isBusy, reconnect, settle } from '../database/openBook';
import { Changes, Collected, Derived, Whole } from './derived';
import { HoldingState } from './holdingState';
import { loadBook } from './loadBook';
import { readEntries } from './readEntries';
import { shapeEntry, type Shaped } from './shape';
import type { Undo } from './stamps';
import { isAnimalEntry, writeEntries, writeStrikes } from './writeEntries';

/** What a batch will do, worked out before a row is written. */
interface Judged {
  readonly answers: EntryAnswer[];
  readonly kept: Entry[];
  readonly steps: (() => Undo)[];
  readonly strikes: (readonly [entryId: string, strikeId: string])[];
}

/** After so long without a write the log beside the book is brought into it. */
const QUIET_MS = 2_000;

const refusedBySchema = (answer: EntryAnswer): EntryAnswer =>
  answer.status === 'kept'
    ? {
        id: answer.id,
        status: 'refused',
        message: say(
          'This does not fit what is in the book: it speaks of something that is not there. Check it and record it again.',
        ),
      }
    : answer;

/** An answer to one entry, and what it does to the state when it is kept. */
interface Outcome {
  readonly answer: EntryAnswer;
  readonly step?: () => Undo;
}

/** The one door by which facts come into the book. */
@Injectable()
export class BookService implements OnModuleInit, OnModuleDestroy {
  state = new HoldingState();
  /** What does not stand in the book as it should, found when it was read. */
  findings: readonly BookFinding[] = [];
  private nextSeq = 1;
  /** Set when a commit failed and the book could not be read anew: nobody knows what is in the file. */
  private isInDoubt = false;
  /** Runs out when nothing was written for a while. */
  private quiet: ReturnType<typeof setTimeout> | undefined;
  /** Batches are judged and written one after another. */
  private last: Promise<unknown> = Promise.resolve();

  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  async onModuleInit(): Promise<void> {
    await this.load();
  }

  onModuleDestroy(): void {
    clearTimeout(this.quiet);
  }

  /** Reads the whole book into memory anew. */
  async load(): Promise<void> {
    const { state, findings, nextSeq } = await loadBook(this.orm.em.fork(), this.clock.today(), this.state);
    this.findings = findings;
    this.nextSeq = nextSeq;
    this.state = state;
    this.isInDoubt = false;
  }

  /** Runs something that writes, alone. What it writes goes through `transact`. */
  exclusively<T>(work: () => Promise<T>): Promise<T> {
    const guarded = async (): Promise<T> => {
      if (this.isInDoubt) await this.load();
      return work();
    };
    const run = this.last.then(guarded, guarded);
    this.last = run.catch(() => undefined);
    return run;
  }

  /**
   * Writes in one transaction, to be called inside `exclusively`. One that fails is rolled back before anybody goes on.
   * After a failed commit nobody knows whether the change is in the file (the disk may have failed after it was
   * written), so the book is read anew: an entry sent again is then known or not, as the file has it.
   */
  async transact<T>(work: (em: EntityManager) => Promise<T>): Promise<T> {
    let isWritten = false;
    clearTimeout(this.quiet);
    try {
      const result = await this.orm.em.fork().transactional(async (em) => {
        const done = await work(em);
        isWritten = true;
        return done;
      });
      this.quiet = setTimeout(() => void this.exclusively(() => checkpoint(this.orm)).catch(() => undefined), QUIET_MS);
      return result;
    } catch (error) {
      this.isInDoubt ||= isWritten;
      await this.settled(error);
      throw error;
    }
  }

  /** Leaves nothing open after a failed transaction; what cannot be read now is read before the next write. */
  private async settled(error: unknown): Promise<void> {
    try {
      if (isBusy(error)) await reconnect(this.orm);
      else await settle(this.orm);
      if (this.isInDoubt) await this.load();
    } catch {
      this.isInDoubt = true;
    }
  }

  /**
   * Judges a batch entry by entry and keeps the good ones in one transaction; sent again it changes nothing.
   * @param mode `whole` keeps all of them or none; `check` writes nothing and says what would happen
   */
  post(raw: readonly unknown[], mode: PostMode = 'keep'): Promise<EntryAnswer[]> {
    const shaped = raw.map(shapeEntry);
    return this.exclusively(async () => {
      const judged = await this.judge(shaped);
      if (mode === 'check' || judged.kept.length === 0) return judged.answers;
      if (mode === 'whole' && judged.answers.some((a) => a.status === 'refused'))
        return judged.answers.map((a) => (a.status === 'kept' ? { id: a.id, status: 'left-out' } : a));
      try {
        await this.keep(judged);
        return judged.answers;
      } catch (error) {
        if (!(error instanceof ConstraintViolationException) || this.isInDoubt) throw error;
        return mode === 'whole' ? judged.answers.map(refusedBySchema) : this.keepOneByOne(shaped);
      }
    });
  }

  private async keep(judged: Judged): Promise<void> {
    await this.transact(async (em) => {
      await writeEntries(em, judged.kept, this.nextSeq);
      await writeStrikes(em, judged.strikes);
    });
    this.nextSeq += judged.kept.length;
    for (const step of judged.steps) step();
  }

  /**
   * The schema holds what the rules forgot to ask. It refuses a batch as a whole, so each entry goes in by itself:
   * what one of them breaks is said of that one, and the others are kept.
   */
  private async keepOneByOne(shaped: readonly Shaped[]): Promise<EntryAnswer[]> {
    const answers: EntryAnswer[] = [];
    for (const one of shaped) {
      const judged = await this.judge([one]);
      try {
        if (judged.kept.length > 0) await this.keep(judged);
        answers.push(...judged.answers);
      } catch (error) {
        if (!(error instanceof ConstraintViolationException)) throw error;
        answers.push(...judged.answers.map(refusedBySchema));
      }
    }
    return answers;
  }

  /** Replaces an animal's record after it was written. */
  setRecord(record: AnimalRecord): void {
    this.state.setRecord(record);
  }

  /**
   * A value of each animal that is kept until the animal, or one it hangs on, or the day changes.
   * @param also what else it hangs on: a figure of all animals
   */
  derived<T>(compute: (facts: AnimalFacts) => T, also?: (facts: AnimalFacts) => number | string): Derived<T> {
    return new Derived(
      () => this.state,
      compute,
      also ? (facts) => `${this.clock.today()} ${also(facts)}` : () => this.clock.today(),
    );
  }

  /** A value of the whole book that is kept until a fact, a setting or the day is another. */
  whole<T>(compute: () => T): Whole<T> {
    return new Whole(() => [this.state.version, this.clock.today()], compute);
  }

  /** A value of the whole book that hangs on no facts but of these kinds, on the settings and the day. */
  ofKinds<T>(kinds: readonly EntryType[], compute: () => T): Whole<T> {
    return new Whole(() => [...this.state.versionsOf(kinds), this.clock.today()], compute);
  }

  /** Tells each time which animals may be another since it was asked before. */
  changes(): Changes {
    return new Changes(
      () => this.state,
      () => this.clock.today(),
    );
  }

  /** A value of each animal that has one, all of them together. */
  collected<T>(compute: (facts: AnimalFacts) => T | undefined): Collected<T> {
    return new Collected(() => this.state, this.changes(), compute);
  }

  /** How an animal is called in a message. */
  nameOf(animalId: string): string {
    const facts = this.state.animals.get(animalId);
    const main = facts && mainIdentifier(facts);
    return main ? `${main.identifier.colour ?? ''} ${main.identifier.text}`.trim() : say('an animal without a number');
  }

  private async judge(shaped: readonly Shaped[]): Promise<Judged> {
    const ids = shaped.flatMap((s) =>
      s.kind === 'entry' ? [s.entry.id, ...(s.entry.type === 'strike' ? [s.entry.entryId] : [])] : [],
    );
    const known = new Map((await readEntries(this.orm.em.fork(), { ids })).map((k) => [k.entry.id, k]));
    const judged: Judged = { answers: [], kept: [], steps: [], strikes: [] };
    const inBatch = new Map<string, Entry>();
    const struck = new Set([...known.values()].flatMap((k) => (k.struckBy ? [k.entry.id] : [])));
    const undos: Undo[] = [];
    try {
      for (const one of shaped) {
        if (one.kind === 'faulty') {
          judged.answers.push({
            id: one.id,
            status: 'refused',
            message: one.faults.map((f) => f.message).join(' '),
            faults: one.faults,
          });
          continue;
        }
        const { entry } = one;
        if (known.has(entry.id) || inBatch.has(entry.id)) {
          judged.answers.push({
            id: entry.id,
            status: 'already-kept',
            ...(struck.has(entry.id) ? { isStruck: true } : {}),
          });
          continue;
        }
        const target =
          entry.type === 'strike' ? (inBatch.get(entry.entryId) ?? known.get(entry.entryId)?.entry) : undefined;
        entry.writtenBy = authorOf(entry.writtenBy);
        const message = forbidden(entry, target);
        if (message !== undefined) {
          judged.answers.push({ id: entry.id, status: 'refused', message });
          continue;
        }
        const lost = checkJob(entry, { hasJob: (id) => this.state.jobs.has(id) });
        const outcome: Outcome = lost
          ? { answer: this.refused(entry.id, lost) }
          : entry.type === 'strike'
            ? this.judgeStrike(entry, target, struck)
            : this.judgeFact(entry);
        judged.answers.push(outcome.answer);
        if (!outcome.step) continue;
        // Applied for the entries after it in the batch, and taken back below: the state waits for the commit.
        undos.push(outcome.step());
        inBatch.set(entry.id, entry);
        judged.kept.push(entry);
        judged.steps.push(outcome.step);
        if (entry.type === 'strike') {
          struck.add(entry.entryId);
          judged.strikes.push([entry.entryId, entry.id]);
        }
      }
    } finally {
      for (const undo of undos.reverse()) undo();
    }
    return judged;
  }

  private judgeFact(entry: AnimalEntry): Outcome {
    const asked = { day: dayOf(entry.on), ...entry };
    const refusal = checkEntry(asked, this.state.view(this.clock.today(), this.clock.moment()));
    if (refusal) return { answer: this.refused(entry.id, refusal) };
    const doubt = entry.type === 'weight' ? this.doubtOf(entry) : undefined;
    return {
      answer: doubt ? { id: entry.id, status: 'kept', doubt } : { id: entry.id, status: 'kept' },
      step: () => this.state.apply(entry),
    };
  }

  private judgeStrike(entry: StrikeEntry, target: Entry | undefined, struck: ReadonlySet<string>): Outcome {
    const refuse = (message: string): { answer: EntryAnswer } => ({
      answer: { id: entry.id, status: 'refused', message },
    });
    if (!target) return refuse(say('The entry to strike out is not in the book.'));
    if (struck.has(target.id)) return refuse(say('That entry is struck out already.'));
    if (!isAnimalEntry(target)) return refuse(say('A strike cannot be struck out. Record the fact again instead.'));
    if (target.type === 'arrival') {
      const facts = this.state.animals.get(target.animalId);
      const left = facts ? this.factCount(target.animalId) : 0;
      if (left > 0)
        return refuse(
          say(
            'This animal still has {left} {left, plural, one {entry} other {entries}} in the book. Strike those out first.',
            { left },
          ),
        );
      if ((this.state.youngByParent.get(target.animalId)?.size ?? 0) > 0)
        return refuse(say('This animal has young in the book. Take it out as their parent first.'));
    }
    return { answer: { id: entry.id, status: 'kept' }, step: () => this.state.strike(target) };
  }

  private factCount(animalId: string): number {
    const facts = this.state.animals.get(animalId);
    if (!facts) return 0;
    return factLists(facts).reduce((s, l) => s + l.length, 0);
  }

  private doubtOf(entry: Extract<AnimalEntry, { type: 'weight' }>): ReadingDoubt | undefined {
    const facts = this.state.animals.get(entry.animalId);
    if (!facts) return undefined;
    const { kg, method, writtenBy: by } = entry;
    return doubtOf(
      facts,
      { on: dayOf(entry.on), kg, method, by },
      { biases: () => this.state.tapeBiases, settings: this.state.settings(facts.record.species) },
    );
  }

  private refused(id: string, refusal: Refusal): EntryAnswer {
    return {
      id,
      status: 'refused',
      message: refusalText(refusal, (animal) => this.nameOf(animal), this.state.unit),
      refusal,
    };
  }
}
