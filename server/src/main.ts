import 'reflect-metadata';
import { readConfig } from './config';
import { run } from './run';

/** Starts the server and prints where it is. */
async function start(): Promise<void> {
  const config = readConfig(process.env);
  let isFirst = true;
  await run(config, {
    opened(app) {
      if (!isFirst) return;
      isFirst = false;
      void app.getUrl().then((url) => process.stdout.write(`Yaylak is at ${url}, its book in ${config.dataDir}\n`));
    },
    ended: end,
  });
}

function end(error: unknown): void {
  const { code } = error as { code?: string };
  if (code === 'EADDRINUSE') {
    const port = process.env.PORT ?? '4870';
    process.stderr.write(
      `Port ${port} is in use. Yaylak may be running already: look at http://127.0.0.1:${port}. Otherwise choose another port, for example PORT=4880.\n`,
    );
  } else process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
}

start().catch(end);
