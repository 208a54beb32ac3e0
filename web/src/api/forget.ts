import type { QueryClient } from '@tanstack/react-query';
import { del } from 'idb-keyval';

/** Where what was read of the server is kept on the device. */
export const READ_HERE = 'yaylak-read';

/** Takes everything that was read off this device: it was for who read it. What was written and waits stays. */
export async function forgetRead(client: QueryClient): Promise<void> {
  client.clear();
  await del(READ_HERE);
}
