import { spawnSync } from 'node:child_process';
import { createRequire } from 'node:module';
import { existsSync, mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { ensureBuilt, ensureInstalled, root } from './lib.mjs';

/** Gets the book back from the copy that followed it, into a folder of its own. */
// What is installed and built does; nothing is made anew while a book is being got back.
if (!existsSync(join(root, 'server/dist/copies/followWith.js'))) {
  ensureInstalled();
  ensureBuilt();
}
const load = createRequire(import.meta.url);
const { readConfig } = load(join(root, 'server/dist/config.js'));
const { followProgram, followSettings, notStarted, settingsFrom } = load(
  join(root, 'server/dist/copies/followWith.js'),
);

const refuse = (words) => {
  console.error(words);
  process.exit(1);
};
const folder = process.argv[2] === undefined ? undefined : resolve(process.argv[2]);
if (folder === undefined)
  refuse('Say where to: FOLLOW_TO=/media/disk/following npm run restore -- /home/me/yaylak-again');
if (existsSync(folder) && readdirSync(folder).length > 0)
  refuse(`There is something in ${folder} already. Name a new folder: nothing is written over.`);
let followTo;
try {
  ({ followTo } = readConfig({ DATA_DIR: folder, FOLLOW_TO: process.env.FOLLOW_TO }));
} catch (error) {
  refuse(error.message);
}
if (followTo === undefined)
  refuse('Say where the copy is: FOLLOW_TO=/media/disk/following, as Yaylak was started with.');
mkdirSync(folder, { recursive: true });
const book = join(folder, 'yaylak.sqlite');
const settings = join(folder, 'following.json');
writeFileSync(settings, followSettings(book, followTo), { mode: 0o600 });
const { status, error } = spawnSync(followProgram(), ['restore', ...settingsFrom(settings), book], {
  stdio: 'inherit',
});
rmSync(settings);
if (error) refuse(`The book was not got back: ${notStarted(error)}.`);
if (status !== 0) refuse('The book was not got back. Look whether FOLLOW_TO is where it was followed to.');
console.log(
  `The book is in ${folder}. Look at it: DATA_DIR=${folder} npm start. Pictures are in the second place, in its folder of photos.`,
);
