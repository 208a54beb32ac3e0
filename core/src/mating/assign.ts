/** Who may go to whom, and what it costs. */
export interface AssignmentQuestion {
  /** Cost of each female (row) with each male (column); Infinity where forbidden. Row by row. */
  readonly costs: Float64Array;
  readonly females: number;
  /** How many females each male takes. */
  readonly capacities: readonly number[];
  /** Called now and then with the share done, 0 to 1; true stops the work. */
  readonly onProgress?: (share: number) => boolean | void;
}

export type Assignment =
  | {
      readonly kind: 'assigned';
      /** The male of each female; -1 where none is left for her. */
      readonly maleOf: Int32Array;
      /** Sum over those that have one. */
      readonly cost: number;
    }
  | { readonly kind: 'stopped' };

export const NO_MALE = -1;
const PROGRESS_EVERY = 50;

/**
 * The cheapest way to give every female a male within the males' capacities: as many females as can be served, and
 * among those ways the least cost. Minimum-cost flow by successive shortest paths (Ahuja, Magnanti & Orlin 1993, 9.7):
 * each female is put in along the cheapest chain of exchanges among the males, which keeps the whole exact.
 * Cost females x (females x males + males^3); 1,000 females and 20 males are done in a blink.
 * @throws RangeError when the costs are not females x males, or a capacity is negative
 */
export function assign({ costs, females, capacities, onProgress }: AssignmentQuestion): Assignment {
  const males = capacities.length;
  if (costs.length !== females * males) throw new RangeError(`${costs.length} costs for ${females} x ${males}`);
  if (capacities.some((c) => !(c >= 0))) throw new RangeError('a capacity under zero');
  // A male nobody is denied, dearer than any exchange: who lands there has none. It makes every put-in possible, and
  // lets a later female with one choice push an earlier one with several.
  const worst = costs.reduce((m, c) => (Number.isFinite(c) ? Math.max(m, Math.abs(c)) : m), 1);
  const denied = 4 * worst * (males + 1);
  const none = males;
  const cost = (f: number, m: number): number => (m === none ? denied : (costs[f * males + m] as number));
  const room = [...capacities, females];
  const taken = Array.from({ length: males + 1 }, () => [] as number[]);
  const maleOf = new Int32Array(females).fill(NO_MALE);
  /** Of each male, kept until those he has change. */
  const exchangesOf: (Exchange[] | undefined)[] = [];

  for (let f = 0; f < females; f++) {
    if (f % PROGRESS_EVERY === 0 && onProgress?.(f / females) === true) return { kind: 'stopped' };
    const path = cheapestPath(f);
    // Along the path each male hands a female on to the next.
    for (let m = path.end; ;) {
      const { from, moved } = path.steps[m] as Step;
      if (from !== undefined) {
        taken[from] = (taken[from] as number[]).filter((x) => x !== moved);
        exchangesOf[from] = undefined;
      }
      (taken[m] as number[]).push(moved);
      exchangesOf[m] = undefined;
      maleOf[moved] = m;
      if (from === undefined) break;
      m = from;
    }
  }
  let sum = 0;
  for (let f = 0; f < females; f++) {
    if (maleOf[f] === none) maleOf[f] = NO_MALE;
    else sum += cost(f, maleOf[f] as number);
  }
  return { kind: 'assigned', maleOf, cost: sum };

  /** Bellman and Ford over the males: to take her a full male hands on the one it costs least to move. */
  function cheapestPath(f: number): { readonly end: number; readonly steps: readonly (Step | undefined)[] } {
    const count = males + 1;
    const distance = Array.from({ length: count }, (_, m) => cost(f, m));
    const steps: (Step | undefined)[] = distance.map((d) =>
      Number.isFinite(d) ? { from: undefined, moved: f } : undefined,
    );
    for (let round = 0, isMoved = true; isMoved && round < count; round++) {
      isMoved = false;
      for (let a = 0; a < count; a++) {
        if (!Number.isFinite(distance[a] as number) || (taken[a] as number[]).length < (room[a] as number)) continue;
        const exchanges = (exchangesOf[a] ??= exchangesFrom(a));
        for (const [b, by] of exchanges.entries()) {
          if (by.moved < 0) continue;
          const through = (distance[a] as number) + by.cost;
          if (through < (distance[b] as number) - 1e-12) {
            distance[b] = through;
            steps[b] = { from: a, moved: by.moved };
            isMoved = true;
          }
        }
      }
    }
    let end = none;
    for (let m = 0; m < count; m++)
      if ((taken[m] as number[]).length < (room[m] as number) && (distance[m] as number) < (distance[end] as number))
        end = m;
    return { end, steps };
  }

  /** Which of a male's females it costs least to hand to each other male. */
  function exchangesFrom(a: number): Exchange[] {
    const best = Array.from({ length: males + 1 }, () => ({ cost: Infinity, moved: -1 }));
    for (const moved of taken[a] as number[])
      for (let b = 0; b <= males; b++) {
        const extra = cost(moved, b) - cost(moved, a);
        if (b !== a && extra < (best[b] as Exchange).cost) best[b] = { cost: extra, moved };
      }
    return best;
  }
}

interface Exchange {
  readonly cost: number;
  /** The female moved; -1 where none can be. */
  readonly moved: number;
}

interface Step {
  /** The male that hands one on; undefined where the new female comes in. */
  readonly from: number | undefined;
  readonly moved: number;
}

/** Subsets of the males are all tried up to so many males; above, males are dropped one by one. */
const MOST_TRIED = 12;

/**
 * The fewest males that can serve as many females as all of them together, as a mask over the males; among the
 * equally few the cheapest. Exact up to 12 males; above, the male whose loss costs least is dropped while none is
 * missed.
 */
export function fewestMales(question: AssignmentQuestion): boolean[] {
  const all = question.capacities.map(() => true);
  const served = (mask: readonly boolean[]): { readonly count: number; readonly cost: number } => {
    const capacities = question.capacities.map((c, m) => (mask[m] ? c : 0));
    const found = assign({ costs: question.costs, females: question.females, capacities });
    if (found.kind === 'stopped') throw new Error('nobody stops this one');
    return { count: found.maleOf.reduce((n, m) => n + Number(m !== NO_MALE), 0), cost: found.cost };
  };
  const { count } = served(all);
  if (all.length <= MOST_TRIED) {
    for (let size = 0; size < all.length; size++) {
      const fitting = subsets(all.length, size)
        .filter((mask) => question.capacities.reduce((sum, c, m) => sum + (mask[m] ? c : 0), 0) >= count)
        .flatMap((mask) => {
          const s = served(mask);
          return s.count === count ? [{ mask, cost: s.cost }] : [];
        });
      const [best] = fitting.sort((a, b) => a.cost - b.cost);
      if (best) return best.mask;
    }
    return all;
  }
  let mask = all;
  for (;;) {
    const lesser = mask.flatMap((isIn, m) => {
      if (!isIn) return [];
      const without = mask.map((v, i) => v && i !== m);
      const s = served(without);
      return s.count === count ? [{ mask: without, cost: s.cost }] : [];
    });
    const [best] = lesser.sort((a, b) => a.cost - b.cost);
    if (!best) return mask;
    mask = best.mask;
  }
}

function subsets(of: number, size: number): boolean[][] {
  if (size === 0) return [new Array<boolean>(of).fill(false)];
  if (of < size) return [];
  return [...subsets(of - 1, size - 1).map((s) => [true, ...s]), ...subsets(of - 1, size).map((s) => [false, ...s])];
}
