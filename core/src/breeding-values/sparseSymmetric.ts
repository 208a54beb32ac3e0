/**
 * A symmetric matrix by its upper triangle, column by column: rows `row[start[k]] .. row[start[k + 1] - 1]` of column k,
 * none below the diagonal, each once.
 */
export interface SparseSymmetric {
  readonly size: number;
  readonly start: Int32Array;
  readonly row: Int32Array;
  readonly value: Float64Array;
}

/** Gathers a symmetric matrix from what is added to its cells. Cells added more than once are summed. */
export class SymmetricBuilder {
  private rows: Int32Array;
  private columns: Int32Array;
  private values: Float64Array;
  private count = 0;

  constructor(
    readonly size: number,
    expected = 4 * size,
  ) {
    this.rows = new Int32Array(expected);
    this.columns = new Int32Array(expected);
    this.values = new Float64Array(expected);
  }

  /** Adds to the cells (i, j) and (j, i), which are one. */
  add(i: number, j: number, value: number): void {
    if (this.count === this.rows.length) this.grow();
    this.rows[this.count] = Math.min(i, j);
    this.columns[this.count] = Math.max(i, j);
    this.values[this.count++] = value;
  }

  build(): SparseSymmetric {
    const { size, count } = this;
    // Sorted twice by counting, by row and then by column: rows stand in order within each column.
    const byRow = this.sorted(
      this.rows,
      Int32Array.from({ length: count }, (_, i) => i),
    );
    const order = this.sorted(this.columns, byRow);
    const start = new Int32Array(size + 1);
    const row = new Int32Array(count);
    const value = new Float64Array(count);
    let kept = 0;
    let column = 0;
    for (const at of order) {
      const r = this.rows[at] as number;
      const c = this.columns[at] as number;
      while (column < c) start[++column] = kept;
      if (kept > (start[c] as number) && row[kept - 1] === r)
        value[kept - 1] = (value[kept - 1] as number) + (this.values[at] as number);
      else {
        row[kept] = r;
        value[kept++] = this.values[at] as number;
      }
    }
    while (column < size) start[++column] = kept;
    return { size, start, row: row.slice(0, kept), value: value.slice(0, kept) };
  }

  private sorted(key: Int32Array, order: Int32Array): Int32Array {
    const at = new Int32Array(this.size + 1);
    for (const i of order) at[(key[i] as number) + 1] = (at[(key[i] as number) + 1] as number) + 1;
    for (let k = 0; k < this.size; k++) at[k + 1] = (at[k + 1] as number) + (at[k] as number);
    const sorted = new Int32Array(order.length);
    for (const i of order) {
      const k = key[i] as number;
      sorted[at[k] as number] = i;
      at[k] = (at[k] as number) + 1;
    }
    return sorted;
  }

  private grow(): void {
    const larger = Math.max(16, 2 * this.count);
    const copy = <T extends Int32Array | Float64Array>(from: T, to: T): T => {
      to.set(from);
      return to;
    };
    this.rows = copy(this.rows, new Int32Array(larger));
    this.columns = copy(this.columns, new Int32Array(larger));
    this.values = copy(this.values, new Float64Array(larger));
  }
}
