import { mkdirSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { root } from './lib.mjs';

/** Makes the demo holding in an empty data folder, through the same door as any book file. */
export async function makeDemo(dataDir) {
  const require = createRequire(join(root, 'server/dist/index.js'));
  require('reflect-metadata');
  const { readConfig, openBook, createApp, bookChunks, BookFileService, BookService, Clock } = require(
    join(root, 'server/dist/index.js'),
  );
  const { makeDemoBook } = require(join(root, 'demo/dist/index.js'));
  mkdirSync(dataDir, { recursive: true });
  const config = readConfig({ ...process.env, DATA_DIR: dataDir });
  const orm = await openBook(config);
  const app = await createApp(config, orm);
  await app.init();
  try {
    if (app.get(BookService).state.animals.size > 0) return undefined;
    return await app.get(BookFileService).import({ chunks: bookChunks(makeDemoBook(app.get(Clock).today())) });
  } finally {
    await app.close();
  }
}
