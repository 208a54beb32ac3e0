import 'reflect-metadata';
import { createApp } from './createApp';
import { readConfig } from './config';
import { openBook } from './database/openBook';

/** Starts the server and prints where it is. */
async function start(): Promise<void> {
  const config = readConfig(process.env);
  const orm = await openBook(config);
  const app = await createApp(config, orm);
  await app.listen(config.port, config.host);
  process.stdout.write(`Yaylak is at ${await app.getUrl()}\n`);
}

start().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
});
