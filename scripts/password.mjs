import { createRequire } from 'node:module';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { dataDirOf, ensureBuilt, ensureInstalled, root } from './lib.mjs';

/** Gives somebody of the household a new password: on the computer with the book, while Yaylak runs or not. */
if (!existsSync(join(root, 'server/dist/household/resetPassword.js'))) {
  ensureInstalled();
  ensureBuilt();
}
const require = createRequire(import.meta.url);
const { resetPassword } = require(join(root, 'server/dist/household/resetPassword.js'));

try {
  const { name, password } = await resetPassword(join(dataDirOf('own'), 'household'), process.argv.slice(2).join(' '));
  console.log(`${name} logs in with ${password} from now on, and can choose another under Holding, People.`);
} catch (error) {
  console.error(error.message);
  process.exit(1);
}
