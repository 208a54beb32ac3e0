import { defineConfig } from '@playwright/test';
import { chromiumOptions } from '../scripts/chromium.mjs';

/** Journeys through the built application with the demo data, one at a time. */
export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  workers: 1,
  timeout: 120_000,
  expect: { timeout: 10_000 },
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
