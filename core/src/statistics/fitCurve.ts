/** A curve's value at x for some parameters, with its slope along each of them. */
export type CurveModel = (
  parameters: readonly number[],
  x: number,
) => { readonly value: number; readonly gradient: readonly number[] };

export interface CurveFit {
  readonly parameters: readonly number[];
  /** sqrt(diag(s2 (J'J)^-1)), s2 = RSS / (n - p); undefined where n = p or the curvature is flat. */
  readonly standardErrors: readonly (number | undefined)[];
  readonly rss: number;
}

const MOST_STEPS = 200;
const SETTLED = 1e-10;

/**
 * Non-linear least squares by Levenberg and Marquardt (Marquardt 1963, J. SIAM 11: 431-441): between steepest descent
 * and Gauss-Newton, damped by the diagonal so that parameters of different size are treated alike.
 * @returns undefined with fewer points than parameters, or where it does not settle
 */
export function fitCurve(
  model: CurveModel,
  points: readonly (readonly [x: number, y: number])[],
  start: readonly number[],
): CurveFit | undefined {
  const p = start.length;
  if (points.length < p) return undefined;
  let parameters = [...start];
  let { rss, jtj, jtr } = normalEquations(model, points, parameters);
  let damping = 1e-3;
  for (let step = 0; step < MOST_STEPS; step++) {
    const damped = jtj.map((row, i) => row.map((v, j) => (i === j ? v * (1 + damping) + 1e-300 : v)));
    const move = solve(damped, jtr);
    if (!move) return undefined;
    const tried = parameters.map((v, i) => v + (move[i] as number));
    const next = normalEquations(model, points, tried);
    if (next.rss <= rss) {
      const gained = rss - next.rss;
      parameters = tried;
      ({ rss, jtj, jtr } = next);
      damping = Math.max(damping / 10, 1e-12);
      if (gained <= SETTLED * (rss + SETTLED)) return { parameters, rss, standardErrors: errors(jtj, rss) };
    } else if ((damping *= 10) > 1e12) {
      // No step of any size is better: this is the bottom, as far as the machine can tell.
      return { parameters, rss, standardErrors: errors(jtj, rss) };
    }
  }
  return undefined;

  function errors(matrix: readonly (readonly number[])[], residual: number): (number | undefined)[] {
    const freedom = points.length - p;
    return matrix.map((_, i) => {
      const column = solve(
        matrix,
        matrix.map((__, j) => (i === j ? 1 : 0)),
      );
      const variance = (column?.[i] ?? Number.NaN) * (freedom > 0 ? residual / freedom : Number.NaN);
      return variance >= 0 ? Math.sqrt(variance) : undefined;
    });
  }
}

function normalEquations(
  model: CurveModel,
  points: readonly (readonly [number, number])[],
  parameters: readonly number[],
) {
  const p = parameters.length;
  const jtj = Array.from({ length: p }, () => new Array<number>(p).fill(0));
  const jtr = new Array<number>(p).fill(0);
  let rss = 0;
  for (const [x, y] of points) {
    const { value, gradient } = model(parameters, x);
    const residual = y - value;
    rss += residual * residual;
    for (let i = 0; i < p; i++) {
      const g = gradient[i] as number;
      jtr[i] = (jtr[i] as number) + g * residual;
      for (let j = 0; j < p; j++)
        (jtj[i] as number[])[j] = ((jtj[i] as number[])[j] as number) + g * (gradient[j] as number);
    }
  }
  return { rss: Number.isFinite(rss) ? rss : Infinity, jtj, jtr };
}

/** Gauss with the greatest pivot first; for a handful of unknowns. @returns undefined for a singular matrix */
function solve(matrix: readonly (readonly number[])[], right: readonly number[]): number[] | undefined {
  const n = right.length;
  const rows = matrix.map((row, i) => [...row, right[i] as number]);
  for (let column = 0; column < n; column++) {
    let pivot = column;
    for (let r = column + 1; r < n; r++)
      if (Math.abs(rows[r]?.[column] as number) > Math.abs(rows[pivot]?.[column] as number)) pivot = r;
    const [a, b] = [rows[column] as number[], rows[pivot] as number[]];
    [rows[column], rows[pivot]] = [b, a];
    const top = rows[column] as number[];
    const lead = top[column] as number;
    if (!Number.isFinite(lead) || lead === 0) return undefined;
    for (let r = 0; r < n; r++) {
      if (r === column) continue;
      const row = rows[r] as number[];
      const share = (row[column] as number) / lead;
      for (let c = column; c <= n; c++) row[c] = (row[c] as number) - share * (top[c] as number);
    }
  }
  return rows.map((row, i) => (row[n] as number) / (row[i] as number));
}
