import { closeSync, openSync } from 'node:fs';
import { logStream } from './logStream';

it('a full disk under the log takes no line, and holds nothing up', async () => {
  const full = openSync('/dev/full', 'w');
  const stream = logStream(full);
  const from = performance.now();
  for (let i = 0; i < 20_000; i++) stream.write(`a line of the log, number ${i}, and some more of it\n`);
  expect(performance.now() - from).toBeLessThan(5_000);
  await new Promise((resolve) => setTimeout(resolve, 50));
  closeSync(full);
});
