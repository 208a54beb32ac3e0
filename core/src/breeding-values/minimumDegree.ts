import type { SparseSymmetric } from './sparseSymmetric';

/**
 * An order of elimination that fills few cells: each time the equation that touches fewest others, by the upper bound of
 * its degree (Amestoy, Davis and Duff 1996, SIAM J. Matrix Anal. Appl. 17: 886). What is eliminated stays as an element,
 * the set of equations it has tied together; an element within another is absorbed.
 * @returns the equation at each place
 */
export function minimumDegree({ size, start, row }: SparseSymmetric): Int32Array {
  const variables: number[][] = Array.from({ length: size }, () => []);
  for (let k = 0; k < size; k++)
    for (let p = start[k] as number; p < (start[k + 1] as number); p++) {
      const i = row[p] as number;
      if (i === k) continue;
      (variables[i] as number[]).push(k);
      (variables[k] as number[]).push(i);
    }
  const elements: number[][] = Array.from({ length: size }, () => []);
  const members: (number[] | undefined)[] = [];
  const isDone = new Uint8Array(size);
  const mark = new Int32Array(size).fill(-1);
  const outside = new Int32Array(size);
  const seen = new Int32Array(size).fill(-1);
  const queue = new DegreeQueue(Int32Array.from(variables, (v) => v.length));
  const order = new Int32Array(size);
  let placed = 0;
  const place = (i: number): void => {
    isDone[i] = 1;
    order[placed++] = i;
  };
  while (placed < size) {
    const p = queue.takeLeast();
    place(p);
    const tied: number[] = [];
    const tie = (i: number): void => {
      if (isDone[i] === 1 || mark[i] === p) return;
      mark[i] = p;
      tied.push(i);
    };
    (variables[p] as number[]).forEach(tie);
    for (const e of elements[p] as number[]) {
      members[e]?.forEach(tie);
      members[e] = undefined;
    }
    // Of each element beside the new one, how many of its equations lie outside it.
    for (const i of tied)
      for (const e of elements[i] as number[]) {
        const inside = members[e];
        if (!inside) continue;
        if (seen[e] !== p) {
          seen[e] = p;
          const alive = inside.filter((m) => isDone[m] === 0);
          members[e] = alive;
          outside[e] = alive.length;
        }
        outside[e] = (outside[e] as number) - 1;
      }
    const left: number[] = [];
    for (const i of tied) {
      variables[i] = (variables[i] as number[]).filter((j) => isDone[j] === 0 && mark[j] !== p);
      const others: number[] = [];
      let beyond = 0;
      for (const e of elements[i] as number[]) {
        if (!members[e]) continue;
        if (outside[e] === 0) members[e] = undefined;
        else {
          others.push(e);
          beyond += outside[e] as number;
        }
      }
      elements[i] = others;
      const own = (variables[i] as number[]).length;
      if (own + others.length === 0) {
        // Tied to nothing but the new element: it is eliminated with it, and fills no cell.
        queue.remove(i);
        place(i);
        continue;
      }
      left.push(i);
      others.push(p);
      queue.move(i, Math.min(size - placed, own + tied.length - 1 + beyond));
    }
    members[p] = left;
  }
  return order;
}

/** Equations by degree, the least first. */
class DegreeQueue {
  private readonly head: Int32Array;
  private readonly next: Int32Array;
  private readonly before: Int32Array;
  private least = 0;

  constructor(private readonly degree: Int32Array) {
    const size = degree.length;
    this.head = new Int32Array(size + 1).fill(-1);
    this.next = new Int32Array(size).fill(-1);
    this.before = new Int32Array(size).fill(-1);
    for (let i = size - 1; i >= 0; i--) this.put(i, degree[i] as number);
  }

  takeLeast(): number {
    while (this.head[this.least] === -1) this.least++;
    const i = this.head[this.least] as number;
    this.remove(i);
    return i;
  }

  move(i: number, degree: number): void {
    this.remove(i);
    this.put(i, degree);
  }

  remove(i: number): void {
    const [next, before] = [this.next[i] as number, this.before[i] as number];
    if (before === -1) this.head[this.degree[i] as number] = next;
    else this.next[before] = next;
    if (next !== -1) this.before[next] = before;
  }

  private put(i: number, degree: number): void {
    const first = this.head[degree] as number;
    this.degree[i] = degree;
    this.next[i] = first;
    this.before[i] = -1;
    if (first !== -1) this.before[first] = i;
    this.head[degree] = i;
    this.least = Math.min(this.least, degree);
  }
}
