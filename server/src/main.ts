import 'reflect-metadata';
import { readConfig } from './config';
import { HouseholdService } from './household/household.service';
import { run } from './run';

/** Starts the server and prints where it is. */
async function start(): Promise<void> {
  const config = readConfig(process.env);
  let isFirst = true;
  await run(config, {
    opened(app) {
      if (!isFirst) return;
      isFirst = false;
      const { door } = app.get(HouseholdService);
      const house = door
        ? `It is open to the house at ${door.openAt.join(' and ')}. Let a device in under Holding, Tablets and phones.\n`
        : '';
      void app
        .getUrl()
        .then((url) => process.stdout.write(`Yaylak is at ${url}, its book in ${config.dataDir}\n${house}`));
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
