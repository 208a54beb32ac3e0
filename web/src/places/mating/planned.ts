import type { PairingView } from '@yaylak/contract';

/** The pairs a plan for today is made of: without those in young, held back, or with a heat to go by. */
export function withoutWaiting(view: PairingView): PairingView {
  const n = view.males.length;
  const kept = view.females.flatMap((f, row) => (f.waits.length === 0 ? [row] : []));
  const rows = <T>(all: readonly T[]): T[] => kept.flatMap((row) => all.slice(row * n, (row + 1) * n));
  return {
    ...view,
    females: kept.flatMap((row) => view.females[row] ?? []),
    inbreeding: rows(view.inbreeding),
    refusals: rows(view.refusals),
    present: kept.map((row) => view.present[row] ?? []),
  };
}
