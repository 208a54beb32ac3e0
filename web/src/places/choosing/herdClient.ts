import type { HerdQuestion } from '@yaylak/core';
import { wrap, type Remote } from 'comlink';
import type { HerdAhead, HerdWorker } from './herdAhead';

let worker: Worker | undefined;
let remote: Remote<HerdWorker> | undefined;
let giveUp: (() => void) | undefined;

/** Looks five years ahead in the worker; what was asked before and is not answered is sent away. */
export async function lookAhead(question: HerdQuestion): Promise<HerdAhead | 'stopped'> {
  if (giveUp) stopLooking();
  worker ??= new Worker(new URL('./herd.worker.ts', import.meta.url), { type: 'module' });
  remote ??= wrap<HerdWorker>(worker);
  const stopped = new Promise<'stopped'>((resolve) => {
    giveUp = () => resolve('stopped');
  });
  const found = await Promise.race([remote.ahead(question), stopped]);
  if (found !== 'stopped') giveUp = undefined;
  return found;
}

export function stopLooking(): void {
  worker?.terminate();
  worker = undefined;
  remote = undefined;
  giveUp?.();
  giveUp = undefined;
}
