import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { atHome, dataDirOf, ensureBuilt, ensureInstalled, root, run } from './lib.mjs';

ensureInstalled();
ensureBuilt();
const dataDir = dataDirOf('own');
// A folder named by hand must be there: one mistyped would begin a new, empty book.
if (process.env.DATA_DIR === undefined) mkdirSync(dataDir, { recursive: true });
run(process.execPath, [join(root, 'server/dist/main.js')], {
  env: { ...process.env, DATA_DIR: dataDir, ...atHome() },
});
