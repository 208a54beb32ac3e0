import { wrap, type Remote } from 'comlink';
import { telling } from '../../adapters/telling';
import type { CurveAsked, CurveFound, CurveWorker } from './together';

let worker: Worker | undefined;
let remote: Remote<CurveWorker> | undefined;
let giveUp: (() => void) | undefined;

/** Works a curve in the worker; one asked for before is sent away. */
export async function workCurve(
  asked: CurveAsked,
  onProgress: (share: number) => void,
): Promise<CurveFound | 'stopped'> {
  if (giveUp) stopCurve();
  worker ??= new Worker(new URL('./together.worker.ts', import.meta.url), { type: 'module' });
  remote ??= wrap<CurveWorker>(worker);
  const stopped = new Promise<'stopped'>((resolve) => {
    giveUp = () => resolve('stopped');
  });
  const curve = remote.curve;
  const found = await telling(onProgress, (tell) => Promise.race([curve(asked, tell), stopped]));
  if (found !== 'stopped') giveUp = undefined;
  return found;
}

/** Stops a curve at once: the worker is sent away, as long work does not hear. */
export function stopCurve(): void {
  worker?.terminate();
  worker = undefined;
  remote = undefined;
  giveUp?.();
  giveUp = undefined;
}
