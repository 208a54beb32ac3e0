import { wrap, type Remote } from 'comlink';
import { telling } from '../../adapters/telling';
import type { PlanAsked, PlanFound, Planner } from './planner';

let worker: Worker | undefined;
let remote: Remote<Planner> | undefined;

function planner(): Remote<Planner> {
  worker ??= new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' });
  remote ??= wrap<Planner>(worker);
  return remote;
}

let giveUp: (() => void) | undefined;

/** Makes a plan in the worker. */
export async function makePlan(asked: PlanAsked, onProgress: (share: number) => void): Promise<PlanFound | 'stopped'> {
  const stopped = new Promise<'stopped'>((resolve) => {
    giveUp = () => resolve('stopped');
  });
  return telling(onProgress, (tell) => Promise.race([planner().plan(asked, tell), stopped]));
}

/** Stops a plan at once: the worker is sent away, as long work does not hear. */
export function stopPlan(): void {
  worker?.terminate();
  worker = undefined;
  remote = undefined;
  giveUp?.();
}
