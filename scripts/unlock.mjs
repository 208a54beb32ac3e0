import { createRequire } from 'node:module';
import { existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { ensureBuilt, ensureInstalled, root } from './lib.mjs';

/** Gets the book out of the encrypted copies of a second place, into a folder of its own. */
// What is installed and built does; nothing is made anew while a book is being got back.
if (!existsSync(join(root, 'server/dist/copies/unlock.js'))) {
  ensureInstalled();
  ensureBuilt();
}
const { lockedFolder, unlock } = createRequire(import.meta.url)(join(root, 'server/dist/copies/unlock.js'));

const refuse = (words) => {
  console.error(words);
  process.exit(1);
};
const [place, to] = process.argv.slice(2).map((path) => resolve(path));
if (place === undefined || to === undefined)
  refuse('Say from where and to where: npm run unlock -- /media/stick/copies /home/me/yaylak-again');

try {
  const folder = lockedFolder(place);
  const asking = createInterface({ input: process.stdin, output: process.stdout });
  const secret = process.env.PASSPHRASE ?? (await asking.question('The passphrase, or the 24 words: '));
  asking.close();
  console.log('A moment: this is slow on purpose, so that a passphrase is hard to guess.');
  const { copy, pictures } = await unlock(folder, to, secret);
  console.log(`${copy} is the book in ${to}, with ${pictures} pictures. Look at it: DATA_DIR=${to} npm start`);
} catch (error) {
  refuse(error.message);
}
