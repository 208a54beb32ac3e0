import 'reflect-metadata';
import type { Server } from 'node:http';
import { createApp } from './createApp';
import { readConfig } from './config';
import { openBook } from './database/openBook';

const KEEP_ALIVE_MS = 65_000;

/** Starts the server and prints where it is. */
async function start(): Promise<void> {
  const config = readConfig(process.env);
  const orm = await openBook(config);
  const app = await createApp(config, orm);
  await app.listen(config.port, config.host);
  // A browser that asks again within the minute finds its connection open, and not closed under its request.
  (app.getHttpServer() as Server).keepAliveTimeout = KEEP_ALIVE_MS;
  process.stdout.write(`Yaylak is at ${await app.getUrl()}, its book in ${config.dataDir}\n`);
}

start().catch((error: unknown) => {
  const { code } = error as { code?: string };
  if (code === 'EADDRINUSE') {
    const port = process.env.PORT ?? '4870';
    process.stderr.write(
      `Port ${port} is in use. Yaylak may be running already: look at http://127.0.0.1:${port}. Otherwise choose another port, for example PORT=4880.\n`,
    );
    process.exit(1);
  }
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
});
