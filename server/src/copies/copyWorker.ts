import { parentPort, workerData } from 'node:worker_threads';
import { workCopy, type CopyOrder } from './copyWork';

parentPort?.postMessage(workCopy(workerData as CopyOrder));
