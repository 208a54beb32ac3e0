import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensureInstalled, root } from './lib.mjs';

/** Lint, types, units and journeys; ends with one line that counts the tests. */
ensureInstalled();
ensureChromium();
const cache = join(root, '.cache');
mkdirSync(cache, { recursive: true });

function step(name, command, args, env = {}) {
  const from = Date.now();
  console.log(`\n${name} ...`);
  const done = spawnSync(command, args, {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  });
  console.log(`${name}: ${done.status === 0 ? 'good' : 'FAILED'} (${Math.round((Date.now() - from) / 1000)} s)`);
  return done.status === 0;
}

/** A step that runs beside another; what it says is shown when it is over, so that the two do not mix. */
function stepBeside(name, command, args) {
  const from = Date.now();
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
    const said = [];
    child.stdout.on('data', (piece) => said.push(piece));
    child.stderr.on('data', (piece) => said.push(piece));
    child.on('close', (code) => {
      process.stdout.write(`\n${Buffer.concat(said).toString()}`);
      console.log(`${name}: ${code === 0 ? 'good' : 'FAILED'} (${Math.round((Date.now() - from) / 1000)} s)`);
      resolve(code === 0);
    });
  });
}

console.log('\nLint and format, and types beside it ...');
const results = await Promise.all([
  stepBeside('Lint and format', 'npm', ['run', '--silent', 'lint']),
  stepBeside('Types', 'npm', ['run', '--silent', 'types']),
]);
const unitsFile = join(cache, 'units.json');
results.push(step('Units', 'npx', ['jest', '--silent', '--forceExit', '--json', `--outputFile=${unitsFile}`]));
ensureBuilt();
const journeysFile = join(cache, 'journeys.json');
results.push(
  step('Journeys', 'npx', ['playwright', 'test', '--config', 'e2e/playwright.config.ts'], {
    JOURNEYS_JSON: journeysFile,
  }),
);

const units = JSON.parse(readFileSync(unitsFile, 'utf8'));
const journeys = JSON.parse(readFileSync(journeysFile, 'utf8')).stats;
const passed = units.numPassedTests + journeys.expected;
const failed =
  units.numFailedTests +
  units.numRuntimeErrorTestSuites +
  journeys.unexpected +
  journeys.flaky +
  results.filter((r) => !r).length;
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 && results.every(Boolean) ? 0 : 1);
