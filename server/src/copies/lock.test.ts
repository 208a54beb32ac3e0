import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { lockFile, newKey, openKey, unlockFile, type NewKey } from './lock';

const PASSPHRASE = 'three brown ewes';
let folder: string;
let key: NewKey;
const file = (name: string): string => join(folder, name);
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'yaylak-lock-'));
  key = await newKey(PASSPHRASE);
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** A file of so many bytes, no two pieces of it alike. */
function aFile(bytes: number): Buffer {
  const content = Buffer.alloc(bytes, Array.from({ length: 251 }, (_, i) => i).join(' '));
  writeFileSync(file('plain'), content);
  return content;
}

// An age file is written in pieces of 64 KiB.
it.each([0, 1, 65_535, 65_536, 65_537, 300_000])(
  'what is encrypted of %i bytes is the same when it is decrypted',
  async (bytes) => {
    const content = aFile(bytes);
    await lockFile(file('plain'), file('locked'), key.recipient);
    expect(readFileSync(file('locked')).subarray(0, 22).toString()).toBe('age-encryption.org/v1\n');
    await unlockFile(file('locked'), file('again'), await openKey(key.keyFile, key.words.join(' ')));
    expect(readFileSync(file('again')).equals(content)).toBe(true);
  },
);

it('is opened by the passphrase and by the words, and by nothing else', async () => {
  const byPassphrase = await openKey(key.keyFile, PASSPHRASE);
  expect(key.words).toHaveLength(24);
  expect(await openKey(key.keyFile, ` ${key.words.join('  ').toUpperCase()}\n`)).toBe(byPassphrase);
  const wrong = /neither the passphrase nor the 24 words/;
  await expect(openKey(key.keyFile, 'three brown ewer')).rejects.toThrow(wrong);
  // The last word holds a check of the others.
  await expect(openKey(key.keyFile, [...key.words.slice(0, 23), 'ewe'].join(' '))).rejects.toThrow(wrong);
  expect(key.keyFile).not.toContain(byPassphrase.slice(20));
});

it('is of no use to who has another key', async () => {
  aFile(1_000);
  await lockFile(file('plain'), file('locked'), key.recipient);
  const other = await newKey(PASSPHRASE);
  expect(other.recipient).not.toBe(key.recipient);
  await expect(unlockFile(file('locked'), file('again'), await openKey(other.keyFile, PASSPHRASE))).rejects.toThrow();
});

it('does not open what was changed since', async () => {
  aFile(100_000);
  await lockFile(file('plain'), file('locked'), key.recipient);
  const changed = readFileSync(file('locked'));
  changed.writeUInt8(changed.readUInt8(80_000) ^ 1, 80_000);
  writeFileSync(file('locked'), changed);
  await expect(unlockFile(file('locked'), file('again'), await openKey(key.keyFile, PASSPHRASE))).rejects.toThrow();
});

it('leaves nothing behind of a file that cannot be written', async () => {
  aFile(10);
  const before = readdirSync(folder).sort();
  await expect(lockFile(file('plain'), file('no/such/folder'), key.recipient)).rejects.toThrow(/ENOENT/);
  await expect(lockFile(file('nothing'), file('locked2'), key.recipient)).rejects.toThrow(/ENOENT/);
  expect(readdirSync(folder).sort()).toEqual(before);
});
