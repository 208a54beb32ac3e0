import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuilt, ensureInstalled, root } from './lib.mjs';

/** The server on the demo book and Vite's own server with the interface, for work on the interface. */
ensureInstalled();
ensureBuilt();
const dataDir = join(root, 'data', 'demo');
const { makeDemo } = await import('./makeDemo.mjs');
await makeDemo(dataDir);
const children = [
  spawn(process.execPath, [join(root, 'server/dist/main.js')], {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, DATA_DIR: dataDir },
  }),
  spawn('npm', ['run', 'dev', '--workspace', 'web'], { cwd: root, stdio: 'inherit' }),
];
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => children.forEach((c) => c.kill(signal)));
