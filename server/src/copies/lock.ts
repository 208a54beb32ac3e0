import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream, renameSync, rmSync } from 'node:fs';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { bech32 } from '@scure/base';
import { entropyToMnemonic, mnemonicToEntropy } from '@scure/bip39';
import { wordlist } from '@scure/bip39/wordlists/english.js';
import { armor, Decrypter, Encrypter, generateX25519Identity, identityToRecipient } from 'age-encryption';
import { onDisk } from '../common/wholeFile';

/** A key that was just made. Who has the passphrase or the words reads what is encrypted to it, and nobody else. */
export interface NewKey {
  /** What is encrypted to, `age1…`; it opens nothing. */
  readonly recipient: string;
  /** The key itself, encrypted with the passphrase. */
  readonly keyFile: string;
  /** The key itself, as 24 words (BIP 39). */
  readonly words: readonly string[];
}

const PREFIX = 'age-secret-key-';
const wordsOf = (identity: string): string[] =>
  entropyToMnemonic(bech32.decodeToBytes(identity).bytes, wordlist).split(' ');
const identityOfWords = (words: string): string =>
  bech32.encodeFromBytes(PREFIX, mnemonicToEntropy(words, wordlist)).toUpperCase();

/** Makes a key. Takes seconds: a passphrase is made slow to guess. */
export async function newKey(passphrase: string): Promise<NewKey> {
  const identity = await generateX25519Identity();
  const locking = new Encrypter();
  locking.setPassphrase(passphrase);
  return {
    recipient: await identityToRecipient(identity),
    keyFile: armor.encode(await locking.encrypt(identity)),
    words: wordsOf(identity),
  };
}

/**
 * The key itself.
 * @param secret the passphrase, or the 24 words
 * @throws Error in words where it is neither
 */
export async function openKey(keyFile: string, secret: string): Promise<string> {
  const words = secret.trim().toLowerCase().split(/\s+/);
  try {
    if (words.length === 24) return identityOfWords(words.join(' '));
    const opening = new Decrypter();
    opening.addPassphrase(secret);
    return await opening.decrypt(armor.decode(keyFile), 'text');
  } catch {
    throw new Error('That is neither the passphrase nor the 24 words of these copies. Type it again.');
  }
}

const read = (path: string): ReadableStream<Uint8Array> =>
  Readable.toWeb(createReadStream(path)) as ReadableStream<Uint8Array>;
const written = async (stream: ReadableStream<Uint8Array>, path: string): Promise<void> =>
  pipeline(Readable.fromWeb(stream as never), createWriteStream(path));
async function hashOf(stream: ReadableStream<Uint8Array>): Promise<string> {
  const hash = createHash('sha256');
  for await (const piece of Readable.fromWeb(stream as never)) hash.update(piece as Uint8Array);
  return hash.digest('hex');
}

/**
 * Encrypts a file, and has its name there only when it was read back and is the same. The key itself is not here to do
 * so; a second one is, made for this file and forgotten with it.
 * @throws Error what the machine says, or that it came out damaged; nothing is left behind
 */
export async function lockFile(from: string, to: string, recipient: string): Promise<void> {
  const part = `${to}.part`;
  const passing = await generateX25519Identity();
  const locking = new Encrypter();
  locking.addRecipient(recipient);
  locking.addRecipient(await identityToRecipient(passing));
  const reading = new Decrypter();
  reading.addIdentity(passing);
  try {
    await written(await locking.encrypt(read(from)), part);
    onDisk(part);
    const back = await reading.decrypt(read(part)).then(hashOf, () => undefined);
    if (back !== (await hashOf(read(from)))) throw new Error('The encrypted copy came out damaged.');
    renameSync(part, to);
  } finally {
    rmSync(part, { force: true });
  }
}

/** Decrypts a file. @throws Error where it is damaged, or was encrypted to another key */
export async function unlockFile(from: string, to: string, identity: string): Promise<void> {
  const opening = new Decrypter();
  opening.addIdentity(identity);
  await written(await opening.decrypt(read(from)), to);
}
