import { createServer, type AddressInfo } from 'node:net';

/** A port nothing listens on, so that journeys beside each other never meet. */
export const freePort = (): Promise<number> =>
  new Promise((resolve, reject) => {
    const asked = createServer();
    asked.once('error', reject);
    asked.listen(0, '127.0.0.1', () => {
      const { port } = asked.address() as AddressInfo;
      asked.close(() => resolve(port));
    });
  });
