import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import { ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensureInstalled, root } from './lib.mjs';

/** Lint, types, units and journeys; ends with one line that counts the tests. */
ensureInstalled();
ensureChromium();
const cache = join(root, '.cache');
mkdirSync(cache, { recursive: true });

/** Books of the tests are written in memory where there is such a folder: each waits for its disk at every commit. */
const TMPDIR = existsSync('/dev/shm') ? '/dev/shm' : tmpdir();

/** One part of the run; what it says is shown when it is over, so that parts beside each other do not mix. */
function step(name, command, args, env = {}) {
  const from = Date.now();
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd: root,
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, TMPDIR, ...env },
    });
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
const npm = (name, script) => step(name, 'npm', ['run', '--silent', script]);
const unitsFile = join(cache, 'units.json');
const journeysIn = (file) => join(cache, file);
/** Journeys that walk at an animal's pace and leave the cores to others. */
const SLOW = ['devices'];
const journeys = (name, file, which) =>
  step(name, 'npx', ['playwright', 'test', '--config', 'e2e/playwright.config.ts', ...which], {
    JOURNEYS_JSON: journeysIn(file),
    JOURNEYS_OUT: `test-results/${file}`,
  });

// Two lanes for two cores: the types make what the browser is shown as they are looked at.
console.log('\nLint, format, types and build ...');
const results = await Promise.all([
  (async () => (await npm('Lint', 'lint:code')) && (await npm('Format', 'lint:format')))(),
  (async () => {
    const good = await npm('Types', 'types');
    ensureBuilt();
    return good && (await npm('Imports', 'lint:imports'));
  })(),
]);
console.log('\nUnits, and beside them the journeys that mostly wait ...');
results.push(
  ...(await Promise.all([
    step('Units', 'npx', ['jest', '--silent', '--forceExit', '--json', `--outputFile=${unitsFile}`], { PACKED: '1' }),
    journeys('Journeys at walking pace', 'journeys-slow.json', SLOW),
  ])),
);
console.log('\nJourneys ...');
const others = readdirSync(join(root, 'e2e')).filter((f) => f.endsWith('.spec.ts') && !SLOW.includes(f.split('.')[0]));
results.push(await journeys('Journeys', 'journeys.json', others));

const units = JSON.parse(readFileSync(unitsFile, 'utf8'));
const journeysRun = ['journeys-slow.json', 'journeys.json'].map((f) => JSON.parse(readFileSync(journeysIn(f), 'utf8')));
const walked = journeysRun.map((run) => run.stats);
const sum = (of) => walked.reduce((total, stats) => total + of(stats), 0);
const passed = units.numPassedTests + sum((s) => s.expected + s.flaky);
const failed =
  units.numFailedTests + units.numRuntimeErrorTestSuites + sum((s) => s.unexpected) + results.filter((r) => !r).length;

/** What failed, by name and with what it said: what comes before this is long, and may be cut where it is read. */
const ofUnits = units.testResults.flatMap(({ name, message, assertionResults }) => {
  const bad = assertionResults.filter((a) => a.status === 'failed');
  const file = relative(root, name);
  if (bad.length === 0) return message ? [`${file}: ${message}`] : [];
  return bad.map((a) => `${file}: ${a.fullName}\n${a.failureMessages.join('\n')}`);
});
const specsIn = ({ suites = [], specs = [] }) => [...specs, ...suites.flatMap(specsIn)];
const saidBy = (specs) =>
  specs.map(({ file, title, tests }) => {
    const said = tests.flatMap((t) => t.results).flatMap((r) => r.errors ?? []);
    return `e2e/${file}: ${title}\n${said.map((e) => e.message ?? '').join('\n')}`;
  });
const specs = journeysRun.flatMap(specsIn);
const ofJourneys = saidBy(specs.filter((spec) => !spec.ok));
/** Went well only when it was walked again: a fault of the journey, or one of the application that seldom shows. */
const second = saidBy(specs.filter((spec) => spec.ok && spec.tests.some((t) => t.status === 'flaky')));
const tell = (word, all) => {
  for (const what of all) console.log(`\n${word}: ${what.slice(0, 2500)}`);
};
tell('Passed the second time', second);
tell('Failed', [...ofUnits, ...ofJourneys]);
const firstLine = (what) => what.split('\n')[0];
for (const what of second) console.log(`\nPassed the second time: ${firstLine(what)}`);
for (const what of [...ofUnits, ...ofJourneys]) console.log(`\nFailed: ${firstLine(what)}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 && results.every(Boolean) ? 0 : 1);
