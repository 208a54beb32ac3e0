import { existsSync } from 'node:fs';
import { basename } from 'node:path';
import { spawnSync } from 'node:child_process';

/** Debian's Chromium without its windows, which needs a tenth less of the cores, or else the whole of it. */
const PATHS = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'];
const found = () => PATHS.find((path) => existsSync(path));

/** The browser of the journeys, quiet and without its own network traffic. */
export const chromiumOptions = {
  // Asked when a browser is started: it may have been installed since this file was read.
  get executablePath() {
    return found() ?? PATHS[0];
  },
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

/** What else journeys need: what tells the browser of an authority, and a proxy before several books. */
const TOOLS = [
  { path: '/usr/bin/certutil', package: 'libnss3-tools' },
  { path: '/usr/sbin/nginx', package: 'nginx-light' },
];
const missing = () => TOOLS.filter(({ path }) => !existsSync(path));

/** Installs Debian's Chromium, and what else journeys need, where they are missing. */
export function ensureChromium() {
  if (found() && missing().length === 0) return;
  console.log('Installing Chromium for the journeys (once) ...');
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) => {
    const [command, ...rest] = [...sudo, 'apt-get', ...args];
    return spawnSync(command, rest, {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  };
  apt('update', '-qq');
  for (const { package: name } of missing()) apt('install', '-y', '-qq', '--no-install-recommends', name);
  for (const path of PATHS) {
    if (found()) return;
    apt('install', '-y', '-qq', basename(path));
  }
  if (found()) return;
  console.error(
    'Chromium could not be installed. The journeys need the Debian package "chromium-headless-shell" or "chromium".',
  );
  process.exit(1);
}
