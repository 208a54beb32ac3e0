import { request } from 'node:https';

/** What a device of the house asks, over an encrypted line. */
export interface Asked {
  readonly method?: string;
  readonly body?: object;
  readonly headers?: Readonly<Record<string, string>>;
}
export interface Answered {
  readonly status: number;
  readonly headers: Readonly<Record<string, string | string[] | undefined>>;
  readonly text: string;
}

/**
 * Asks by the name this computer has in the house, as a tablet does, and trusts one authority only.
 * @throws Error what the line says: the certificate is another's, or not good for that name
 */
export const overTls =
  (address: string, ca: string) =>
  (path: string, { method = 'GET', body, headers = {} }: Asked = {}): Promise<Answered> =>
    new Promise((resolve, reject) => {
      const { hostname, port, host } = new URL(address);
      const sent = body === undefined ? undefined : JSON.stringify(body);
      const asking = request(
        {
          host: '127.0.0.1',
          port,
          servername: hostname,
          ca,
          method,
          path,
          headers: { host, ...(sent === undefined ? {} : { 'content-type': 'application/json' }), ...headers },
        },
        (response) => {
          const pieces: Buffer[] = [];
          response.on('data', (piece: Buffer) => pieces.push(piece));
          response.on('end', () =>
            resolve({
              status: response.statusCode ?? 0,
              headers: response.headers,
              text: Buffer.concat(pieces).toString(),
            }),
          );
        },
      );
      asking.on('error', reject);
      asking.end(sent);
    });
