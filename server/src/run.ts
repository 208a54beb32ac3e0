import type { RequestListener, Server } from 'node:http';
import type { MikroORM } from '@mikro-orm/libsql';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { Reopening, type ClosedWork } from './common/reopening';
import type { ServerConfig } from './config';
import { createApp } from './createApp';
import { openBook } from './database/openBook';
import { HouseDoors } from './household/houseDoors';

const KEEP_ALIVE_MS = 65_000;

/** Who runs the application hears of it. */
export interface Hearer {
  /** It listens, for the first time or anew. */
  opened(app: NestExpressApplication): void;
  /** It closed to be opened anew, and could not be. */
  ended(error: Error): void;
}

/**
 * Opens the book and serves it, and does so again whenever the application asks to be opened anew.
 * @throws Error in words when the book cannot be opened
 */
export const run = async (config: ServerConfig, hearer: Hearer): Promise<void> =>
  serve(config, hearer, await openBook(config), null);

async function serve(config: ServerConfig, hearer: Hearer, orm: MikroORM, last: Reopening['last']): Promise<void> {
  const app = await createApp(config, orm);
  const reopening = app.get(Reopening);
  reopening.last = last;
  reopening.by = (closed) => {
    // Once: the next one asks the application that is opened then.
    reopening.by = undefined;
    // The answer to who asked goes out first: closing waits for it.
    setImmediate(() => void openAnew(config, hearer, app, closed).catch((error: Error) => hearer.ended(error)));
  };
  await app.listen(config.port, config.host);
  // A browser that asks again within the minute finds its connection open, and not closed under its request.
  (app.getHttpServer() as Server).keepAliveTimeout = KEEP_ALIVE_MS;
  await app.get(HouseDoors).open(app.getHttpAdapter().getInstance() as RequestListener);
  hearer.opened(app);
}

async function openAnew(
  config: ServerConfig,
  hearer: Hearer,
  app: NestExpressApplication,
  { id, work }: ClosedWork,
): Promise<void> {
  await app.close();
  const opened = async (): Promise<MikroORM> => {
    const undo = work();
    try {
      return await openBook(config);
    } catch (error) {
      undo();
      throw error;
    }
  };
  let failed: string | null = null;
  const orm = await opened().catch((error: Error) => {
    // Whatever it was, the book as it was before is there, and is served.
    failed = error.message;
    return openBook(config);
  });
  await serve(config, hearer, orm, { id, failed });
}
