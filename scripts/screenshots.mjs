import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuilt, ensureInstalled, root } from './lib.mjs';

/** Rewrites docs/screenshots from a fresh demo. `--to DIR` puts them elsewhere, `--only NAME` takes one. */
ensureInstalled();
ensureBuilt();
const option = (name) => (process.argv.includes(name) ? process.argv[process.argv.indexOf(name) + 1] : undefined);
const to = option('--to') ?? join(root, 'docs', 'screenshots');
const only = option('--only');
const { chromium } = await import('@playwright/test');
const { makeDemo } = await import('./makeDemo.mjs');
const { chromiumOptions } = await import('./chromium.mjs');
const { views, moreViews } = await import('./views.mjs');
const wanted = process.argv.includes('--more') ? [...views, ...moreViews] : views;

const dataDir = mkdtempSync(join(tmpdir(), 'yaylak-screens-'));
await makeDemo(dataDir);
const port = 4879;
const url = `http://127.0.0.1:${port}`;
const server = spawn(process.execPath, [join(root, 'server/dist/main.js')], {
  env: { ...process.env, DATA_DIR: dataDir, PORT: String(port) },
  stdio: ['ignore', 'pipe', 'inherit'],
});
await new Promise((resolve) => server.stdout.once('data', resolve));
const browser = await chromium.launch(chromiumOptions);
try {
  mkdirSync(to, { recursive: true });
  for (const view of wanted.filter((v) => !only || v.name === only)) {
    const context = await browser.newContext({
      viewport: view.size ?? { width: 1280, height: 800 },
      serviceWorkers: 'block',
      reducedMotion: 'reduce',
    });
    const page = await context.newPage();
    page.on('pageerror', (error) => console.error(`${view.name}: ${error.message}`));
    page.on('console', (m) => m.type() === 'error' && console.error(`${view.name}: ${m.text()}`));
    await view.open(page, url);
    // What is on its way is awaited, then what is drawn after it.
    await page.waitForFunction(() => document.querySelector('h1') && !document.querySelector('[aria-busy=true]'));
    await page.waitForTimeout(500);
    await page.screenshot({ path: join(to, `${view.name}.png`) });
    console.log(`${view.name}.png`);
    await context.close();
  }
} finally {
  await browser.close();
  server.kill('SIGTERM');
  rmSync(dataDir, { recursive: true, force: true });
}
