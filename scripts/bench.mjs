import { join } from 'node:path';
import { ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensureInstalled, root, run } from './lib.mjs';

ensureInstalled();
ensureBuilt();
ensureChromium();
run(process.execPath, [join(root, 'bench', 'run.mjs')]);
