import { existsSync } from 'node:fs';
import { spawnSync } from 'node:child_process';

const PATH = '/usr/bin/chromium';

/** Debian's Chromium, quiet and without its own network traffic. */
export const chromiumOptions = {
  executablePath: PATH,
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};

/** Installs Debian's Chromium where it is missing. */
export function ensureChromium() {
  if (existsSync(PATH)) return;
  console.log('Installing Chromium for the journeys (once) ...');
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  for (const args of [
    ['apt-get', 'update', '-qq'],
    ['apt-get', 'install', '-y', '-qq', 'chromium'],
  ]) {
    const [command, ...rest] = [...sudo, ...args];
    const done = spawnSync(command, rest, {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
    if (done.status !== 0) {
      console.error(
        'Chromium could not be installed. The journeys need it at /usr/bin/chromium (Debian package "chromium").',
      );
      process.exit(1);
    }
  }
}
