import { parentPort, workerData } from 'node:worker_threads';
import { COPY_WORK } from './copyWork';

const { what, order } = workerData as { readonly what: keyof typeof COPY_WORK; readonly order: never };
void (async () => parentPort?.postMessage(await COPY_WORK[what](order)))();
