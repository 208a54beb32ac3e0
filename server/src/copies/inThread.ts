import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import type { COPY_WORK } from './copyWork';

const WORKER = join(__dirname, 'copyWorker.js');

type Work = typeof COPY_WORK;

/**
 * Does a piece of work in a thread of its own, which alone reads what encrypts; where only the source stands, as in unit
 * tests, in place.
 * @throws Error what the work threw, or that its thread has ended
 */
export async function inThread<K extends keyof Work, Done = Awaited<ReturnType<Work[K]>>>(
  what: K,
  order: Parameters<Work[K]>[0],
): Promise<Done> {
  if (!existsSync(WORKER)) {
    const { COPY_WORK: work } = await import('./copyWork');
    return (await work[what](order as never)) as Done;
  }
  return new Promise((resolve, reject) => {
    const worker = new Worker(WORKER, { workerData: { what, order } });
    worker.once('message', resolve);
    worker.once('error', reject);
    worker.once('exit', () => reject(new Error('the thread that copies the book has ended')));
  });
}
