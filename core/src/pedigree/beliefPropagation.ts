import { marginal, multiplyInPlace, normaliseInPlace, uniform, type Factor } from './factor';

const MOST_ROUNDS = 200;
const STILL = 1e-7;
/** Each message keeps half of what it was: in loops undamped messages swing for ever. */
const KEPT = 0.5;

/**
 * Marginals by messages passed between tables and variables until they stand still (Pearl 1988). Exact where the
 * family has no loop; close, and often too sure, where it has.
 * @returns `impossible` where nothing fits
 */
export function beliefPropagation(
  factors: readonly Factor[],
  variables: readonly number[],
): ReadonlyMap<number, Float64Array> | 'impossible' {
  const toVariable = factors.map((f) => f.variables.map((v) => uniform([v])));
  const around = new Map(variables.map((v) => [v, [] as [factor: number, slot: number][]]));
  factors.forEach((f, i) => {
    f.variables.forEach((v, slot) => around.get(v)?.push([i, slot]));
  });
  /** All that is told to a variable, but by one table. */
  const told = (v: number, except: number): Factor => {
    const product = uniform([v]);
    for (const [i, slot] of around.get(v) ?? [])
      if (i !== except) multiplyInPlace(product, toVariable[i]?.[slot] as Factor);
    return product;
  };
  for (let round = 0, moved = Infinity; round < MOST_ROUNDS && moved > STILL; round++) {
    moved = 0;
    for (const [i, factor] of factors.entries()) {
      const incoming = factor.variables.map((v) => told(v, i));
      for (const [slot, variable] of factor.variables.entries()) {
        const product: Factor = { variables: factor.variables, values: Float64Array.from(factor.values) };
        incoming.forEach((message, other) => {
          if (other !== slot) multiplyInPlace(product, message);
        });
        const message = marginal(product, [variable]);
        if (!normaliseInPlace(message)) return 'impossible';
        const before = toVariable[i]?.[slot] as Factor;
        for (let s = 0; s < 3; s++) {
          const next = message.values[s] as number;
          const was = before.values[s] as number;
          // What cannot be is told at once: a halved certainty would let the impossible live on.
          const value = next === 0 || round === 0 ? next : KEPT * was + (1 - KEPT) * next;
          moved = Math.max(moved, Math.abs(value - was));
          before.values[s] = value;
        }
      }
    }
  }
  const found = new Map<number, Float64Array>();
  for (const v of variables) {
    const belief = told(v, -1);
    if (!normaliseInPlace(belief)) return 'impossible';
    found.set(v, belief.values);
  }
  return found;
}
