import { join } from 'node:path';
import { ensureBuilt, ensureInstalled, root, run } from './lib.mjs';

ensureInstalled();
ensureBuilt();
const dataDir = process.env.DATA_DIR ?? join(root, 'data', 'demo');
const { makeDemo } = await import('./makeDemo.mjs');
const made = await makeDemo(dataDir);
if (made) console.log(`Demo holding made: ${made.animals} animals, ${made.entries} entries.`);
run(process.execPath, [join(root, 'server/dist/main.js')], { env: { ...process.env, DATA_DIR: dataDir } });
