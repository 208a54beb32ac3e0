import { spawn } from 'node:child_process';
import { join } from 'node:path';
import type { APIRequestContext } from '@playwright/test';

export interface StandIn {
  /** Steers it: an animal comes with digits and weight, is missed, read twice, leaves; the cable comes out. */
  act(request: APIRequestContext, command: string, more?: object): Promise<unknown>;
  stop(): void;
}

/** What a server is told so that it listens to the stand-in at that port. */
export const listensTo = (port: number) => ({ DEVICES_URL: `ws://127.0.0.1:${port}` });

/** The stand-in for stick and crate, five times as hasty as an animal, at a port the server was told of. */
export async function aStandIn(port: number, bookUrl: string): Promise<StandIn> {
  const devices = spawn(process.execPath, [join(import.meta.dirname, '../devices/dist/main.js')], {
    env: { ...process.env, DEVICES_PORT: String(port), BOOK_URL: bookUrl, DEVICES_HASTE: '5' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise((resolve) => devices.stdout.once('data', resolve));
  return {
    act: (request, command, more = {}) => request.post(`http://127.0.0.1:${port}/do`, { data: { command, ...more } }),
    stop: () => void devices.kill(),
  };
}
