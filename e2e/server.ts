import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort, giveBack } from './freePort';

export interface Server {
  readonly url: string;
  readonly dataDir: string;
  /** Starts it again, so many days later than today. */
  start(daysAhead?: number): Promise<void>;
  /** Kills it without a word, as a pulled plug would. */
  kill(): Promise<void>;
  /** Ends it and removes its book. */
  remove(): Promise<void>;
}

/** A server process of its own, at a port of its own, on a copy of the demo book or on an empty one. */
export async function aServer(
  book: 'demo' | 'empty' = 'demo',
  more: Readonly<Record<string, string>> = {},
): Promise<Server> {
  const port = await freePort();
  const dataDir = mkdtempSync(join(tmpdir(), 'yaylak-journey-'));
  if (book === 'demo') cpSync(process.env.YAYLAK_DEMO_DIR ?? '', dataDir, { recursive: true });
  let child: ChildProcess | undefined;
  const server: Server = {
    url: `http://127.0.0.1:${port}`,
    dataDir,
    async start(daysAhead = 0) {
      const started = spawn(process.execPath, [join(import.meta.dirname, '../server/dist/main.js')], {
        env: { ...process.env, DATA_DIR: dataDir, PORT: String(port), DAYS_AHEAD: String(daysAhead), ...more },
        stdio: ['ignore', 'pipe', 'inherit'],
      });
      child = started;
      await new Promise<void>((resolve, reject) => {
        started.stdout.once('data', () => resolve());
        started.once('exit', (code) => reject(new Error(`the server ended with ${code}`)));
      });
    },
    async kill() {
      const running = child;
      child = undefined;
      if (!running || running.exitCode !== null) return;
      const gone = new Promise((resolve) => running.once('exit', resolve));
      running.kill('SIGKILL');
      await gone;
    },
    async remove() {
      await server.kill();
      giveBack(port);
      rmSync(dataDir, { recursive: true, force: true });
    },
  };
  await server.start();
  return server;
}
