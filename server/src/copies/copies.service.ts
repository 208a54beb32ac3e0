import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { Inject, Injectable, type OnApplicationBootstrap, type OnApplicationShutdown } from '@nestjs/common';
import type { CopiesTrouble, CopiesView, CopyReason, SecondPlaceView } from '@yaylak/contract';
import { isoMoment } from '@yaylak/core';
import { Clock } from '../common/clock';
import { localDay, localMoment } from '../common/localTime';
import { badFields } from '../common/problems';
import { CONFIG } from '../common/tokens';
import type { ServerConfig } from '../config';
import { copiesIn, madeAt } from '../database/bookCopy';
import { backupFiles } from '../database/bookFolder';
import { workCopy, type CopyDone, type CopyOrder } from './copyWork';
import {
  folderIn,
  forgetSecondPlace,
  isThere,
  nameSecondPlace,
  readSecondPlace,
  secondPlaceFault,
} from './secondPlace';

const WORKER = join(__dirname, 'copyWorker.js');
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
  /** The id the last copy was asked for by. */
  private asked: string | undefined;
  private timers: NodeJS.Timeout[] = [];

  constructor(
    @Inject(CONFIG) private readonly config: ServerConfig,
    @Inject(Clock) private readonly clock: Clock,
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
    await this.work(isOfToday ? null : 'daily');
  }

  /** Makes one now, for each id but once. @returns all of them, with what was said where it failed */
  async make(id: string): Promise<CopiesView> {
    if (id !== this.asked) {
      this.asked = id;
      await this.work('asked');
    } else await this.underWay;
    return this.view();
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
    await this.work(backupFiles(this.config.backupDir).length === 0 ? 'asked' : null);
    return this.view();
  }

  view(): CopiesView {
    const { dataDir, backupDir } = this.config;
    const place = readSecondPlace(dataDir);
    const inSecond = new Set(place && isThere(place, dataDir) ? backupFiles(folderIn(place)) : []);
    return {
      folder: backupDir,
      copies: copiesIn(backupDir)
        .toReversed()
        .map(({ madeAt: at, ...copy }) => ({ ...copy, at: instant(at), isInSecond: inSecond.has(copy.name) })),
      second: this.second(),
      failed: this.last.failed,
    };
  }

  /** What is to be said of the copies on Today; nothing while all is well. */
  trouble(): CopiesTrouble | null {
    const newest = backupFiles(this.config.backupDir).at(-1);
    const isOld = newest !== undefined && localDay(this.clock.now()) - localDay(madeAt(newest)) > OLD_DAYS;
    const second = this.second();
    const isSecondWell = second === null || second.state === 'there';
    if (!isOld && isSecondWell && this.last.failed === null) return null;
    return {
      oldSince: isOld ? instant(madeAt(newest)) : null,
      second: isSecondWell ? null : second,
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
    };
  }

  /** One after another: two at once would take each other's room. */
  private work(reason: CopyReason | null): Promise<void> {
    const { dataDir, dataFile, backupDir } = this.config;
    const done = this.underWay.then(async () => {
      const isTrial = this.config.daysAhead > 0;
      const order = { dataDir, dataFile, backupDir, isTrial, reason, now: this.clock.now().toISOString() };
      const { failed, secondFailed } = await inThread(order).catch(
        // The thread itself is gone: that is no copy either, and is said like any other failure.
        (error: Error): CopyDone => ({ failed: error.message, secondFailed: this.last.secondFailed }),
      );
      this.last = { failed: reason === null ? this.last.failed : failed, secondFailed };
    });
    this.underWay = done.catch(() => undefined);
    return done;
  }
}

/** Where only the source stands, as in unit tests, there is no file for a thread to run, and it is done here. */
function inThread(order: CopyOrder): Promise<CopyDone> {
  if (!existsSync(WORKER)) return Promise.resolve(workCopy(order));
  return new Promise((resolve, reject) => {
    const worker = new Worker(WORKER, { workerData: order });
    worker.once('message', resolve);
    worker.once('error', reject);
    worker.once('exit', () => reject(new Error('the thread that copies the book has ended')));
  });
}
