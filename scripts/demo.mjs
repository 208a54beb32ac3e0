import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { atHome, dataDirOf, ensureBuilt, ensureInstalled, root } from './lib.mjs';

ensureInstalled();
ensureBuilt();
const dataDir = dataDirOf('demo');
const { makeDemo } = await import('./makeDemo.mjs');
const made = await makeDemo(dataDir);
if (made) console.log(`Demo holding made: ${made.animals} animals, ${made.entries} entries.`);
// Stick and crate stand in beside it; they end with it.
const port = process.env.PORT ?? '4870';
const devicesPort = process.env.DEVICES_PORT ?? '4871';
const devices = spawn(process.execPath, [join(root, 'devices/dist/main.js')], {
  stdio: 'inherit',
  env: { ...process.env, DEVICES_PORT: devicesPort, BOOK_URL: `http://127.0.0.1:${port}` },
});
const server = spawn(process.execPath, [join(root, 'server/dist/main.js')], {
  stdio: 'inherit',
  env: {
    ...process.env,
    YAYLAK_DEMO: '1',
    DATA_DIR: dataDir,
    DEVICES_URL: `ws://127.0.0.1:${devicesPort}`,
    ...atHome(),
  },
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => {
  devices.kill();
  process.exit(code ?? 0);
});
