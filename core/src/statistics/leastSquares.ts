/** A straight line through points. */
export interface LineFit {
  readonly slope: number;
  readonly intercept: number;
  /** Residual SD with n-2 degrees of freedom over sqrt(Sxx); undefined under 3 distinct x. */
  readonly slopeStandardError: number | undefined;
  readonly count: number;
}

/**
 * Ordinary least squares of y on x.
 * @returns undefined under two distinct x
 */
export function fitLine(points: readonly (readonly [x: number, y: number])[]): LineFit | undefined {
  const n = points.length;
  if (n < 2) return undefined;
  // Centred first: days are Julian numbers near 2.46 million, and their raw squares would eat every digit of the slope.
  const meanX = points.reduce((s, p) => s + p[0], 0) / n;
  const meanY = points.reduce((s, p) => s + p[1], 0) / n;
  let sxx = 0;
  let sxy = 0;
  for (const [x, y] of points) {
    sxx += (x - meanX) ** 2;
    sxy += (x - meanX) * (y - meanY);
  }
  if (sxx === 0) return undefined;
  const slope = sxy / sxx;
  const distinct = new Set(points.map((p) => p[0])).size;
  const rss = points.reduce((s, [x, y]) => s + (y - meanY - slope * (x - meanX)) ** 2, 0);
  return {
    slope,
    intercept: meanY - slope * meanX,
    slopeStandardError: distinct < 3 ? undefined : Math.sqrt(rss / (n - 2) / sxx),
    count: n,
  };
}

/**
 * Least squares of y on several columns by the normal equations and Cholesky with a tiny ridge, so that a column no
 * record speaks of gets coefficient 0 instead of breaking the fit.
 * @param rows  one array of p values per record
 * @param y     as many numbers as rows
 * @returns p coefficients
 * @throws RangeError on unequal lengths
 * Cost n p^2 + p^3 / 3; meant for p below a few dozen.
 */
export function fitLinear(rows: readonly (readonly number[])[], y: readonly number[]): number[] {
  if (rows.length !== y.length) throw new RangeError(`${rows.length} rows for ${y.length} values`);
  const p = rows[0]?.length ?? 0;
  const xtx = Array.from({ length: p }, () => new Float64Array(p));
  const xty = new Float64Array(p);
  rows.forEach((row, r) => {
    for (let i = 0; i < p; i++) {
      const xi = row[i] as number;
      if (xi === 0) continue;
      xty[i] = (xty[i] as number) + xi * (y[r] as number);
      const target = xtx[i] as Float64Array;
      for (let j = 0; j <= i; j++) target[j] = (target[j] as number) + xi * (row[j] as number);
    }
  });
  const largest = Math.max(1, ...xtx.map((row, i) => row[i] as number));
  for (let i = 0; i < p; i++) {
    const row = xtx[i] as Float64Array;
    row[i] = (row[i] as number) + largest * 1e-9;
  }
  return solveCholeskyInPlace(xtx, xty);
}

function solveCholeskyInPlace(lower: Float64Array[], b: Float64Array): number[] {
  const p = b.length;
  const get = (i: number, j: number): number => (lower[i] as Float64Array)[j] as number;
  for (let j = 0; j < p; j++) {
    for (let i = j; i < p; i++) {
      let sum = get(i, j);
      for (let k = 0; k < j; k++) sum -= get(i, k) * get(j, k);
      (lower[i] as Float64Array)[j] = i === j ? Math.sqrt(sum) : sum / get(j, j);
    }
  }
  const x = Array.from(b);
  for (let i = 0; i < p; i++) {
    for (let k = 0; k < i; k++) x[i] = (x[i] as number) - get(i, k) * (x[k] as number);
    x[i] = (x[i] as number) / get(i, i);
  }
  for (let i = p - 1; i >= 0; i--) {
    for (let k = i + 1; k < p; k++) x[i] = (x[i] as number) - get(k, i) * (x[k] as number);
    x[i] = (x[i] as number) / get(i, i);
  }
  return x;
}
