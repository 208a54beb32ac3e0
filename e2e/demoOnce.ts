import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { makeDemo } from '../scripts/makeDemo.mjs';

/** Makes the demo once; each journey works on a copy of its own. */
export default async function demoOnce(): Promise<void> {
  const dataDir = mkdtempSync(join(tmpdir(), 'yaylak-journeys-'));
  await makeDemo(dataDir);
  process.env.YAYLAK_DEMO_DIR = dataDir;
}
