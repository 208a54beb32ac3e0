import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');

/** Runs a command in the project; ends this process with its code when it fails. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (done.status !== 0) process.exit(done.status ?? 1);
}

/** `--home` opens the book to tablets and phones of the house. */
export const atHome = () => (process.argv.includes('--home') ? { AT_HOME: '1' } : {});

/** Where a book lies that nobody named a folder for: one’s own, or the demo’s. */
export const dataDirOf = (book) => process.env.DATA_DIR ?? join(root, 'data', book);

const stampFile = (name) => join(root, '.cache', name);
const stampOf = (name) => (existsSync(stampFile(name)) ? readFileSync(stampFile(name), 'utf8') : '');
function setStamp(name, value) {
  mkdirSync(dirname(stampFile(name)), { recursive: true });
  writeFileSync(stampFile(name), value);
}

/** One value for the contents of files and folders. */
export function hashOf(paths) {
  const hash = createHash('sha256');
  const add = (path) => {
    if (!existsSync(path)) return;
    if (statSync(path).isDirectory()) {
      for (const name of readdirSync(path).sort()) if (!['node_modules', 'dist'].includes(name)) add(join(path, name));
    } else hash.update(path).update(readFileSync(path));
  };
  paths.forEach((p) => add(join(root, p)));
  return hash.digest('hex');
}

/** Installs the packages when there are none or the lock has changed since. */
export function ensureInstalled() {
  const now = hashOf(['package-lock.json']);
  if (existsSync(join(root, 'node_modules', '.package-lock.json')) && stampOf('installed') === now) return;
  console.log('Installing packages (once, a minute or two) ...');
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel', 'error']);
  setStamp('installed', now);
}

const SOURCES = ['core', 'contract', 'server', 'demo', 'devices', 'web', 'tsconfig.base.json', 'package-lock.json'];

/** Builds when a source has changed since the last build. */
export function ensureBuilt() {
  const now = hashOf(SOURCES);
  const isThere = existsSync(join(root, 'web/dist/index.html')) && existsSync(join(root, 'server/dist/main.js'));
  if (isThere && stampOf('built') === now) return;
  console.log('Building (once, half a minute) ...');
  run('npm', ['run', '--silent', 'build']);
  setStamp('built', now);
}
