import { ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensureInstalled, run } from './lib.mjs';

/**
 * What the suite has no time for: 10,000 made-up requests and 200 kills. FUZZ_REQUESTS, FUZZ_SEED and FUZZ_KILLS change
 * them; counts by status and each breach, made as small as it can be, are printed.
 */
ensureInstalled();
const env = {
  FUZZ_REQUESTS: '10000',
  FUZZ_KILLS: '200',
  ...process.env,
  NODE_OPTIONS: `${process.env.NODE_OPTIONS ?? ''} --expose-gc`,
};
run('npx', ['jest', '--selectProjects', 'server', '--runInBand', '--forceExit', 'server/src/fuzz.test.ts'], { env });
ensureChromium();
ensureBuilt();
run('npx', ['playwright', 'test', '--config', 'e2e/playwright.config.ts', 'killed'], { env });
