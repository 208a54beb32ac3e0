import { existsSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './lib.mjs';

/*
 * The compiler leaves what it made of a source that is gone. A module that has become a folder would go on being read
 * in its old form, since Node looks for the file first.
 */
for (const room of ['core', 'contract', 'server', 'demo', 'devices']) {
  const dist = join(root, room, 'dist');
  if (!existsSync(dist)) continue;
  for (const file of readdirSync(dist, { recursive: true })) {
    const source = /^(.*?)\.(?:d\.ts|js)(?:\.map)?$/.exec(file)?.[1];
    if (source !== undefined && !existsSync(join(root, room, 'src', `${source}.ts`))) rmSync(join(dist, file));
  }
}
