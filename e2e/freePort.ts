import { createServer } from 'node:net';

/** Below the ports a machine lends to who asks for any: nobody else is given one of these meanwhile. */
const FIRST = 20_000;
const EACH = 20;
/** Ports of this worker, always in the same order. */
const ours = Array.from({ length: EACH }, (_, i) => FIRST + (process.pid % 600) * EACH + i);
const inUse = new Set<number>();

/**
 * A port nothing listens on, so that journeys beside each other never meet. One that was given back is given out first:
 * what the browser keeps of an address, above all the scripts it has read, then serves the next journey too.
 */
export async function freePort(): Promise<number> {
  for (const port of ours) {
    if (inUse.has(port)) continue;
    inUse.add(port);
    if (await isFree(port)) return port;
  }
  throw new Error(`no port is free from ${ours[0]} to ${ours.at(-1)}`);
}

/** Nothing listens there any more. */
export const giveBack = (port: number): void => void inUse.delete(port);

const isFree = (port: number): Promise<boolean> =>
  new Promise((resolve) => {
    const asked = createServer();
    asked.once('error', () => resolve(false));
    asked.listen(port, '127.0.0.1', () => asked.close(() => resolve(true)));
  });
