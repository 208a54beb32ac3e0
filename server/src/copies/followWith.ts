import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { isAddress } from '../config';

const { resolve } = createRequire(__filename);

/** By this name it is looked for where other programs are. */
const ON_PATH = 'litestream';

/** The program that follows: it comes along for some kinds of computers; elsewhere it is the one that was installed. */
export function followProgram(): string {
  try {
    const pack = resolve(`@flydotio/litestream-${process.platform}-${process.arch}/package.json`);
    return join(dirname(pack), 'litestream');
  } catch {
    return ON_PATH;
  }
}

/** Why it could not be started. */
export const notStarted = (error: Error): string =>
  (error as { code?: string }).code === 'ENOENT'
    ? `there is no Litestream on this computer (${process.platform}-${process.arch}): install it`
    : error.message;

/**
 * What the program is told in its file: which book, and where to. A folder is named there as it is; as an argument a space
 * in it would be kept as `%20`.
 */
export const followSettings = (dataFile: string, to: string): string =>
  JSON.stringify({
    logging: { type: 'json' },
    dbs: [{ path: dataFile, replicas: [isAddress(to) ? { url: to } : { type: 'file', path: to }] }],
  });

/** The file is taken as it is written: a `$` in the name of a folder is no variable. */
export const settingsFrom = (file: string): readonly string[] => ['-config', file, '-no-expand-env'];

/** What a line of its log means: that it carried something on, or what went wrong. */
export type Heard = { readonly wrong: string | null } | undefined;

const CARRIED_ON = /^(snapshot|wal segment) written$/;

export function heardIn(line: string): Heard {
  try {
    const { level, msg, error } = JSON.parse(line) as Readonly<Record<'level' | 'msg' | 'error', string | undefined>>;
    if (level === 'ERROR') return { wrong: error ?? msg ?? line };
    return CARRIED_ON.test(msg ?? '') ? { wrong: null } : undefined;
  } catch {
    // What goes wrong before it has read how it is to write its log.
    return line.includes(' ERROR ') ? { wrong: line.slice(line.indexOf(' ERROR ') + 7) } : undefined;
  }
}
