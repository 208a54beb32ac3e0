import { defineConfig } from '@playwright/test';
import { chromiumOptions } from '../scripts/chromium.mjs';
import { WINDOW } from './journey';

/** Journeys that go on for a minute or two begin first, those of a few seconds each come last and fill what is left. */
const LONG = ['yard', 'births', 'choosing', 'offline', 'first', 'doe', 'sold'];
const FILLING = ['access', 'sheets'];
const specs = (names: readonly string[]): string[] => names.map((name) => `${name}.spec.ts`);

/** Journeys through the built application with the demo data. */
export default defineConfig({
  testDir: '.',
  projects: [
    { name: 'long', testMatch: specs(LONG) },
    { name: 'others', testMatch: '*.spec.ts', testIgnore: specs([...LONG, ...FILLING]) },
    { name: 'filling', testMatch: specs(FILLING) },
  ],
  // Three at a time on two cores, one file each: much of a journey is waiting, and each has a server and a port of its own.
  workers: Number(process.env.JW ?? 3),
  timeout: 400_000,
  // A machine that is shared can be many times slower than a laptop; what is awaited comes, or it does not.
  expect: { timeout: 60_000 },
  // Walked again by itself, in a window and with a server of its own: what then goes well is named at the end of the run
  // all the same, and is looked into.
  retries: 1,
  reporter: process.env.JOURNEYS_JSON ? [['list'], ['json', { outputFile: process.env.JOURNEYS_JSON }]] : [['list']],
  // Two runs at once keep out of each other's folder.
  outputDir: process.env.JOURNEYS_OUT ?? 'test-results',
  globalSetup: './demoOnce.ts',
  use: {
    browserName: 'chromium',
    // Who tests days without a network lets the application be put aside for them.
    ...WINDOW,
    // What does not come is said where it was waited for, not at the end of the test's time.
    actionTimeout: 60_000,
    navigationTimeout: 120_000,
    launchOptions: chromiumOptions,
  },
});
