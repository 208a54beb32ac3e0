import { isAbsolute, join, relative, resolve } from 'node:path';

/** The doors into the house. */
export interface HouseConfig {
  readonly host: string;
  /** Of the encrypted door; the next one is where a device joins. 0 lets the machine choose both: for tests. */
  readonly port: number;
}

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
  /** The book is the demo holding’s: newcomers are shown where to look first. */
  readonly isDemo: boolean;
  /** Where the copy goes that follows the book: a folder's whole path, or an address such as `s3://…`. */
  readonly followTo: string | undefined;
  /** How the book is open to the house; left out it answers on this computer only. */
  readonly house?: HouseConfig;
  /** The clock goes so many days ahead: to try out what comes later, on a copy of the book. */
  readonly daysAhead: number;
  /** A body has so many milliseconds to come in whole. */
  readonly bodyMs: number;
  /** Requests one device may make in ten seconds before it is asked to wait. */
  readonly requestsPerTenSeconds: number;
}

/** A slow line of a phone needs seconds; who takes longer holds the door open. */
const BODY_MS = 60_000;
/** A page asks some ten at once, a device that was away sends some twenty batches. */
const REQUESTS_PER_TEN_SECONDS = 2_000;
const LOOPBACK = /^(localhost|127(\.\d{1,3}){3}|::1)$/;

function hostOf(host = '127.0.0.1'): string {
  if (LOOPBACK.test(host)) return host;
  throw new Error(
    `HOST is "${host}": that would open the book to everybody in the network, over a line that anybody there can read. ` +
      'Leave HOST out; Yaylak then answers on this computer only. For tablets and phones of the house start it with ' +
      'npm start -- --home: they join by a code, over an encrypted line.',
  );
}

/** A whole number of the environment within bounds. @throws Error naming the variable */
function wholeNumber(
  name: string,
  value: string | undefined,
  usual: number,
  [least, most]: readonly [number, number],
): number {
  const number = value === undefined || value === '' ? usual : Number(value);
  if (!Number.isInteger(number) || number < least || number > most)
    throw new Error(`${name} is "${value}"; give a whole number from ${least} to ${most}`);
  return number;
}

function devicesUrl(url: string | undefined): string | undefined {
  if (url === undefined || url === '') return undefined;
  if (!/^wss?:\/\/[^\s/]+/.test(url)) throw new Error(`DEVICES_URL is "${url}"; give it as ws://127.0.0.1:4871`);
  return url;
}

/** An address, and no folder's path. */
export const isAddress = (to: string): boolean => /^[a-z][a-z\d+.-]*:\/\/./i.test(to) && URL.canParse(to);

function followTo(to: string | undefined, dataDir: string): string | undefined {
  if (to === undefined || to === '') return undefined;
  if (isAddress(to)) return to;
  if (!isAbsolute(to))
    throw new Error(
      `FOLLOW_TO is "${to}"; give the whole path of a folder, for example /media/disk/following, or an address such as s3://bucket/book`,
    );
  if (!relative(dataDir, to).startsWith('..'))
    throw new Error(
      `FOLLOW_TO is "${to}", in the folder of the book: a disk that dies would take both. Name a folder on another disk.`,
    );
  return to;
}

/** Reads the environment. @throws Error naming the variable when a value cannot be */
export function readConfig(env: Readonly<Record<string, string | undefined>>): ServerConfig {
  const dataDir = resolve(env.DATA_DIR ?? join(process.cwd(), 'data', 'own'));
  return {
    // 0 lets the machine choose a free one: for tests.
    port: wholeNumber('PORT', env.PORT, 4870, [0, 65535]),
    host: hostOf(env.HOST),
    dataDir,
    dataFile: join(dataDir, 'yaylak.sqlite'),
    backupDir: join(dataDir, 'backups'),
    webDir: resolve(env.WEB_DIR ?? join(__dirname, '..', '..', 'web', 'dist')),
    logLevel: env.LOG_LEVEL ?? 'warn',
    devicesUrl: devicesUrl(env.DEVICES_URL),
    isDemo: env.YAYLAK_DEMO === '1',
    followTo: followTo(env.FOLLOW_TO, dataDir),
    // Who has the line in the house to itself, a firewall behind it or a test, may name one of its addresses.
    ...(env.AT_HOME === '1'
      ? {
          house: {
            host: env.HOUSE_HOST ?? '0.0.0.0',
            port: wholeNumber('HOUSE_PORT', env.HOUSE_PORT, 4878, [0, 65534]),
          },
        }
      : {}),
    daysAhead: wholeNumber('DAYS_AHEAD', env.DAYS_AHEAD, 0, [0, 3650]),
    bodyMs: BODY_MS,
    requestsPerTenSeconds: wholeNumber('REQUESTS', env.REQUESTS, REQUESTS_PER_TEN_SECONDS, [1, 1_000_000]),
  };
}
