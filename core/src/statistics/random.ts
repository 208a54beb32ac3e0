/** Random numbers that are the same for the same seed. */
export interface Random {
  /** Uniform in [0, 1). */
  next(): number;
  /** Whole number from `from` to `to`, both included. */
  whole(from: number, to: number): number;
  /** Normal by Box and Muller (1958). */
  normal(mean: number, sd: number): number;
  chance(p: number): boolean;
  pick<T>(list: readonly T[]): T;
}

/** The mulberry32 generator: 32 bits of state, good enough for a made-up farm and for simulations of thousands. */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0;
  const next = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return {
    next,
    whole: (from, to) => from + Math.floor(next() * (to - from + 1)),
    normal: (mean, sd) => mean + sd * Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next()),
    chance: (p) => next() < p,
    pick: (list) => list[Math.floor(next() * list.length)] as (typeof list)[number],
  };
}
