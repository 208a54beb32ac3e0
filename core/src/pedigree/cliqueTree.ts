import { marginal, multiplyInPlace, normaliseInPlace, uniform, type Factor } from './factor';

interface Clique {
  readonly variable: number;
  /** The eliminated variable first, then its neighbours that are eliminated later. */
  readonly variables: readonly number[];
  table: Factor;
  parent: Clique | undefined;
  readonly children: Clique[];
  /** What it tells its parent, over the neighbours. */
  up: Factor | undefined;
}

/**
 * Exact marginals of all variables of one connected family: eliminated in order of least neighbours (min-degree),
 * each elimination a clique, and messages sent up the tree of cliques and down again.
 * @returns `too-wide` where a clique would have more than `mostWidth` variables, `impossible` where nothing fits
 */
export function cliqueTree(
  factors: readonly Factor[],
  variables: readonly number[],
  mostWidth: number,
): ReadonlyMap<number, Float64Array> | 'too-wide' | 'impossible' {
  const cliques = eliminated(factors, variables, mostWidth);
  if (cliques === 'too-wide') return cliques;
  const order = new Map(cliques.map((c, i) => [c.variable, i]));
  // Each table belongs to the clique of its variable that goes first.
  for (const factor of factors) {
    const first = Math.min(...factor.variables.map((v) => order.get(v) as number));
    multiplyInPlace((cliques[first] as Clique).table, factor);
  }
  for (const clique of cliques) {
    const later = clique.variables.slice(1);
    if (later.length === 0) continue;
    const parent = cliques[Math.min(...later.map((v) => order.get(v) as number))] as Clique;
    clique.parent = parent;
    parent.children.push(clique);
  }
  // Up: children stand before their parents in the order of elimination.
  for (const clique of cliques) {
    for (const child of clique.children) multiplyInPlace(clique.table, child.up as Factor);
    if (!normaliseInPlace(clique.table)) return 'impossible';
    clique.up = marginal(clique.table, clique.variables.slice(1));
  }
  const found = new Map<number, Float64Array>();
  // Down: a parent's whole table, less what this child told it. Where that was 0, the whole is 0 as well.
  for (const clique of [...cliques].reverse()) {
    const { parent, up } = clique;
    if (parent && up) {
      const down = marginal(parent.table, up.variables);
      for (let i = 0; i < down.values.length; i++) {
        const told = up.values[i] as number;
        down.values[i] = told > 0 ? (down.values[i] as number) / told : 0;
      }
      multiplyInPlace(clique.table, down);
      if (!normaliseInPlace(clique.table)) return 'impossible';
    }
    found.set(clique.variable, marginal(clique.table, [clique.variable]).values);
  }
  return found;
}

function eliminated(
  factors: readonly Factor[],
  variables: readonly number[],
  mostWidth: number,
): Clique[] | 'too-wide' {
  const neighbours = new Map(variables.map((v) => [v, new Set<number>()]));
  const join = (a: number, b: number): void => {
    if (a === b) return;
    neighbours.get(a)?.add(b);
    neighbours.get(b)?.add(a);
  };
  for (const f of factors) for (const a of f.variables) for (const b of f.variables) join(a, b);
  const left = new Set(variables);
  const cliques: Clique[] = [];
  while (left.size > 0) {
    let variable = -1;
    let least = Infinity;
    for (const v of left) {
      const degree = neighbours.get(v)?.size ?? 0;
      if (degree < least) [variable, least] = [v, degree];
      if (degree <= 1) break;
    }
    const around = [...(neighbours.get(variable) ?? [])];
    if (around.length + 1 > mostWidth) return 'too-wide';
    for (const a of around) {
      for (const b of around) join(a, b);
      neighbours.get(a)?.delete(variable);
    }
    left.delete(variable);
    const own = [variable, ...around];
    cliques.push({ variable, variables: own, table: uniform(own), parent: undefined, children: [], up: undefined });
  }
  return cliques;
}
