import { scryptSync } from 'node:crypto';

interface Cost {
  readonly N: number;
  readonly r: number;
  readonly p: number;
  readonly dkLen: number;
}

/** RFC 7914 as the machine does it: the package's own, read as tests are read, takes half a minute each time. */
export const scrypt = (passphrase: string, salt: Uint8Array, { N, r, p, dkLen }: Cost): Uint8Array =>
  new Uint8Array(scryptSync(passphrase, salt, dkLen, { N, r, p, maxmem: 256 * N * r }));
