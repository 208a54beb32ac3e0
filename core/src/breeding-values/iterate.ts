import type { SparseSymmetric } from './sparseSymmetric';

/** Relative size of what is left over at which an answer stands: values are right to four figures long before. */
const ENOUGH = 1e-8;
const MOST_ROUNDS = 5_000;

/**
 * Solves a symmetric, positive system by conjugate gradients, each equation scaled by its diagonal (Hestenes & Stiefel
 * 1952). No factor is kept: memory is that of the matrix, cost that of a product a round. An equation with nothing on
 * its diagonal is answered 0.
 */
export function solveByRounds(matrix: SparseSymmetric, right: Float64Array): Float64Array {
  const { size } = matrix;
  const scale = diagonalOf(matrix).map((d) => (d > 0 ? 1 / d : 0));
  const answer = new Float64Array(size);
  const left = right.slice();
  const scaled = left.map((v, i) => v * (scale[i] as number));
  const direction = scaled.slice();
  const product = new Float64Array(size);
  let size2 = dot(left, scaled);
  const enough = ENOUGH ** 2 * Math.max(size2, Number.MIN_VALUE);
  for (let round = 0; round < MOST_ROUNDS && size2 > enough; round++) {
    multiplyInto(product, matrix, direction);
    const step = size2 / dot(direction, product);
    for (let i = 0; i < size; i++) {
      answer[i] = (answer[i] as number) + step * (direction[i] as number);
      left[i] = (left[i] as number) - step * (product[i] as number);
      scaled[i] = (left[i] as number) * (scale[i] as number);
    }
    const next = dot(left, scaled);
    const share = next / size2;
    for (let i = 0; i < size; i++) direction[i] = (scaled[i] as number) + share * (direction[i] as number);
    size2 = next;
  }
  return answer;
}

/** The diagonal of a matrix. */
export function diagonalOf({ size, start, row, value }: SparseSymmetric): Float64Array {
  const diagonal = new Float64Array(size);
  for (let c = 0; c < size; c++) {
    // Rows stand in order and none below the diagonal: if it is there, it is the last of its column.
    const last = (start[c + 1] as number) - 1;
    if (last >= (start[c] as number) && row[last] === c) diagonal[c] = value[last] as number;
  }
  return diagonal;
}

function multiplyInto(to: Float64Array, { size, start, row, value }: SparseSymmetric, by: Float64Array): void {
  to.fill(0);
  for (let c = 0; c < size; c++) {
    const own = by[c] as number;
    let sum = 0;
    for (let k = start[c] as number; k < (start[c + 1] as number); k++) {
      const r = row[k] as number;
      const v = value[k] as number;
      if (r === c) sum += v * own;
      else {
        sum += v * (by[r] as number);
        to[r] = (to[r] as number) + v * own;
      }
    }
    to[c] = (to[c] as number) + sum;
  }
}

function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += (a[i] as number) * (b[i] as number);
  return sum;
}
