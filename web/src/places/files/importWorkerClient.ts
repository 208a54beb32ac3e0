import { wrap, type Remote } from 'comlink';
import type { ImportWorker } from './import.worker';

let remote: Remote<ImportWorker> | undefined;

/** The worker that reads files; started when the first file is chosen. */
export function importWorker(): Remote<ImportWorker> {
  remote ??= wrap<ImportWorker>(new Worker(new URL('./import.worker.ts', import.meta.url), { type: 'module' }));
  return remote;
}
