import { minimumDegree } from './minimumDegree';
import type { SparseSymmetric } from './sparseSymmetric';

/**
 * A = L D L' of a symmetric matrix in the order of its elimination: L by columns without its ones, D as it is. An
 * equation that follows from the ones before it has D infinite, and is answered 0.
 */
export interface Factorised {
  readonly size: number;
  /** Equation at each place, and place of each equation. */
  readonly order: Int32Array;
  readonly placeOf: Int32Array;
  readonly start: Int32Array;
  readonly row: Int32Array;
  readonly value: Float64Array;
  readonly diagonal: Float64Array;
}

/** A pivot so much smaller than its cell is rounding: the equation says nothing new. */
const NOTHING_NEW = 1e-9;

/** Factorises a positive semidefinite matrix, row by row along the elimination tree (Davis 2005, ACM TOMS 31: 587). */
export function factorise(matrix: SparseSymmetric): Factorised {
  const order = minimumDegree(matrix);
  const placeOf = new Int32Array(matrix.size);
  order.forEach((equation, place) => (placeOf[equation] = place));
  const { size, start: from, row: rows, value: values } = permuted(matrix, placeOf);
  const parent = new Int32Array(size).fill(-1);
  const flag = new Int32Array(size);
  const count = new Int32Array(size);
  for (let k = 0; k < size; k++) {
    flag[k] = k;
    for (let p = from[k] as number; p < (from[k + 1] as number); p++)
      for (let i = rows[p] as number; flag[i] !== k; i = parent[i] as number) {
        if (parent[i] === -1) parent[i] = k;
        count[i] = (count[i] as number) + 1;
        flag[i] = k;
      }
  }
  const start = new Int32Array(size + 1);
  for (let k = 0; k < size; k++) start[k + 1] = (start[k] as number) + (count[k] as number);
  const row = new Int32Array(start[size] as number);
  const value = new Float64Array(start[size] as number);
  const diagonal = new Float64Array(size);
  const work = new Float64Array(size);
  const pattern = new Int32Array(size);
  count.fill(0);
  for (let k = 0; k < size; k++) {
    let top = size;
    flag[k] = k;
    for (let p = from[k] as number; p < (from[k + 1] as number); p++) {
      let i = rows[p] as number;
      work[i] = (work[i] as number) + (values[p] as number);
      let length = 0;
      for (; flag[i] !== k; i = parent[i] as number) {
        pattern[length++] = i;
        flag[i] = k;
      }
      while (length > 0) pattern[--top] = pattern[--length] as number;
    }
    const cell = work[k] as number;
    let pivot = cell;
    work[k] = 0;
    for (; top < size; top++) {
      const i = pattern[top] as number;
      const y = work[i] as number;
      work[i] = 0;
      const end = (start[i] as number) + (count[i] as number);
      for (let p = start[i] as number; p < end; p++) {
        const r = row[p] as number;
        work[r] = (work[r] as number) - (value[p] as number) * y;
      }
      const share = y / (diagonal[i] as number);
      pivot -= share * y;
      row[end] = k;
      value[end] = share;
      count[i] = (count[i] as number) + 1;
    }
    diagonal[k] = pivot > NOTHING_NEW * Math.abs(cell) ? pivot : Infinity;
  }
  return { size, order, placeOf, start, row, value, diagonal };
}

/** The matrix with each equation at its place, upper triangle again. */
function permuted({ size, start, row, value }: SparseSymmetric, placeOf: Int32Array): SparseSymmetric {
  const count = new Int32Array(size + 1);
  const cells = (visit: (low: number, high: number, p: number) => void): void => {
    for (let k = 0; k < size; k++)
      for (let p = start[k] as number; p < (start[k + 1] as number); p++) {
        const [i, j] = [placeOf[row[p] as number] as number, placeOf[k] as number];
        visit(Math.min(i, j), Math.max(i, j), p);
      }
  };
  cells((_, high) => (count[high + 1] = (count[high + 1] as number) + 1));
  for (let k = 0; k < size; k++) count[k + 1] = (count[k + 1] as number) + (count[k] as number);
  const at = count.slice();
  const rows = new Int32Array(row.length);
  const values = new Float64Array(row.length);
  cells((low, high, p) => {
    const q = at[high] as number;
    at[high] = q + 1;
    rows[q] = low;
    values[q] = value[p] as number;
  });
  return { size, start: count, row: rows, value: values };
}

/** The answer x of A x = b. */
export function solve({ size, order, start, row, value, diagonal }: Factorised, right: Float64Array): Float64Array {
  const x = Float64Array.from(order, (equation) => right[equation] as number);
  for (let k = 0; k < size; k++) {
    // An equation that says nothing new has the answer 0.
    if (diagonal[k] === Infinity) x[k] = 0;
    const own = x[k] as number;
    for (let p = start[k] as number; p < (start[k + 1] as number); p++) {
      const r = row[p] as number;
      x[r] = (x[r] as number) - (value[p] as number) * own;
    }
  }
  for (let k = size - 1; k >= 0; k--) {
    let own = (x[k] as number) / (diagonal[k] as number);
    for (let p = start[k] as number; p < (start[k + 1] as number); p++)
      own -= (value[p] as number) * (x[row[p] as number] as number);
    x[k] = diagonal[k] === Infinity ? 0 : own;
  }
  const answer = new Float64Array(size);
  order.forEach((equation, place) => (answer[equation] = x[place] as number));
  return answer;
}

/**
 * The diagonal of the inverse, exactly: of the inverse only those cells are worked out that the factor has too, from the
 * last column to the first (Takahashi, Fagan and Chen 1973). Whatever stands under row k in a column that has k stands
 * in column k as well, in the same order: the one is read along the other.
 */
export function inverseDiagonal({ size, order, start, row, value, diagonal }: Factorised): Float64Array {
  const inverse = new Float64Array(row.length);
  const own = new Float64Array(size);
  for (let j = size - 1; j >= 0; j--) {
    const first = start[j] as number;
    const end = start[j + 1] as number;
    for (let p = first; p < end; p++) {
      const k = row[p] as number;
      const share = value[p] as number;
      let sum = share * (own[k] as number);
      let q = start[k] as number;
      const same = q - p - 1;
      if ((start[k + 1] as number) - q === end - p - 1)
        // Nine in ten: the rows are the same ones, and nothing has to be found.
        for (let s = p + 1; s < end; s++) {
          const cell = inverse[s + same] as number;
          inverse[s] = (inverse[s] as number) - share * cell;
          sum += (value[s] as number) * cell;
        }
      else
        for (let s = p + 1; s < end; s++) {
          while (row[q] !== row[s]) q++;
          const cell = inverse[q++] as number;
          inverse[s] = (inverse[s] as number) - share * cell;
          sum += (value[s] as number) * cell;
        }
      inverse[p] = (inverse[p] as number) - sum;
    }
    let cell = 1 / (diagonal[j] as number);
    for (let p = first; p < end; p++) cell -= (value[p] as number) * (inverse[p] as number);
    own[j] = cell;
  }
  const answer = new Float64Array(size);
  for (let place = 0; place < size; place++) answer[order[place] as number] = own[place] as number;
  return answer;
}
