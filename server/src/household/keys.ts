import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { writeWhole } from '../common/wholeFile';
import { certify, fingerprintOf, isGoodFor, makeAuthority, type Pair } from './authority';
import type { Names } from './names';

/** The authority of this book and what it vouches for the server with. */
export interface Keys {
  readonly authority: Pair;
  readonly server: Pair;
  /** Of the authority; see `fingerprintOf`. */
  readonly fingerprint: string;
}

/** Only who owns the book's files. */
const OWNERS_ONLY = 0o600;
const fileOf = (folder: string, name: string): string => join(folder, `${name}.pem`);

function read(folder: string, name: string): Pair | undefined {
  const [key, certificate] = [fileOf(folder, `${name}-key`), fileOf(folder, name)];
  if (!existsSync(key) || !existsSync(certificate)) return undefined;
  return { key: readFileSync(key, 'utf8'), certificate: readFileSync(certificate, 'utf8') };
}
function keep(folder: string, name: string, { key, certificate }: Pair): void {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  writeWhole(fileOf(folder, `${name}-key`), key, OWNERS_ONLY);
  writeWhole(fileOf(folder, name), certificate);
}

/**
 * The keys kept in a folder, made where there are none. The server's certificate is made anew when this computer has
 * another name or number, or in its last month; the authority stays, as tablets trust it.
 * @throws Error in words where the authority's files are damaged
 */
export async function keysIn(folder: string, names: Names, now: Date): Promise<Keys> {
  let authority = read(folder, 'authority');
  if (!authority) {
    authority = await makeAuthority(`Yaylak on ${names.hosts[0]?.replace(/\.local$/, '') ?? 'this computer'}`, now);
    keep(folder, 'authority', authority);
  }
  let server = read(folder, 'server');
  if (!server || !isGoodFor(server, authority, names, now)) {
    server = await certify(authority, names, now).catch((error: Error) => {
      throw new Error(
        `The key of the house in ${folder} cannot be used (${error.message}). Move that folder away; each tablet and phone then takes in a new certificate and joins once more.`,
      );
    });
    keep(folder, 'server', server);
  }
  return { authority, server, fingerprint: fingerprintOf(authority) };
}
