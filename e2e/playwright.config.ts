import { defineConfig } from '@playwright/test';
import { chromiumOptions } from '../scripts/chromium.mjs';

/** Journeys through the built application with the demo data. */
export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  // Two at a time, one file each: most of a journey is waiting, and each has a server and a port of its own.
  workers: 2,
  timeout: 180_000,
  // A machine that is shared can be three times slower than a laptop; what is awaited comes, or it does not.
  expect: { timeout: 30_000 },
  reporter: process.env.JOURNEYS_JSON ? [['list'], ['json', { outputFile: process.env.JOURNEYS_JSON }]] : [['list']],
  globalSetup: './demoOnce.ts',
  use: {
    browserName: 'chromium',
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'allow',
    launchOptions: chromiumOptions,
    reducedMotion: 'reduce',
  },
});
