import { join, resolve } from 'node:path';

export interface ServerConfig {
  readonly port: number;
  readonly host: string;
  /** Folder that holds the book and its backups. */
  readonly dataDir: string;
  readonly dataFile: string;
  readonly backupDir: string;
  /** The built interface; the API alone is served when it is not there. */
  readonly webDir: string;
  readonly logLevel: string;
  /** Where a bridge to stick and crate listens, `ws://…`; the stand-in's in the demo. */
  readonly devicesUrl: string | undefined;
  /** The clock goes so many days ahead: to try out what comes later, on a copy of the book. */
  readonly daysAhead: number;
}

function devicesUrl(url: string | undefined): string | undefined {
  if (url === undefined || url === '') return undefined;
  if (!/^wss?:\/\/[^\s/]+/.test(url)) throw new Error(`DEVICES_URL is "${url}"; give it as ws://127.0.0.1:4871`);
  return url;
}

/** Reads the environment. @throws Error naming the variable when a value cannot be */
export function readConfig(env: Readonly<Record<string, string | undefined>>): ServerConfig {
  const port = Number(env.PORT ?? 4870);
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    throw new Error(`PORT is "${env.PORT}"; give a whole number from 1 to 65535`);
  const daysAhead = Number(env.DAYS_AHEAD ?? 0);
  if (!Number.isInteger(daysAhead) || daysAhead < 0 || daysAhead > 3650)
    throw new Error(`DAYS_AHEAD is "${env.DAYS_AHEAD}"; give a whole number from 0 to 3650`);
  const dataDir = resolve(env.DATA_DIR ?? join(process.cwd(), 'data', 'own'));
  return {
    port,
    host: env.HOST ?? '127.0.0.1',
    dataDir,
    dataFile: join(dataDir, 'yaylak.sqlite'),
    backupDir: join(dataDir, 'backups'),
    webDir: resolve(env.WEB_DIR ?? join(__dirname, '..', '..', 'web', 'dist')),
    logLevel: env.LOG_LEVEL ?? 'warn',
    devicesUrl: devicesUrl(env.DEVICES_URL),
    daysAhead,
  };
}
