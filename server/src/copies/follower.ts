import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { createInterface } from 'node:readline';
import { Inject, Injectable, type OnApplicationBootstrap, type OnApplicationShutdown } from '@nestjs/common';
import type { FollowingView } from '@yaylak/contract';
import { CONFIG } from '../common/tokens';
import { isAddress, type ServerConfig } from '../config';
import { followProgram, followSettings, settingsFrom, heardIn, notStarted } from './followWith';

/** The one of a server that was killed a moment ago is gone by then. */
const FIRST_MS = 2_000;
const AGAIN_MS = 10_000;
/** Beside the book: what the program is told. */
const SETTINGS = 'following.json';
const MOST_ENDING_MS = 5_000;
/**
 * It ends with what it runs: something that waits until this server is gone, even one that was killed. A second one beside
 * it, started with the next server, would write over it.
 */
const UNTIL_GONE = `sh -c 'while kill -0 ${process.pid} 2>/dev/null; do sleep 1; done'`;

/**
 * The following copy: another program reads what is written into the book's log and carries it on within a second or so,
 * to a folder or wherever it knows to. Started with the book, watched, and ended before the book is closed.
 */
@Injectable()
export class Follower implements OnApplicationBootstrap, OnApplicationShutdown {
  private child: ChildProcess | undefined;
  private again: NodeJS.Timeout | undefined;
  private isEnding = false;
  /** It tells of a fault once, and of what it carried on: until then the fault stands. */
  private wrong: string | null = null;

  constructor(@Inject(CONFIG) private readonly config: ServerConfig) {}

  onApplicationBootstrap(): void {
    if (this.to !== undefined) this.startIn(FIRST_MS, this.to);
  }

  /** While other parts still close the book is written no more, and all of it is carried on. */
  async onApplicationShutdown(): Promise<void> {
    this.isEnding = true;
    clearTimeout(this.again);
    const { child } = this;
    if (!child) return;
    const gone = once(child, 'close');
    child.kill('SIGTERM');
    const force = setTimeout(() => child.kill('SIGKILL'), MOST_ENDING_MS);
    await gone;
    clearTimeout(force);
  }

  view(): FollowingView | null {
    return this.to === undefined ? null : { to: withoutSecrets(this.to), said: this.wrong };
  }

  /** Nowhere while the clock goes ahead: that tries something out, and what comes of it is nobody's copy. */
  private get to(): string | undefined {
    return this.config.daysAhead === 0 ? this.config.followTo : undefined;
  }

  private startIn(ms: number, to: string): void {
    this.again = setTimeout(() => this.start(to), ms);
    this.again.unref();
  }

  /** Whatever goes wrong with it is said, and never takes the book down with it. */
  private start(to: string): void {
    const settings = join(this.config.dataDir, SETTINGS);
    try {
      // It may hold a password.
      writeFileSync(settings, followSettings(this.config.dataFile, to), { mode: 0o600 });
    } catch (error) {
      this.ended((error as Error).message, to);
      return;
    }
    const child = spawn(followProgram(), ['replicate', ...settingsFrom(settings), '-exec', UNTIL_GONE], {
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    this.child = child;
    for (const stream of [child.stdout, child.stderr])
      createInterface({ input: stream }).on('line', (line) => {
        const heard = heardIn(line);
        if (heard) this.wrong = heard.wrong;
      });
    child.once('error', (error) => {
      if (child.pid === undefined) this.ended(notStarted(error), to);
    });
    child.once('close', (code) => {
      if (child.pid !== undefined) this.ended(this.wrong ?? `the program that follows ended with ${code}`, to);
    });
  }

  private ended(said: string, to: string): void {
    this.child = undefined;
    if (this.isEnding) return;
    this.wrong = said;
    this.startIn(AGAIN_MS, to);
  }
}

/** An address may hold a name and a password. */
function withoutSecrets(to: string): string {
  if (!isAddress(to)) return to;
  const url = new URL(to);
  url.username = '';
  url.password = '';
  url.search = '';
  return url.href;
}
