import { join } from 'node:path';
import { ensureBuilt, ensureInstalled, root, run } from './lib.mjs';

ensureInstalled();
ensureBuilt();
run(process.execPath, [join(root, 'bench', 'run.mjs')]);
