/** An outlet as a column of the split. */
export interface SplitOutlet {
  readonly id: string;
  /** PaidSale once where any go there. */
  readonly tripMinor: number;
  /** Heads it takes at least, once any go, and at most. */
  readonly least: number;
  readonly most?: number | undefined;
}

/** A head with what it brings in each column, trip cost left out. */
export interface SplitHead {
  readonly id: string;
  /** By the outlets' order; undefined where it may not go there. */
  readonly values: readonly (number | undefined)[];
  /** Its best later day; undefined where it may not stay. */
  readonly stays: number | undefined;
}

/** A head at an outlet, before the pen is split. */
export interface HeadOffered {
  readonly minor: number | undefined;
  /** It lies in what the outlet wants today. */
  readonly isWanted: boolean;
}

/**
 * Where a head may go in the split: to those that want it as it is, for another may turn it down, or not pay what it
 * says. One that may neither go there nor stay may go wherever it has a price.
 * @param asksAll those outside what an outlet wants are counted as taken too: somebody asks first
 */
export function openValues(
  at: readonly HeadOffered[],
  stays: number | undefined,
  asksAll: boolean,
): (number | undefined)[] {
  const wanted = at.map(({ minor, isWanted }) => (isWanted ? minor : undefined));
  const isStuck = stays === undefined && wanted.every((minor) => minor === undefined);
  return asksAll || isStuck ? at.map(({ minor }) => minor) : wanted;
}

export interface Split {
  readonly totalMinor: number;
  /** By head, in their order: the outlet's place in the list, or `stays`. */
  readonly columns: readonly (number | 'stays')[];
  readonly used: readonly number[];
}
export interface OutletAlone {
  readonly outlet: number;
  readonly totalMinor: number;
  /** What sending all there loses against the split. */
  readonly losesMinor: number;
}
export type PenSplit =
  | { readonly kind: 'split'; readonly best: Split; /** Best first. */ readonly alone: readonly OutletAlone[] }
  /** Heads that may go nowhere, by id; none where only the outlets' room is short. */
  | { readonly kind: 'no-split'; readonly headIds: readonly string[] };

/** A split as somebody made it by hand: what it brings, and the loads an outlet would not take. */
export interface SplitByHand {
  readonly totalMinor: number;
  readonly broken: readonly { readonly outlet: number; readonly heads: number; readonly isOver: boolean }[];
}

/** What a pen brings when each head goes where it is sent; a head sent where it may not go brings nothing. */
export function splitByHand(
  heads: readonly SplitHead[],
  outlets: readonly SplitOutlet[],
  columns: readonly (number | 'stays')[],
): SplitByHand {
  const counts = outlets.map((_, i) => columns.filter((c) => c === i).length);
  const brought = heads.reduce((sum, h, i) => {
    const column = columns[i] ?? 'stays';
    return sum + ((column === 'stays' ? h.stays : h.values[column]) ?? 0);
  }, 0);
  const trips = outlets.reduce((sum, o, i) => sum + (counts[i] === 0 ? 0 : o.tripMinor), 0);
  return {
    totalMinor: brought - trips,
    broken: outlets.flatMap(({ least, most = Infinity }, outlet) => {
      const n = counts[outlet] as number;
      return n > 0 && (n < least || n > most) ? [{ outlet, heads: n, isOver: n > most }] : [];
    }),
  };
}

/** More outlets than this are not enumerated. */
export const MOST_OUTLETS = 6;

/**
 * The split of a pen over outlets that brings most: every head goes to one column or stays; an outlet used takes its
 * least to its most and pays its trip once. Exact: each set of outlets used is tried, and inside it the heads are
 * assigned by a flow of least cost.
 * @throws RangeError over six outlets
 */
export function splitPen(heads: readonly SplitHead[], outlets: readonly SplitOutlet[]): PenSplit {
  if (outlets.length > MOST_OUTLETS)
    throw new RangeError(`A pen is split over at most ${MOST_OUTLETS} outlets, not ${outlets.length}`);
  const closed = heads.filter((h) => h.stays === undefined && h.values.every((v) => v === undefined));
  if (closed.length > 0) return { kind: 'no-split', headIds: closed.map((h) => h.id) };
  let best: Split | undefined;
  for (let set = 0; set < 1 << outlets.length; set++) {
    const used = outlets.flatMap((_, i) => ((set >> i) & 1 ? [i] : []));
    const found = assign(heads, outlets, used, best?.totalMinor ?? -Infinity);
    if (found && (best === undefined || found.totalMinor > best.totalMinor)) best = found;
  }
  if (!best) return { kind: 'no-split', headIds: [] };
  return { kind: 'split', best, alone: alone(heads, outlets, best.totalMinor) };
}

/** What each outlet that could take all would bring. */
function alone(heads: readonly SplitHead[], outlets: readonly SplitOutlet[], splitMinor: number): OutletAlone[] {
  return outlets
    .flatMap(({ tripMinor, least, most = Infinity }, outlet): OutletAlone[] => {
      if (heads.length < least || heads.length > most) return [];
      let total = -tripMinor;
      for (const head of heads) {
        const value = head.values[outlet];
        if (value === undefined) return [];
        total += value;
      }
      return [{ outlet, totalMinor: total, losesMinor: splitMinor - total }];
    })
    .sort((a, b) => b.totalMinor - a.totalMinor);
}

/**
 * The heads over the outlets of one set, each within its least and most. Every head starts where it brings most; heads
 * too many in a column, or too few, are put right one at a time along the cheapest chain of moves (successive shortest
 * paths over the columns), which keeps the assignment the best there is for its counts. The balance, a column of its
 * own without heads, lends and takes the heads by which columns differ between their least and most.
 */
function assign(
  heads: readonly SplitHead[],
  outlets: readonly SplitOutlet[],
  used: readonly number[],
  /** A set that cannot bring more, whatever room it has, is left. */
  toBeat: number,
): Split | undefined {
  const stays = used.length;
  const balance = stays + 1;
  const value = (h: number, column: number): number | undefined =>
    column === stays ? heads[h]?.stays : heads[h]?.values[used[column] as number];
  const at: number[] = [];
  for (let h = 0; h < heads.length; h++) {
    let best = -1;
    for (let c = 0; c <= stays; c++) {
      const v = value(h, c);
      if (v !== undefined && (best < 0 || v > (value(h, best) as number))) best = c;
    }
    // In this set it may go nowhere.
    if (best < 0) return undefined;
    at.push(best);
  }
  const trips = used.reduce((s, i) => s + (outlets[i]?.tripMinor ?? 0), 0);
  const total = (): number => at.reduce((s, c, h) => s + (value(h, c) as number), -trips);
  if (total() <= toBeat) return undefined;
  const least = [...used.map((i) => Math.max(1, outlets[i]?.least ?? 1)), 0];
  const most = [...used.map((i) => outlets[i]?.most ?? Infinity), Infinity];
  // One that takes none cannot be used.
  if (least.some((l, c) => l > (most[c] as number))) return undefined;
  const count = least.map((_, c) => at.filter((a) => a === c).length);
  const isOver = (c: number): boolean => (count[c] as number) > (most[c] as number);
  const isUnder = (c: number): boolean => (count[c] as number) < (least[c] as number);
  const steps = (): Step[] => stepsOf({ heads, value, at, count, least, most, balance });
  for (;;) {
    const over = count.findIndex((_, c) => isOver(c));
    const under = count.findIndex((_, c) => isUnder(c));
    if (over < 0 && under < 0) break;
    // From a column with too many to the balance; else from the balance to one with too few.
    const path =
      over >= 0 ? cheapest(steps(), over, balance, balance + 1) : cheapest(steps(), balance, under, balance + 1);
    if (!path) return undefined;
    for (const { from, to, head } of path) {
      if (head !== undefined) at[head] = to;
      if (from !== balance && head !== undefined) count[from] = (count[from] as number) - 1;
      if (to !== balance && head !== undefined) count[to] = (count[to] as number) + 1;
    }
  }
  return {
    totalMinor: total(),
    columns: at.map((c) => (c === stays ? 'stays' : (used[c] as number))),
    used,
  };
}

interface Step {
  readonly from: number;
  readonly to: number;
  readonly cost: number;
  /** The head that moves; none where the balance lends or takes. */
  readonly head: number | undefined;
}

interface Standing {
  readonly heads: readonly SplitHead[];
  readonly value: (head: number, column: number) => number | undefined;
  readonly at: readonly number[];
  readonly count: readonly number[];
  readonly least: readonly number[];
  readonly most: readonly number[];
  readonly balance: number;
}

/** The cheapest move from each column to each other; and what the balance may lend or take, which costs nothing. */
function stepsOf({ heads, value, at, count, least, most, balance }: Standing): Step[] {
  const costs = new Float64Array(balance * balance).fill(Infinity);
  const movers = new Int32Array(balance * balance);
  for (let h = 0; h < heads.length; h++) {
    const from = at[h] as number;
    const here = value(h, from) as number;
    for (let to = 0; to < balance; to++) {
      const there = to === from ? undefined : value(h, to);
      if (there === undefined) continue;
      const key = from * balance + to;
      if (here - there >= (costs[key] as number)) continue;
      costs[key] = here - there;
      movers[key] = h;
    }
  }
  const moves: Step[] = [];
  costs.forEach((cost, key) => {
    if (cost < Infinity) moves.push({ from: Math.floor(key / balance), to: key % balance, cost, head: movers[key] });
  });
  const lent = count.flatMap((n, c): Step[] => [
    ...(n < (most[c] as number) ? [{ from: c, to: balance, cost: 0, head: undefined }] : []),
    ...(n > (least[c] as number) ? [{ from: balance, to: c, cost: 0, head: undefined }] : []),
  ]);
  return [...moves, ...lent];
}

/** The cheapest way over steps that may cost less than nothing, none of them in a circle (Bellman 1958, Ford 1956). */
function cheapest(steps: readonly Step[], from: number, to: number, nodes: number): Step[] | undefined {
  const cost = Array.from({ length: nodes }, (_, i) => (i === from ? 0 : Infinity));
  const by: (Step | undefined)[] = [];
  for (let round = 1; round < nodes; round++)
    for (const step of steps) {
      const reached = (cost[step.from] as number) + step.cost;
      if (reached < (cost[step.to] as number) - 1e-9) {
        cost[step.to] = reached;
        by[step.to] = step;
      }
    }
  if (cost[to] === Infinity) return undefined;
  const path: Step[] = [];
  for (let node = to; node !== from;) {
    const step = by[node] as Step;
    path.unshift(step);
    node = step.from;
  }
  return path;
}
