import { execFileSync } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { chromium, type BrowserContext } from '@playwright/test';
import { chromiumOptions } from '../scripts/chromium.mjs';

/**
 * A tablet in the same network that has taken in the certificate of the book's authority.
 * @param profile folder of what it keeps, empty for a new one
 */
export async function aTablet(dataDir: string, profile: string): Promise<BrowserContext> {
  const known = join(profile, '.pki', 'nssdb');
  mkdirSync(known, { recursive: true });
  const certutil = (...args: string[]) => execFileSync('certutil', ['-d', `sql:${known}`, ...args]);
  certutil('-N', '--empty-password');
  certutil('-A', '-t', 'C,,', '-n', 'Yaylak', '-i', join(dataDir, 'household', 'authority.pem'));
  return chromium.launchPersistentContext(join(profile, 'browser'), {
    ...chromiumOptions,
    args: [...chromiumOptions.args, '--host-resolver-rules=MAP *.local 127.0.0.1'],
    env: { ...process.env, HOME: profile },
    headless: true,
    viewport: { width: 1024, height: 768 },
    reducedMotion: 'reduce',
  });
}
