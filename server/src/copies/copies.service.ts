import { MikroORM } from '@mikro-orm/libsql';
import { Inject, Injectable, type OnApplicationBootstrap, type OnApplicationShutdown } from '@nestjs/common';
import {
  LEAST_PASSPHRASE,
  say,
  type CopiesTrouble,
  type CopiesView,
  type CopyLossView,
  type LockedView,
  type SecondPlaceView,
} from '@yaylak/contract';
import { isoMoment } from '@yaylak/core';
import { Clock } from '../common/clock';
import { localDay, localMoment } from '../common/localTime';
import { badFields, conflict, notFound } from '../common/problems';
import { Reopening } from '../common/reopening';
import { CONFIG } from '../common/tokens';
import type { ServerConfig } from '../config';
import { readEntries } from '../book/readEntries';
import { copiesIn, madeAt, type BookCopy, type CopyWhy } from '../database/bookCopy';
import { backupFiles } from '../database/bookFolder';
import { swapIn } from '../database/putBack';
import type { CopyDone, OneCopy } from './copyWork';
import { Follower } from './follower';
import { inThread } from './inThread';
import {
  copiesThere,
  forgetSecondPlace,
  isThere,
  lockSecondPlace,
  nameSecondPlace,
  readSecondPlace,
  secondPlaceFault,
} from './secondPlace';

/** A book that has just been opened is first shown to whoever waits for it. */
const FIRST_LOOK_MS = 120_000;
const LOOK_MS = 3_600_000;
/** Said on Today from then on. */
const OLD_DAYS = 7;

const instant = (at: Date): string => isoMoment(localMoment(at));

/**
 * Copies of the book: one each day, and when somebody asks for one. They are made in a thread of their own, beside whatever
 * is written meanwhile, one at a time.
 */
@Injectable()
export class CopiesService implements OnApplicationBootstrap, OnApplicationShutdown {
  private last: CopyDone = { failed: null, secondFailed: null };
  private underWay: Promise<unknown> = Promise.resolve();
  /** Pieces of work that are done or wait their turn. */
  private atWork = 0;
  private timers: NodeJS.Timeout[] = [];

  constructor(
    @Inject(CONFIG) private readonly config: ServerConfig,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(Reopening) private readonly reopening: Reopening,
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(Follower) private readonly follower: Follower,
  ) {}

  onApplicationBootstrap(): void {
    const look = (): void => void this.daily().catch(() => undefined);
    this.timers = [setTimeout(look, FIRST_LOOK_MS), setInterval(look, LOOK_MS)];
    for (const timer of this.timers) timer.unref();
  }

  async onApplicationShutdown(): Promise<void> {
    for (const timer of this.timers) clearTimeout(timer);
    await this.underWay;
  }

  /** The copy of the day where there is none yet, and the second place where it has come back since. */
  async daily(): Promise<void> {
    const newest = backupFiles(this.config.backupDir).at(-1);
    const isOfToday = newest !== undefined && localDay(madeAt(newest)) >= localDay(this.clock.now());
    await this.work(isOfToday ? null : { reason: 'daily' });
  }

  /** Makes one now, for each id but once. @returns all of them, with what was said where it failed */
  async make(id: string): Promise<CopiesView> {
    await this.work({ reason: 'asked', id });
    return this.view();
  }

  /**
   * What would change in the book if a copy took its place.
   * @param name of the copy
   * @throws ProblemException where there is none, or it cannot be read
   */
  async loss(name: string): Promise<CopyLossView> {
    const { newest, ...counts } = await inThread('compare', this.one(name)).catch((error: Error) => {
      throw conflict(say('The copy cannot be compared with the book.'), error.message);
    });
    const kept = await readEntries(this.orm.em.fork(), { ids: newest });
    return { ...counts, newest: kept.map((k) => k.entry).reverse() };
  }

  /**
   * Has a copy take the book's place: looks it through and lays it ready, then asks for the book to be closed, copied,
   * exchanged and opened. How that went stands in the view afterwards. For each id but once.
   * @param name of the copy
   * @throws ProblemException where there is none, or it cannot be used
   */
  async putBack(name: string, id: string): Promise<CopiesView> {
    const one = this.one(name);
    await this.afterwards(async () => {
      if (this.isDone({ reason: 'put-back', id })) return;
      const { by } = this.reopening;
      if (!by)
        throw conflict(say('A copy is being put back already.'), say('Wait a moment, then look at the copies again.'));
      await inThread('layReady', one).catch((error: Error) => {
        throw conflict(say('This copy cannot be put back. The book is as it was.'), error.message);
      });
      by({ id, work: () => swapIn(this.config, id, this.clock.now()) });
    });
    return this.view();
  }

  /** @throws ProblemException where there is none of that name */
  private one(name: string): OneCopy {
    const { dataDir, dataFile, backupDir } = this.config;
    if (!backupFiles(backupDir).includes(name)) throw notFound(say('copy'));
    return { dataDir, dataFile, backupDir, copy: name };
  }

  /** Whether it was done already by the id somebody asked by, before Yaylak was started anew too. */
  private isDone({ reason, id }: CopyWhy): boolean {
    return id !== undefined && this.copies().some((c) => c.reason === reason && c.id === id);
  }

  private copies(): BookCopy[] {
    return copiesIn(this.config.backupDir);
  }

  /**
   * Names the second place, and brings it up to date.
   * @param path empty for none
   * @throws ProblemException in words where it will not do
   */
  async nameSecond(path: string): Promise<CopiesView> {
    const { dataDir } = this.config;
    if (path.trim() === '') {
      forgetSecondPlace(dataDir);
      this.last = { ...this.last, secondFailed: null };
      return this.view();
    }
    const message = secondPlaceFault(dataDir, path.trim());
    if (message !== undefined) throw badFields([{ field: 'path', message }]);
    nameSecondPlace(dataDir, path.trim());
    await this.work(backupFiles(this.config.backupDir).length === 0 ? { reason: 'asked' } : null);
    return this.view();
  }

  /**
   * Has everything in the second place be encrypted from now on, by a key that is made for it; what lies there is
   * encrypted afterwards.
   * @param passphrase empty: it lies there as it is
   * @returns with the words that open it as well, which are kept nowhere
   * @throws ProblemException in words where there is no second place, or the passphrase is too short
   */
  async lockSecond(passphrase: string): Promise<LockedView> {
    const { dataDir } = this.config;
    if (!readSecondPlace(dataDir))
      throw conflict(say('There is no second place yet.'), say('Name its folder first, then have it encrypted.'));
    if (passphrase !== '' && passphrase.length < LEAST_PASSPHRASE)
      throw badFields([
        {
          field: 'passphrase',
          message: say(
            'The passphrase is {n} characters long; {least} at least keep somebody with the stick from guessing it.',
            {
              n: passphrase.length,
              least: LEAST_PASSPHRASE,
            },
          ),
        },
      ]);
    const key = passphrase === '' ? null : await inThread('newKey', { passphrase });
    await this.afterwards(() => lockSecondPlace(dataDir, key));
    // The words are shown at once: a stick can take minutes, and who waits that long for them may have gone away.
    void this.work(backupFiles(this.config.backupDir).length === 0 ? { reason: 'asked' } : null);
    return { copies: this.view(), words: key?.words ?? [] };
  }

  view(): CopiesView {
    const { dataDir, backupDir } = this.config;
    const place = readSecondPlace(dataDir);
    const inSecond = new Set(place && isThere(place, dataDir) ? copiesThere(place) : []);
    return {
      folder: backupDir,
      copies: this.copies()
        .toReversed()
        .map(({ madeAt: at, id: _, ...copy }) => ({ ...copy, at: instant(at), isInSecond: inSecond.has(copy.name) })),
      second: this.second(),
      following: this.follower.view(),
      failed: this.last.failed,
      putBack: this.reopening.last,
    };
  }

  /** What is to be said of the copies on Today; nothing while all is well. */
  trouble(): CopiesTrouble | null {
    const newest = backupFiles(this.config.backupDir).at(-1);
    const isOld = newest !== undefined && localDay(this.clock.now()) - localDay(madeAt(newest)) > OLD_DAYS;
    const second = this.second();
    const isSecondWell = second === null || second.state === 'there';
    const following = this.follower.view();
    const isFollowingWell = following === null || following.said === null;
    if (!isOld && isSecondWell && isFollowingWell && this.last.failed === null) return null;
    return {
      oldSince: isOld ? instant(madeAt(newest)) : null,
      second: isSecondWell ? null : second,
      following: isFollowingWell ? null : following,
      failed: this.last.failed,
    };
  }

  private second(): SecondPlaceView | null {
    const place = readSecondPlace(this.config.dataDir);
    if (!place) return null;
    const said = this.last.secondFailed;
    return {
      path: place.path,
      state: !isThere(place, this.config.dataDir) ? 'missing' : said === null ? 'there' : 'failed',
      lastAt: place.lastAt === null ? null : instant(new Date(place.lastAt)),
      said,
      isLocked: place.lockedTo !== undefined,
      isUnderWay: this.atWork > 0,
    };
  }

  /** One after another: two at once would take each other's room. */
  private work(why: CopyWhy | null): Promise<void> {
    const { dataDir, dataFile, backupDir } = this.config;
    return this.afterwards(async () => {
      if (why && this.isDone(why)) return;
      const isTrial = this.config.daysAhead > 0;
      const order = { dataDir, dataFile, backupDir, isTrial, why, now: this.clock.now().toISOString() };
      const { failed, secondFailed } = await inThread('make', order).catch(
        // The thread itself is gone: that is no copy either, and is said like any other failure.
        (error: Error): CopyDone => ({ failed: error.message, secondFailed: this.last.secondFailed }),
      );
      this.last = { failed: why === null ? this.last.failed : failed, secondFailed };
    });
  }

  private afterwards(work: () => void | Promise<void>): Promise<void> {
    this.atWork += 1;
    const done = this.underWay.then(work).finally(() => (this.atWork -= 1));
    this.underWay = done.catch(() => undefined);
    return done;
  }
}

/** Where only the source stands, as in unit tests, there is no file for a thread to run, and it is done here. */
