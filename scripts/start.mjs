import { join } from 'node:path';
import { ensureBuilt, ensureInstalled, root, run } from './lib.mjs';

ensureInstalled();
ensureBuilt();
run(process.execPath, [join(root, 'server/dist/main.js')], {
  env: { DATA_DIR: join(root, 'data', 'own'), ...process.env },
});
