import { assign, fewestMales, NO_MALE } from '@yaylak/core';

/** What a plan is made from; plain arrays, as it goes to a worker. */
export interface PlanAsked {
  readonly females: number;
  readonly males: number;
  /** Expected inbreeding, a row a female. */
  readonly inbreeding: readonly number[];
  /** Pairs that are not put together, and pairs locked out by another lock. */
  readonly forbidden: readonly boolean[];
  /** What each male's young are worth over the others, as a share. */
  readonly merit: readonly number[];
  readonly capacities: readonly number[];
  /** How much kinship weighs beside merit, 0 to 1. */
  readonly kinshipWeight: number;
  /** The male a female is locked to; -1 for none. */
  readonly locked: readonly number[];
  readonly isFewest: boolean;
}

export interface PlanFound {
  /** The male of each female; -1 for none. */
  readonly maleOf: readonly number[];
}

/** A tenth more growth is worth as much as a tenth less inbreeding, at equal weights. */
const cost = (asked: PlanAsked, female: number, male: number): number =>
  asked.kinshipWeight * (asked.inbreeding[female * asked.males + male] ?? 0) -
  (1 - asked.kinshipWeight) * (asked.merit[male] ?? 0);

/** The table of costs: infinite where a pair is forbidden, or the female is locked to another. A lock overrules a no. */
export function costsOf(asked: PlanAsked): Float64Array {
  const costs = new Float64Array(asked.females * asked.males);
  for (let f = 0; f < asked.females; f++)
    for (let m = 0; m < asked.males; m++) {
      const lock = asked.locked[f] ?? NO_MALE;
      const isOut = lock === NO_MALE ? asked.forbidden[f * asked.males + m] : lock !== m;
      costs[f * asked.males + m] = isOut ? Infinity : cost(asked, f, m);
    }
  return costs;
}

/** Makes the plan, and can be stopped between females. */
export function createPlanner() {
  let isStopped = false;
  return {
    stop(): void {
      isStopped = true;
    },
    async plan(asked: PlanAsked, onProgress: (share: number) => void): Promise<PlanFound | 'stopped'> {
      isStopped = false;
      const costs = costsOf(asked);
      const question = { costs, females: asked.females, capacities: asked.capacities };
      // A word from the page is only heard between two pieces of work.
      const breathe = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));
      onProgress(0);
      await breathe();
      if (isStopped) return 'stopped';
      const mask = asked.isFewest ? fewestMales(question) : asked.capacities.map(() => true);
      onProgress(asked.isFewest ? 0.5 : 0.1);
      await breathe();
      if (isStopped) return 'stopped';
      const found = assign({
        ...question,
        capacities: asked.capacities.map((c, m) => (mask[m] ? c : 0)),
        onProgress: (share) => {
          onProgress(asked.isFewest ? 0.5 + share / 2 : share);
          return isStopped;
        },
      });
      return found.kind === 'stopped' ? 'stopped' : { maleOf: [...found.maleOf] };
    },
  };
}
export type Planner = ReturnType<typeof createPlanner>;
