import type { DeathCause } from '../births';
import type { Day } from '../calendar';

export interface LossOfCause {
  readonly on: Day;
  readonly cause: DeathCause | undefined;
}

/** Losses of one cause no further apart are of one outbreak; fewer than three are chance. Rules of thumb. */
export const CLUSTER_DAYS = 7;
export const CLUSTER_FROM = 3;

/** Losses of one known cause that follow on each other within a week, three and more; the latest outbreak first. */
export function lossClusters<T extends LossOfCause>(losses: readonly T[]): T[][] {
  const open = new Map<string, T[]>();
  const all: T[][] = [];
  for (const loss of [...losses].sort((a, b) => a.on - b.on)) {
    if (loss.cause === undefined || loss.cause === 'unknown') continue;
    const own = open.get(loss.cause);
    const last = own?.at(-1);
    if (own && last && loss.on - last.on <= CLUSTER_DAYS) own.push(loss);
    else {
      const begun = [loss];
      all.push(begun);
      open.set(loss.cause, begun);
    }
  }
  return all.filter((c) => c.length >= CLUSTER_FROM).sort((a, b) => (b.at(-1)?.on ?? 0) - (a.at(-1)?.on ?? 0));
}
